<script lang="ts">
  // The Footplate's frame: four columns on a desk, one on a phone with the quick actions under the thumb.
  import type { Snippet } from 'svelte';

  let {
    top,
    doing,
    readings,
    chart,
    line,
    thumb,
    entries,
    links
  }: { top: Snippet; doing: Snippet; readings: Snippet; chart: Snippet; line: Snippet; thumb: Snippet; entries: Snippet; links: Snippet } =
    $props();
</script>

<div class="page">
  <div class="top">{@render top()}</div>
  <div class="grid">
    <section class="box pad do" aria-label="Now and next">{@render doing()}</section>
    <section class="box pad read" aria-label="Readings">{@render readings()}</section>
    <section class="box pad chart" aria-label="Trend">{@render chart()}</section>
    <section class="box pad log" aria-label="Log">
      <div>{@render line()}</div>
      <div class="thumb">{@render thumb()}</div>
      <div class="entries">{@render entries()}</div>
    </section>
  </div>
  {@render links()}
</div>

<style>
  .page {
    max-width: 1600px;
    margin: 0 auto;
    padding: 10px 16px 8px;
    display: flex;
    flex-direction: column;
    gap: 10px;
    height: 100dvh;
    min-height: 660px;
  }
  .top {
    display: grid;
    gap: 8px;
  }
  .grid {
    flex: 1;
    display: grid;
    grid-template-columns: 312px max-content minmax(220px, 1fr) 308px;
    grid-template-rows: minmax(0, 1fr);
    min-height: 0;
  }
  .grid > section {
    display: flex;
    flex-direction: column;
    min-height: 0;
    border-left-width: 0;
    overflow: auto;
  }
  .grid > section:first-child {
    border-left-width: 1px;
  }
  .grid > .read {
    border-right: 0;
  }
  .do {
    gap: 10px;
  }
  .chart {
    border-left: 1px solid var(--rule) !important;
  }
  .log {
    gap: 8px;
  }
  .entries {
    flex: 1;
    min-height: 120px;
    overflow: auto;
    border-bottom: 1px solid var(--rule);
  }
  .thumb {
    display: grid;
    gap: 8px;
  }

  @container page (max-width: 62.5rem) {
    .page {
      padding: 0 8px 88px;
      height: auto;
    }
    .top {
      position: sticky;
      top: 0;
      z-index: 5;
      background: var(--paper);
      padding-top: 6px;
    }
    .grid {
      height: auto;
      grid-template-columns: minmax(0, 1fr);
      grid-template-rows: none;
      gap: 8px;
    }
    .grid > section {
      border: 1px solid var(--ink) !important;
      overflow: visible;
      padding: 8px 10px 10px;
    }
    .read {
      order: 1;
    }
    .do {
      order: 2;
    }
    .log {
      order: 3;
    }
    .chart {
      order: 4;
    }
    /* Under the thumb, whatever the page is scrolled to; what is chosen opens upward. */
    .thumb {
      position: fixed;
      inset: auto 0 0 0;
      z-index: 6;
      max-height: 70dvh;
      overflow-y: auto;
      padding: 8px;
      background: var(--paper);
      border-top: 2px solid var(--ink);
    }
    .entries {
      max-height: 420px;
    }
    /* Under the fold: laid out when it is looked at. */
    .entries,
    .chart {
      content-visibility: auto;
      contain-intrinsic-size: auto 420px;
    }
  }
</style>
