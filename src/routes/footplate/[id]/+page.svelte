<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { printMarks } from '$core/units';
  import { stayAwake } from '$lib/foot/alarm';
  import AccumulationStrip from '$lib/foot/AccumulationStrip.svelte';
  import AlarmStrip from '$lib/foot/AlarmStrip.svelte';
  import type { Dialog } from '$lib/foot/dialogs';
  import Drills from '$lib/foot/Drills.svelte';
  import FootLinks from '$lib/foot/FootLinks.svelte';
  import { Footplate } from '$lib/foot/footplate.svelte';
  import Frame from '$lib/foot/Frame.svelte';
  import { gateMarks } from '$lib/foot/gate-marks';
  import Instruments from '$lib/foot/Instruments.svelte';
  import LogList from '$lib/foot/LogList.svelte';
  import NowAndNext from '$lib/foot/NowAndNext.svelte';
  import PhoneHead from '$lib/foot/PhoneHead.svelte';
  import OfferStrip from '$lib/foot/OfferStrip.svelte';
  import { answerKey, focusOn } from '$lib/foot/page-keys';
  import QuickActions from '$lib/foot/QuickActions.svelte';
  import QuickLine from '$lib/foot/QuickLine.svelte';
  import { titleCells } from '$lib/foot/title-cells';
  import TrendColumn from '$lib/foot/TrendColumn.svelte';
  import Undo from '$lib/foot/Undo.svelte';
  import { waitingHere } from '$lib/outbox/index.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { unitChoice } from '$lib/sheet/unit-choice';
  import { onMount, untrack } from 'svelte';

  let { data } = $props();
  const foot = untrack(() => new Footplate({ ...data, member: data.member! })); // One page, one steaming: another id is another page.
  const { steaming, forecast, fitOut } = foot;

  const units = $derived(unitChoice());
  const ahead = $derived(foot.placed ? [...foot.due.next, foot.placed] : foot.due.next);
  const over = $derived(foot.countdown && 'stop' in foot.countdown ? foot.countdown.stop : undefined);
  const cells = $derived(titleCells(foot.log, forecast.footing?.live.steam, over, foot.now, data.now, units));

  let action = $state<string>();
  let quick: QuickActions | undefined = $state();
  let drill = $state(false);
  let dialog = $state<Dialog>();
  // The dialogs come when the page is at rest, to be there without a network, or at once when one is asked for.
  let Dialogs = $state.raw<typeof import('$lib/foot/Dialogs.svelte').default>();
  const load = () => void import('$lib/foot/Dialogs.svelte').then((m) => (Dialogs = m.default));
  $effect(() => {
    if (dialog) load();
  });

  const keys = {
    d: () => foot.done(),
    '/': () => focusOn('#quick-line'),
    w: () => focusOn('.readings .glass'),
    p: () => focusOn('.readings .scale'),
    u: () => steaming.undo(),
    t: () => void (dialog = 'steps'),
    k: () => void (dialog = 'watch'),
    l: () => void (drill = true),
    '?': () => void (dialog = 'keys'),
    Escape: () => void (action = dialog = undefined) // A dialog hears it only while something in it has the focus.
  };

  let live = $state(false);
  onMount(() => {
    live = true;
    const close = steaming.open();
    const sleep = stayAwake();
    const rest = setTimeout(load, 4000);
    return () => {
      close();
      sleep();
      foot.sound.end();
      void foot.notices.end();
      clearTimeout(rest);
    };
  });
  // Asked again with every entry, and every half minute as what was read grows old.
  const halfMinute = $derived(Math.floor(foot.now / 30_000));
  $effect(() => {
    void halfMinute;
    if (live) forecast.look(foot.log);
  });
  $effect(() => {
    // Signed where there is no connection, it is a record on this device.
    const done = steaming.waiting.length === 0 || waitingHere().trouble?.is === 'no connection';
    if (foot.state.endedAt && done) void goto(`/records/${data.id}`);
  });
</script>

<svelte:head><title>{fitOut.name}, {foot.state.phase} · Joram</title></svelte:head>
<svelte:window onkeydown={(event) => answerKey(event, keys, (key) => quick?.press(key))} />

<Frame saying={page.url.searchParams.has('say')}>
  {#snippet head()}<PhoneHead {foot} {cells} ondrill={() => (drill = true)} />{/snippet}
  {#snippet top()}
    <TitleBlock {cells}>
      {#snippet action()}<button class="low-water" onclick={() => (drill = true)}>LOW WATER</button>{/snippet}
    </TitleBlock>
    <AlarmStrip {foot} quiet={drill} onopen={() => (dialog = 'watch')} />
  {/snippet}
  {#snippet doing()}
    <OfferStrip {foot} />
    <AccumulationStrip {foot} onopen={() => (dialog = 'accumulation')} />
    <NowAndNext {foot} onopen={(d) => (dialog = d)} ondrill={() => (drill = true)} />
  {/snippet}
  {#snippet readings()}
    <Instruments {foot} marks={gateMarks(ahead, foot.state)} cold={foot.state.fire.litAt ? null : data.cold} />
  {/snippet}
  {#snippet chart()}<TrendColumn {foot} />{/snippet}
  {#snippet line()}
    <QuickLine {fitOut} state={foot.state} due={foot.dueWords && printMarks(foot.dueWords, units)} onlog={foot.enter} ondone={foot.done} />
  {/snippet}
  {#snippet undo()}<Undo {foot} />{/snippet}
  {#snippet thumb(all, ontaken)}
    <QuickActions bind:this={quick} {foot} bind:chosen={action} {all} {ontaken} onopen={(d) => (dialog = d)} />
  {/snippet}
  {#snippet entries()}<LogList log={foot.log} me={foot.me} onstrike={foot.strike} />{/snippet}
  {#snippet links()}
    <FootLinks
      engine={data.engineId}
      {fitOut}
      state={foot.state}
      now={foot.now}
      {steaming}
      mayThrowAway={data.mayThrowAway}
      onopen={(d) => (dialog = d)}
    />
  {/snippet}
</Frame>

{#if drill}<Drills
    {fitOut}
    state={foot.state}
    now={foot.now}
    onmade={foot.enter}
    onclose={() => (drill = false)}
    onanswer={foot.lowWater}
  />{/if}
{#if Dialogs}
  <Dialogs bind:open={dialog} {foot} people={data.people} />
{/if}

<style>
  .low-water {
    background: var(--act-solid);
    color: var(--on-act);
    cursor: pointer;
    letter-spacing: 0.04em;
  }
</style>
