<script lang="ts">
  // What a phone shows, one touch each: the line to say something, the log, the trend, the instruments, all the actions.
  let {
    says = $bindable(),
    view = $bindable(),
    folded = $bindable(),
    more = $bindable()
  }: { says: boolean; view: 'now' | 'log' | 'trend'; folded: boolean; more: boolean } = $props();
  const show = (to: typeof view) => void (view = view === to ? 'now' : to);
</script>

<div class="bar" role="group" aria-label="Show">
  <button class="plain" aria-pressed={says} onclick={() => (says = !says)}>Say</button>
  <button class="plain" aria-pressed={view === 'log'} onclick={() => show('log')}>Log</button>
  <button class="plain" aria-pressed={view === 'trend'} onclick={() => show('trend')}>Trend</button>
  <button class="plain" aria-pressed={folded} onclick={() => (folded = !folded)}>{folded ? 'Dials' : 'Fold dials'}</button>
  <button class="plain" aria-expanded={more} onclick={() => (more = !more)}>{more ? 'Less' : 'More'}</button>
</div>

<style>
  .bar {
    display: none;
  }
  @media (min-height: 36rem) {
    @container page (min-width: 19rem) and (max-width: 37.5rem) {
      .bar {
        display: grid;
        grid-template-columns: repeat(5, minmax(0, 1fr));
        gap: 6px;
      }
      .plain {
        min-height: 44px;
        padding: 4px;
        font-size: 0.9375rem;
      }
      .plain[aria-pressed='true'],
      .plain[aria-expanded='true'] {
        background: var(--ink);
        color: var(--paper);
      }
    }
  }
</style>
