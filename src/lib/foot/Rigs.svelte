<script lang="ts">
  // Temporary rigs: what is on for a trial, whose, and by when it must be off again.
  import { overdue, rigKeys, rigParts, type RigPart, rigWords } from '$core/commission';
  import { chosenUnit, parseQuantity, printMarks, printText } from '$core/units';
  import { Modal, Select, SelectItem, TextInput } from 'carbon-components-svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { clock, moment } from '../sheet/when';
  import type { Footplate } from './footplate.svelte';

  let { foot, onclose }: { foot: Footplate; onclose: () => void } = $props();
  const units = $derived(unitChoice());
  const on = $derived(Object.values(foot.state.rigs));
  const late = $derived(new Set(overdue(foot.state.rigs, foot.now)));
  let part = $state<RigPart>('borrowed steam');
  let which = $state('');
  let of = $state('');
  let lasts = $state('');
  const read = $derived(lasts.trim() ? parseQuantity(lasts, 'time', chosenUnit('time', units)) : undefined);
  const wrong = $derived(read && 'problem' in read ? read.problem : undefined);
  const put = () => {
    const body = {
      part,
      on: true,
      ...(which.trim() ? { which: which.trim() } : {}),
      ...(part === 'borrowed steam' && of.trim() ? { of: of.trim() } : {}),
      ...(read && 'value' in read ? { for: read.value } : {})
    };
    if (foot.enter([{ kind: 'rig', body }])) [which, of, lasts] = ['', '', ''];
  };
  const until = (iso: string) => (Date.parse(iso) - foot.now < 18 * 3600_000 ? clock(iso) : moment(new Date(iso)));
</script>

<Modal open on:close={onclose} passiveModal modalHeading="Temporary rigs" size="sm" hasScrollingContent>
  {#each on as r (rigWords(r))}
    <div class="on" class:late={late.has(r)}>
      <p>
        <strong>{rigWords(r)}</strong>
        <span class="second">on since {clock(r.since)}, {r.by}. {late.has(r) ? '▲ Was to be off by' : 'Off by'} {until(r.until)}</span>
      </p>
      <button class="plain" onclick={() => foot.record('rig', { part: r.part, on: false, ...(r.which ? { which: r.which } : {}) })}
        >Off again</button
      >
    </div>
  {:else}<p class="second">Nothing is on that must come off again.</p>{/each}
  <form
    onsubmit={(e) => {
      e.preventDefault();
      put();
    }}
  >
    <Select labelText="What is put on" bind:selected={part}
      >{#each rigKeys as key (key)}<SelectItem value={key} text={rigParts[key].name} />{/each}</Select
    >
    {#if part === 'borrowed steam'}<TextInput
        labelText="Whose boiler"
        bind:value={of}
        maxlength={80}
        helperText="By the name it has in the Yard: its papers are looked at."
      />{/if}
    <TextInput labelText="Where, or what of it" bind:value={which} maxlength={60} placeholder={part === 'lever' ? 'on the whistle' : ''} />
    <TextInput
      labelText={rigParts[part].lasts}
      bind:value={lasts}
      invalid={Boolean(wrong)}
      invalidText={wrong}
      placeholder={printText(part === 'borrowed steam' ? 1500 : 7200, 'time', units)}
    />
    {#if foot.refusal}<p class="strip caution" role="alert">▲ {printMarks(foot.refusal, units)}</p>{/if}
    <button class="plain go">Put on</button>
  </form>
</Modal>

<style>
  .on {
    display: flex;
    gap: 12px;
    align-items: center;
    justify-content: space-between;
    border-bottom: 1px solid var(--rule);
    padding: 8px 0;
  }
  .on p span {
    display: block;
  }
  .late {
    color: var(--caution);
  }
  form {
    display: grid;
    gap: 12px;
    margin-top: 12px;
  }
</style>
