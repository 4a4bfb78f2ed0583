<script lang="ts">
  // The leak sweep: which walk, where on the drawing, what each place does; what takes up, what grows, what means stop.
  import {
    type Anchor,
    judgePlace,
    judgeSweep,
    judgedWords,
    type Leak,
    leaks,
    placeKinds,
    type PlaceKind,
    sweptIn,
    walkRefused,
    walksOf,
    walkWords
  } from '$core/commission';
  import { picturedIn, registerIn, walkedAt } from '$core/log';
  import { printMarks, usualUnits } from '$core/units';
  import { Modal, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import AsItWas from '../photo/AsItWas.svelte';
  import SweepDrawing from '../draw/SweepDrawing.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock, day } from '../sheet/when';
  import type { Footplate } from './footplate.svelte';
  import PhotoOf from './PhotoOf.svelte';

  let { foot, onclose }: { foot: Footplate; onclose: () => void } = $props();
  const f = $derived(foot.fitOut);
  const text = (t: string) => printMarks(t, unitChoice());
  const spotNames: Record<Anchor, string> = {
    firebox: 'firebox',
    'tubes fire': 'tubes at the fire',
    'tubes front': 'tubes at the front',
    top: 'top of the shell',
    dome: 'dome',
    'glass top': 'glass, top',
    'glass bottom': 'glass, bottom',
    backhead: 'backhead',
    bottom: 'bottom',
    feed: 'feeds',
    'steam pipe': 'steam pipe',
    cylinder: 'cylinders',
    gas: 'gas'
  };
  const register = $derived(registerIn(foot.log));
  const pictured = $derived(picturedIn(foot.log));
  const walks = $derived(walksOf(f));
  /** The walk that the needle is at, until another is chosen. */
  let picked = $state<number>();
  const needle = $derived(foot.state.pressure?.value ?? 0);
  const walk = $derived(picked ?? walks.findLast((p) => p === 0 || needle >= 0.9 * p) ?? 0);
  const waits = $derived(walkRefused(walk, walks, walkedAt(foot.log), foot.now));
  let at = $state<Anchor>();
  const here = $derived(register.filter((p) => p.at === at));
  const isOf = (place: string) => sweptIn(foot.state.swept, place, walk)?.is;
  const spots = $derived(
    [...new Set(register.map((p) => p.at))].map((a) => {
      const of = register.filter((p) => p.at === a);
      const judged = of.flatMap((p) => judgePlace(p, foot.state.swept) ?? []);
      const leaking = of.some((p) => (isOf(p.name) ?? 'dry') !== 'dry');
      return {
        at: a,
        name: spotNames[a],
        left: of.filter((p) => !isOf(p.name)).length,
        is: judged.some((j) => j.stops)
          ? ('stops' as const)
          : leaking
            ? ('leaks' as const)
            : of.some((p) => !isOf(p.name))
              ? ('left' as const)
              : ('dry' as const)
      };
    })
  );
  const left = $derived(register.filter((p) => !isOf(p.name)));
  const found = $derived(judgeSweep(register, foot.state.swept).filter((j) => j.trend !== 'dry'));
  const last = $derived(foot.state.swept.at(-1));
  let open = $state<string>();
  const say = (place: string, is: Leak | 'disturbed') => foot.record('sweep', { place, at: walk, is });
  const allDry = () =>
    foot.enter(here.filter((p) => !isOf(p.name)).map((p) => ({ kind: 'sweep', body: { place: p.name, at: walk, is: 'dry' } })));

  let name = $state('');
  let kind = $state<PlaceKind>('union');
  const add = () => {
    if (foot.enter([{ kind: 'sweep', body: { place: name.trim(), at: walk, is: 'weeps', kind } }])) name = '';
  };
</script>

<Modal open on:close={onclose} passiveModal modalHeading="Leak sweep" size="lg" hasScrollingContent>
  <div class="row" role="group" aria-label="Which walk">
    {#each walks as p (p)}<button class="plain" aria-pressed={p === walk} onclick={() => (picked = p)}
        >{text(walkWords(p, f.workingPressure))}</button
      >{/each}
  </div>
  <p class="second">
    {left.length ? `${left.length} of ${register.length} places left on this walk.` : 'Every place has been looked at on this walk.'} Point where
    you look.
  </p>
  {#if waits}<p class="gate">{text(waits)}</p>{/if}
  {#if foot.refusal}<p class="strip caution" role="alert">▲ {text(foot.refusal)}</p>{/if}
  <SweepDrawing fitOut={f} {spots} chosen={at} onpoint={(a) => ((at = at === a ? undefined : a), (open = undefined))} />
  {#if at}
    <section aria-label={spotNames[at]}>
      <div class="row between">
        <h3>{spotNames[at]}</h3>
        {#if here.filter((p) => !isOf(p.name)).length > 1}<button class="plain" disabled={waits !== undefined} onclick={allDry}
            >All {here.filter((p) => !isOf(p.name)).length} dry</button
          >{/if}
      </div>
      {#each here as p (p.name)}
        {@const is = isOf(p.name)}
        {@const judged = judgePlace(p, foot.state.swept)}
        <div class="place">
          <p>
            <strong>{p.name}</strong>
            <span class="second" class:act={judged?.stops}
              >{judged ? text(judgedWords(judged, f.workingPressure)) : 'not looked at'}{judged?.stops ? '. It means stop' : ''}</span
            >
          </p>
          <div class="row">
            {#each Object.entries(leaks) as [key, word] (key)}<button
                class="plain"
                aria-pressed={is === key}
                disabled={waits !== undefined}
                onclick={() => say(p.name, key as Leak)}>{word}</button
              >{/each}
            <button class="quiet" onclick={() => (open = open === p.name ? undefined : p.name)}>More</button>
          </div>
          {#if pictured.get(p.name)}
            {@const picture = pictured.get(p.name)!}
            <details><summary>As it was, {day(picture.at)}</summary><AsItWas {picture} wp={f.workingPressure} /></details>
          {/if}
          {#if open === p.name}
            <div class="row">
              <button class="plain" onclick={() => (say(p.name, 'disturbed'), (open = undefined))}>Taken apart since</button>
              <PhotoOf {foot} what={p.name} place={p.name} word={pictured.has(p.name) ? 'Photo' : 'Photo to hold it against'} />
              {#if is && is !== 'dry'}<button
                  class="plain"
                  onclick={() => (
                    foot.record('fault', {
                      text: `${p.name}: ${printMarks(judgedWords(judged!, f.workingPressure), usualUnits)}`,
                      forbids: judged!.stops ? 'steaming' : 'nothing',
                      place: p.name,
                      ...(walk ? { pressure: walk } : {})
                    }),
                    (open = undefined)
                  )}>Write a fault</button
                >{/if}
            </div>
          {/if}
        </div>
      {/each}
    </section>
  {/if}
  {#if found.length}
    <h3>Found</h3>
    <ul>
      {#each found as j (j.place)}<li class:act={j.stops}>
          {j.stops ? '× ' : ''}<strong>{j.place}</strong>: {text(judgedWords(j, f.workingPressure))}{j.stops
            ? '. It means stop: fire down, and not raised again before it has been seen to.'
            : ''}
        </li>{/each}
    </ul>
  {/if}
  <details>
    <summary>A place that is not on the list</summary>
    <div class="own">
      <TextInput labelText="What it is called" bind:value={name} maxlength={60} />
      <Select labelText="What it is" bind:selected={kind}
        >{#each Object.entries(placeKinds) as [key, k] (key)}<SelectItem value={key} text={k.name} />{/each}</Select
      >
      <button class="plain" disabled={!name.trim()} onclick={add}>It weeps</button>
    </div>
  </details>
  {#if last}<p class="second">Last: {day(last.when)}, {clock(last.when)}, {last.by}.</p>{/if}
</Modal>

<style>
  h3 {
    font: 600 1.125rem/1.2 var(--narrow);
    margin: 12px 0 4px;
  }
  h3::first-letter {
    text-transform: uppercase;
  }
  .place {
    border-top: 1px solid var(--rule);
    padding: 8px 0;
    display: grid;
    gap: 6px;
  }
  .place p span {
    display: block;
  }
  .place .row {
    gap: 8px;
  }
  .plain[aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
  .own {
    display: grid;
    gap: 8px;
    margin-top: 8px;
    max-width: 26rem;
  }
  details {
    margin-top: 12px;
  }
  summary {
    min-height: 44px;
    padding: 10px 0;
    cursor: pointer;
  }
</style>
