<script lang="ts">
  // Under a day's line: the step that is pointed at, or how the line is read.
  import type { DayPlan, Sheet } from '$core/plan';
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock } from '../sheet/when';

  let {
    station: shown,
    later,
    may
  }: {
    station: Sheet['stations'][number] | undefined;
    /** Wants that lie beyond the line. */ later: DayPlan['wants'];
    /** Whether it can be dragged. */ may: boolean;
  } = $props();
  const minute = 60_000;
</script>

<p aria-live="polite">
  {#if later.length}<span class="second">Later: {later.map((w) => `${w.what} ${clock(w.at)}`).join(', ')}.</span>{/if}
  {#if shown}<strong>{clock(shown.start)}–{clock(shown.end)}</strong>
    {printMarks(shown.what, unitChoice())} · {shown.who}{shown.slack >= minute && shown.slack < 1e9
      ? ` · can slip ${Math.round(shown.slack / minute)} min`
      : ' · no slack'}{:else}<span class="second">
      Shaded: the raise, and darker the span in which there is steam eight times in ten. {may
        ? 'Drag what is wanted along the line; touch a step to see it and to drag its end.'
        : ''}</span
    >{/if}
</p>

<style>
  p {
    font-size: 0.9375rem;
    min-height: 1.5rem;
    margin-top: 2px;
  }
</style>
