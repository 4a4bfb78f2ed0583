<script lang="ts">
  // A whole observation in one line: echoed while it is typed, asked about when it is implausible, logged on Enter.
  import { page } from '$app/state';
  import type { FitOut } from '$core/engine';
  import { exampleLine, quickLine, type State, type Understood } from '$core/log';
  import { clubNow } from '../outbox/club-time';
  import { unitChoice } from '../sheet/unit-choice';

  let {
    fitOut,
    state: state_,
    due,
    onlog,
    ondone
  }: {
    fitOut: FitOut;
    state: State;
    /** The step at NOW, that “done” at the end of a line calls done. */
    due?: string | undefined;
    /** Whether they were taken. */
    onlog: (entries: readonly Understood[]) => boolean;
    ondone: () => void;
  } = $props();
  // What was not taken as it was is put here to be said again.
  let text = $state(page.url.searchParams.get('say') ?? '');
  let sure = $state(false);
  const finish = /(^|[\s,])done\s*$/i;
  const finishes = $derived(finish.test(text));
  const heard = $derived(quickLine(text.replace(finish, ''), { fitOut, state: state_, units: unitChoice(), now: clubNow() }));
  const asked = $derived(heard.asks.length > 0 && !sure);

  function submit(event: SubmitEvent) {
    event.preventDefault();
    if (heard.problem || (heard.entries.length === 0 && !finishes)) return;
    // The first Enter on an implausible value asks; the second says that it is right.
    if (asked) {
      sure = true;
      return;
    }
    // What is refused stays in the line, to be said otherwise.
    if (heard.entries.length && !onlog(heard.entries)) return;
    // The step is asked about with what has just been logged.
    if (finishes) ondone();
    text = '';
    sure = false;
  }
</script>

<form onsubmit={submit}>
  <label class="unseen" for="quick-line">Quick line: a reading and what you did, such as {exampleLine(fitOut)}</label>
  <input
    id="quick-line"
    autocomplete="off"
    autocapitalize="off"
    spellcheck="false"
    placeholder={exampleLine(fitOut)}
    bind:value={text}
    oninput={() => (sure = false)}
    onkeydown={(e) => e.key === 'Escape' && ((text = ''), e.currentTarget.blur())}
    aria-describedby="quick-echo"
  />
  <p id="quick-echo" role="status" class:problem={heard.problem} class:asks={heard.asks.length > 0}>
    {#if heard.problem}{heard.problem}
    {:else if heard.asks.length}{heard.asks.join(' ')} <strong>{sure ? 'Enter again logs it as typed.' : 'Enter to confirm.'}</strong>
    {:else if heard.echo.length || finishes}<span
        >{[...heard.echo, ...(finishes ? [due ? `done: ${due}` : 'nothing is due to be called done'] : [])].join(' · ')}</span
      ><span class="figure">Enter</span>
    {:else}<span class="second">Say it in one line</span><span class="second">/</span>{/if}
  </p>
</form>

<style>
  input {
    width: 100%;
    height: 48px;
    border: 2px solid var(--ink);
    background: var(--raised);
    color: var(--ink);
    font: 500 1.25rem var(--narrow);
    padding: 0 12px;
  }
  input::placeholder {
    color: var(--ink2);
    opacity: 1;
  }
  p {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    font-size: 0.9375rem;
    min-height: 1.5rem;
    padding: 3px 0 0;
  }
  .asks,
  .problem {
    display: block;
  }
  .asks {
    color: var(--caution);
    font-weight: 500;
  }
</style>
