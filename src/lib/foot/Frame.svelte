<script lang="ts">
  // The Footplate's frame: four columns on a desk. On a phone one fixed frame in which nothing lies under anything: the readings and the drill
  // at the top, the instruments, what is due with its button, and what the thumb does; log and trend are one touch away.
  import type { Snippet } from 'svelte';
  import Later from '../here/Later.svelte';
  import FrameBar from './FrameBar.svelte';

  let {
    top,
    head,
    doing,
    readings,
    chart,
    line,
    thumb,
    undo,
    entries,
    links,
    saying = false
  }: {
    top: Snippet;
    /** What the phone has instead of the title block. */ head: Snippet;
    doing: Snippet;
    readings: Snippet;
    chart: Snippet;
    line: Snippet;
    /** The quick actions: all of them, or those under the thumb; and what to call when one was taken. */
    thumb: Snippet<[boolean, () => void]>;
    undo: Snippet;
    entries: Snippet;
    links: Snippet;
    /** Something was brought along to be said. */ saying?: boolean;
  } = $props();

  let view = $state<'now' | 'log' | 'trend'>('now');
  let more = $state(false);
  // svelte-ignore state_referenced_locally
  let says = $state(saying);
  let folded = $state(false);
  /** How high the place of NOW is, px: its text scrolls in it. */
  let room = $state(600);
</script>

<div class="page" data-view={view}>
  <div class="top">
    <div class="head">{@render head()}</div>
    {@render top()}
  </div>
  <div class="grid">
    <section class="box pad do" aria-label="Now and next" bind:clientHeight={room} style:--room="{room}px">{@render doing()}</section>
    <section class="box pad read" class:folded aria-label="Readings">{@render readings()}</section>
    <section class="box pad chart" aria-label="Trend"><Later children={chart} /></section>
    <section class="box pad hand" aria-label="Say and do">
      <div class="line" class:shut={!says}><Later children={line} /></div>
      <div class="undo"><Later children={undo} /></div>
      <div class="thumb"><Later>{@render thumb(more, () => void (more = false))}</Later></div>
      <FrameBar bind:says bind:view bind:folded bind:more />
    </section>
    <section class="box pad log" aria-label="Log">
      <div class="entries"><Later children={entries} /></div>
    </section>
  </div>
  <div class="foot"><Later children={links} /></div>
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
  .head {
    display: none;
  }
  .grid {
    flex: 1;
    display: grid;
    grid-template-columns: 312px max-content minmax(220px, 1fr) 308px;
    grid-template-rows: auto minmax(0, 1fr);
    grid-template-areas: 'do read chart hand' 'do read chart log';
    min-height: 0;
  }
  .do {
    grid-area: do;
    gap: 10px;
  }
  .read {
    grid-area: read;
  }
  .chart {
    grid-area: chart;
  }
  .hand {
    grid-area: hand;
    gap: 8px;
  }
  .log {
    grid-area: log;
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
  .chart {
    border-left: 1px solid var(--rule) !important;
  }
  .grid > .hand {
    border-bottom: 0;
    padding-bottom: 0;
  }
  .grid > .log {
    border-top: 0;
    padding-top: 8px;
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

  /* Between the two, and a phone whose letters are large: one column, read by scrolling, the quick actions under the thumb. */
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
      display: flex;
      flex-direction: column;
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
    .hand {
      order: 3;
    }
    .log {
      order: 4;
    }
    .chart {
      order: 5;
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

  /* A phone held upright. */
  @media (min-height: 36rem) {
    @container page (min-width: 19rem) and (max-width: 37.5rem) {
      .page {
        height: 100dvh;
        min-height: 0;
        padding: 0;
        gap: 0;
      }
      .top {
        position: static;
        padding: 0;
        gap: 0;
        flex: none;
      }
      .top :global(header.block),
      .page:not([data-view='log']) .foot {
        display: none;
      }
      .foot {
        order: 3;
        flex: none;
        padding: 0 10px;
      }
      .head {
        display: block;
      }
      .grid {
        display: contents;
      }
      .grid > section {
        border-width: 0 0 1px !important;
        padding: 4px 10px;
      }
      .read {
        flex: 0 0 clamp(12.5rem, 29dvh, 15.5rem);
        overflow: hidden !important;
      }
      .read.folded {
        display: none !important;
      }
      .do,
      .log,
      .chart {
        flex: 1 1 0;
        overflow: auto !important;
        padding-top: 8px !important;
      }
      .log,
      .chart {
        order: 2;
        display: none !important;
        content-visibility: visible;
      }
      .page[data-view='log'] .log,
      .page[data-view='trend'] .chart {
        display: flex !important;
      }
      .page[data-view='log'] .do,
      .page[data-view='trend'] .do {
        display: none !important;
      }
      .entries {
        max-height: none;
        overflow: visible;
        content-visibility: visible;
        border: 0;
      }
      .hand {
        order: 4;
        flex: none;
        gap: 6px;
        padding: 6px 8px !important;
        border-top: 2px solid var(--ink) !important;
        max-height: 75dvh;
        overflow: auto !important;
      }
      .line.shut {
        display: none;
      }
      .thumb {
        position: static;
        max-height: none;
        padding: 0;
        border: 0;
      }
    }
  }
</style>
