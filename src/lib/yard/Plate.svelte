<script lang="ts">
  // An engine's plate in the Yard: what it is, how it stands and since when, and the one thing that most needs doing.
  import { type EngineLine, type InSteam, plate } from '../sheet/plate';
  import { unitChoice } from '../sheet/unit-choice';

  let { line, steam, now }: { line: EngineLine; steam: InSteam | undefined; now: number } = $props();
  const p = $derived(plate(line, steam, unitChoice(), now));
</script>

<div class="plate">
  <div class="name">
    <h3><a href="/engines/{line.id}">{line.name}</a></h3>
    <p class="second">{line.description}, {line.scale}</p>
  </div>
  <div class="state">
    <p class="figure">{p.state}</p>
    <p class="second">{p.since}</p>
  </div>
  <p class="need {p.tone}">
    {#if p.tone}<span aria-hidden="true">{p.tone === 'act' ? '■ ' : '▲ '}</span>{/if}{p.need}
  </p>
  <div class="do">
    {#if steam}<a class="plain go" href="/footplate/{steam.id}">Footplate</a>
    {:else if line.planned}<a class="plain" href="/day/{line.planned.id}">Day sheet</a>
    {:else if line.building}<a class="plain" href="/build/{line.id}">Build</a>
    {:else}<a class="plain" href="/engines/{line.id}">Open</a>{/if}
  </div>
</div>

<style>
  .plate {
    display: grid;
    grid-template-columns: minmax(0, 14rem) minmax(0, 19rem) minmax(0, 1fr) 7.5rem;
    gap: 4px 20px;
    align-items: center;
    padding: 7px 8px 7px 16px;
  }
  h3 {
    font: 600 1.25rem/1.2 var(--narrow);
    text-transform: uppercase;
    letter-spacing: 0.01em;
  }
  h3 a {
    display: inline-block;
    min-height: 24px;
    color: inherit;
    text-decoration: none;
  }
  h3 a:hover {
    text-decoration: underline;
  }
  .second {
    font-size: 0.9375rem;
  }
  .figure {
    white-space: normal;
  }
  .need {
    overflow-wrap: anywhere;
  }
  .need.act,
  .need.caution {
    font-weight: 500;
  }
  .do > :global(a) {
    width: 100%;
  }
  @container page (max-width: 50rem) {
    .plate {
      grid-template-columns: minmax(0, 1fr) auto;
      padding: 10px 8px 10px 12px;
    }
    .state {
      grid-column: 1;
    }
    .need {
      grid-column: 1;
    }
    .do {
      grid-area: 1 / 2 / 4 / 3;
      align-self: center;
    }
  }
</style>
