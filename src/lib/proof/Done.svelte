<script lang="ts">
  // What was done to an engine: what it leaves to be proven again, and what its days showed before and since.
  import { enhance } from '$app/forms';
  import { proofName, type Side, type WorkKey, works } from '$core/proof';
  import { printText } from '$core/units';
  import { keepTyped } from '../form/keep-typed';
  import { unitChoice } from '../sheet/unit-choice';
  import { day } from '../sheet/when';
  import { Select, SelectItem, TextInput } from 'carbon-components-svelte';

  interface Line {
    readonly id: string;
    readonly name: string;
    readonly text: string;
    readonly at: string;
    readonly by: string;
    readonly left: readonly string[];
    readonly beside: { readonly before: Side; readonly after: Side };
  }
  let {
    done,
    can,
    may,
    form
  }: {
    done: readonly Line[];
    /** What can be done to this engine; nothing for whoever may not say it. */
    can: readonly WorkKey[];
    /** Whether this member takes back what was written in error. */
    may: boolean;
    form: { at?: string; problem?: string; field?: string } | null;
  } = $props();
  const units = $derived(unitChoice());
  const wrong = (at: string, field?: string) =>
    form?.at === at && form.problem && (field === undefined || form.field === field) ? form.problem : undefined;
  const rows: readonly [string, (s: Side) => string][] = [
    ['From the match into steam', (s) => (s.raise === undefined ? '–' : printText(s.raise, 'time', units))],
    ['Highest', (s) => (s.highest === undefined ? '–' : printText(s.highest, 'pressure', units))],
    ['Fuel in an hour', (s) => (s.fuel === undefined ? '–' : printText(s.fuel, 'mass', units))]
  ];
</script>

<section class="box pad">
  <h2 class="label">Done to it</h2>
  {#each done as d (d.id)}
    <article>
      <p><strong>{d.name}</strong> <span class="figure">{day(d.at)}</span> <span class="second">{d.by}</span></p>
      <p class="second">{d.text}</p>
      {#if d.left.length}<p class="caution">▲ To be proven again: {d.left.map((k) => proofName(k).toLowerCase()).join(', ')}</p>
      {:else}<p>Proven again since.</p>{/if}
      {#if d.beside.before.days || d.beside.after.days}
        <table class="ruled">
          <thead
            ><tr
              ><th>Middle of the days next to it</th><th class="num">{d.beside.before.days} before</th><th class="num"
                >{d.beside.after.days} since</th
              ></tr
            ></thead
          >
          <tbody
            >{#each rows as [name, of] (name)}<tr
                ><td>{name}</td><td class="num">{of(d.beside.before)}</td><td class="num">{of(d.beside.after)}</td></tr
              >{/each}</tbody
          >
        </table>
      {/if}
      {#if may}
        <details class="no-print">
          <summary>It was not done</summary>
          <form method="POST" action="?/back" class="stack" use:enhance={keepTyped}>
            <input type="hidden" name="work" value={d.id} />
            <TextInput labelText="Why it does not count" name="why" maxlength={300} />
            <button class="plain">Take it back</button>
          </form>
        </details>
      {/if}
    </article>
  {:else}<p class="second">Nothing is written down.</p>{/each}
  {#if wrong('back')}<p class="problem" role="alert">{wrong('back')}</p>{/if}
  {#if can.length}
    <!-- What was written down leaves the fields empty. -->
    {#key done.length}
      <form method="POST" action="?/work" class="stack no-print new" use:enhance={keepTyped}>
        <Select labelText="What was done" name="work"
          ><SelectItem value="" text="choose" />{#each can as key (key)}<SelectItem value={key} text={works[key].name} />{/each}</Select
        >
        <TextInput labelText="With which part" name="text" maxlength={500} />
        {#if wrong('work')}<p class="problem" role="alert">{wrong('work')}</p>{/if}
        <button class="plain go">Write it down</button>
        <p class="second">
          What a changed fit-out tells of stands here by itself. Until all of it is proven again, an engine that takes passengers takes
          none.
        </p>
      </form>
    {/key}
  {/if}
</section>

<style>
  article {
    border-top: 1px solid var(--rule);
    padding: 10px 0;
    break-inside: avoid;
  }
  .new {
    border-top: 1px solid var(--rule);
    padding-top: 12px;
  }
  summary {
    min-height: 44px;
    padding: 10px 0;
    cursor: pointer;
  }
</style>
