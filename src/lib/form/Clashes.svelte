<script lang="ts">
  // What two people changed at once, place by place: what only one changed is taken from both, what both changed is chosen.
  import { type Merged, put } from '$core/form';
  import { Button, RadioButton, RadioButtonGroup } from 'carbon-components-svelte';

  let {
    by,
    merged,
    place,
    said,
    saveWord = 'Save both',
    onsettled,
    ontheirs
  }: {
    by: string | null;
    merged: Merged;
    place: (path: string) => string;
    said: (path: string, value: unknown) => string;
    saveWord?: string;
    onsettled: (document: unknown) => void;
    /** Takes theirs as it stands, and drops what was changed here. */ ontheirs: () => void;
  } = $props();
  let chosen = $state<Record<string, 'theirs' | 'mine'>>({});
  const who = $derived(by ?? 'Somebody else');
  const open = $derived(merged.clashes.filter((c) => !chosen[c.path]).length);
  const settle = () =>
    onsettled(
      merged.clashes.reduce((document, c) => (chosen[c.path] === 'theirs' ? put(document, c.path, c.theirs) : document), merged.document)
    );
</script>

<section class="strip caution clashes" role="alert" aria-label="Changed meanwhile">
  <p>
    ▲ {who} saved a change of this while you made yours. Nothing of either is lost: what only one of you changed is taken from both{merged
      .clashes.length
      ? '; what both of you changed, choose.'
      : '.'}
  </p>
  {#if merged.taken.length}<ul>
      {#each merged.taken as t (t.path)}<li>{place(t.path)}: {said(t.path, t.was)} → <b>{said(t.path, t.theirs)}</b>, by {who}</li>{/each}
    </ul>{/if}
  {#each merged.clashes as c (c.path)}<div class="clash">
      <RadioButtonGroup
        legendText="{place(c.path)} (was {said(c.path, c.was)})"
        selected={chosen[c.path]}
        on:change={({ detail }) => (chosen = { ...chosen, [c.path]: detail as 'theirs' | 'mine' })}
      >
        <RadioButton value="theirs" labelText="{who}: {said(c.path, c.theirs)}" />
        <RadioButton value="mine" labelText="You: {said(c.path, c.mine)}" />
      </RadioButtonGroup>
    </div>{/each}
  <div class="row">
    <Button size="small" disabled={open > 0} on:click={settle}>{open ? `${open} to choose` : saveWord}</Button>
    <Button size="small" kind="ghost" on:click={ontheirs}>Drop mine, take {by ? `${by}’s` : 'theirs'}</Button>
  </div>
</section>

<style>
  .clashes {
    margin: 12px 0;
    max-height: 70vh;
    overflow-y: auto;
  }
  ul {
    margin: 8px 0 0 1.2em;
    list-style: disc;
  }
  .clash,
  .row {
    margin-top: 12px;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
</style>
