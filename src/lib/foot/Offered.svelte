<script lang="ts">
  // It is being handed over: what goes with it, and who says that they have it. The same card for both.
  import { printGlass, printMarks, printText } from '$core/units';
  import { feedsAt, things } from '$core/procedure';
  import { openFaults } from '$core/log';
  import { feedWords } from '$core/watch';
  import { unitChoice } from '../sheet/unit-choice';
  import { age as ageOf } from '../sheet/when';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const units = $derived(unitChoice());
  const s = $derived(foot.state);
  const age = (at: string) => ageOf(at, foot.now);
  const feeds = $derived(feedsAt(foot.fitOut));
  const lines = $derived(
    [
      ['Pressure', s.pressure ? `${printText(s.pressure.value, 'pressure', units)}, ${age(s.pressure.at)}` : 'not read'],
      ['Glass', s.glass ? `${printGlass(s.glass.value)}, ${age(s.glass.at)}` : foot.fitOut.glasses.length ? 'not read' : ''],
      ['Fire', s.fire.litAt ? (s.fire.outAt ? 'out' : s.fire.fuelAt ? `in, fuel ${age(s.fire.fuelAt)}` : 'in') : 'not lit'],
      [
        'Water goes',
        feeds
          .flatMap((x) =>
            s.feeds[x.name]?.on || s.feeds[x.name]?.to
              ? [`${x.name.toLowerCase()}: ${s.feeds[x.name]!.on ? (s.feeds[x.name]!.to ?? 'boiler') : (s.feeds[x.name]!.to ?? 'off')}`]
              : []
          )
          .join('; ')
      ],
      [
        'Handles',
        feeds
          .filter((x) => x.bypassShutSendsTo !== 'none')
          .map((x) => `to the boiler: ${feedWords(x)}`)
          .join('; ')
      ],
      [
        'Stands open',
        Object.keys(s.open)
          .map((key) => things[key as keyof typeof things].open)
          .join('; ')
      ],
      [
        'Faults',
        openFaults(s)
          .map((f) => f.text)
          .join('; ')
      ],
      [
        'Due',
        foot.duties
          .filter((d) => d.state !== 'waiting')
          .map((d) => printMarks(d.what, units))
          .join('; ')
      ],
      ['Next', foot.placed ? printMarks(foot.placed.step.what, units) : '']
    ].filter(([, said]) => said)
  );
</script>

<dl>
  {#each lines as [label, said] (label)}<div>
      <dt class="label">{label}</dt>
      <dd>{said}</dd>
    </div>{/each}
</dl>

<style>
  dl div {
    display: grid;
    grid-template-columns: 7rem minmax(0, 1fr);
    gap: 8px;
    border-top: 1px solid var(--rule);
    padding: 4px 0;
  }
  dd {
    font-weight: 500;
  }
</style>
