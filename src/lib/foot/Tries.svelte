<script lang="ts">
  // Tries of a feed: what it did in one touch, with what was so as it was tried; and what parts the ones that worked from the others.
  import { patternsOf, patternWords, triesOf } from '$core/finder';
  import { attemptOrders, attemptResults, overflows } from '$core/log';
  import { feedsAt } from '$core/procedure';
  import { chosenUnit, parseQuantity, printGlass, printMarks, printText } from '$core/units';
  import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { age, day } from '../sheet/when';
  import type { Footplate } from './footplate.svelte';

  let { foot }: { foot: Footplate } = $props();
  const units = $derived(unitChoice());
  const feeds = $derived(feedsAt(foot.fitOut));
  let chosen = $state(0);
  const feed = $derived(feeds[chosen] ?? feeds[0]!);
  let order = $state<(typeof attemptOrders)[number]>();
  let overflow = $state<(typeof overflows)[number]>();
  let tank = $state('');
  const tankT = $derived(tank.trim() ? parseQuantity(tank, 'temperature', chosenUnit('temperature', units)) : undefined);
  const wrong = $derived(
    tankT !== undefined && ('problem' in tankT || tankT.value < 273.15 || tankT.value > 373.15)
      ? `Between ${printText(273.15, 'temperature', units)} and ${printText(373.15, 'temperature', units)}.`
      : ''
  );
  /** What was read longer ago is not what was so as it was tried, ms. */
  const fresh = 5 * 60_000;
  const recent = (at: string | undefined) => at !== undefined && foot.now - Date.parse(at) < fresh;
  const { pressure, glass } = $derived(foot.state);
  const injector = $derived(feed.kind === 'injector');
  const all = $derived([...foot.triesBefore, ...triesOf(foot.log)].filter((t) => t.feed === feed.name));
  const patterns = $derived(patternsOf(all));
  const worked = $derived(all.filter((t) => t.result === 'picked up').length);
  const last = $derived(all.at(-1));

  const log = (result: (typeof attemptResults)[number]) => {
    if (wrong) return;
    foot.record('attempt', {
      feed: feed.name,
      result,
      ...(pressure && recent(pressure.at) ? { pressure: pressure.value } : {}),
      ...(glass && recent(glass.at) ? { glass: glass.value } : {}),
      ...(tankT && 'value' in tankT ? { tank: tankT.value } : {}),
      ...(injector && order ? { order } : {}),
      ...(injector && overflow ? { overflow } : {})
    });
    overflow = undefined;
  };
  // A pump does not pick up.
  const said = $derived(
    injector
      ? ({ 'picked up': 'It picked up', 'knocked off': 'Picked up and knocked off', nothing: 'Nothing came' } as const)
      : ({ 'picked up': 'It fed', 'knocked off': 'Fed and stopped', nothing: 'Nothing came' } as const)
  );
</script>

<section>
  <h3>Tries of a feed</h3>
  {#if feeds.length > 1}<Select labelText="Which feed" bind:selected={chosen}>
      {#each feeds as f, i (f.name)}<SelectItem value={i} text={f.name} />{/each}
    </Select>{/if}
  <p>
    As it is tried: {pressure && recent(pressure.at)
      ? `${printText(pressure.value, 'pressure', units)}, read ${age(pressure.at, foot.now)}`
      : 'needle not read lately'}; {glass && recent(glass.at)
      ? `glass ${printGlass(glass.value)}, ${age(glass.at, foot.now)}`
      : 'glass not read lately'}.
  </p>
  <TextInput
    labelText="Water in the tank, if you know"
    bind:value={tank}
    invalid={Boolean(wrong)}
    invalidText={wrong}
    placeholder={printText(291.15, 'temperature', units)}
  />
  {#if injector}
    {#snippet one(label: string, list: readonly string[], is: string | undefined, pick: (word: string) => void)}
      <p class="label">{label}</p>
      <div class="row" role="group" aria-label={label}>
        {#each list as word (word)}<button class="plain" aria-pressed={is === word} onclick={() => pick(word)}>{word}</button>{/each}
      </div>
    {/snippet}
    {@render one('Which came first', attemptOrders, order, (w) => (order = order === w ? undefined : (w as typeof order)))}
    {@render one('Its overflow', overflows, overflow, (w) => (overflow = overflow === w ? undefined : (w as typeof overflow)))}
  {/if}
  <p class="label">What it did</p>
  <div class="row">
    {#each attemptResults as result (result)}<button class="plain" disabled={Boolean(wrong)} onclick={() => log(result)}
        >{said[result]}</button
      >{/each}
  </div>
  {#if last}
    <p>
      {feed.name}: it fed {worked} of {all.length} times that it was tried{foot.triesBefore.length
        ? `, since ${day(all[0]!.at)}`
        : ' today'}. Last: {said[last.result].toLowerCase()}, {age(last.at, foot.now)}.
    </p>
    {#each patterns as p (p.key)}<p><strong>{printMarks(patternWords(p), units)}</strong></p>{/each}
    {#if patterns.length}<p class="second">
        They go together: chance alone would part them so in fewer than {Math.max(1, Math.ceil(patterns[0]!.chance * 100))} of 100. Which makes
        which, a try with only that changed will tell.
      </p>
    {:else if all.length > 1}<p class="second">Nothing that was recorded parts the ones that worked from the others yet.</p>{/if}
  {/if}
</section>
