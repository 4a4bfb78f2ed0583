<script lang="ts">
  // The evidence in full, on paper: each worksheet’s findings, who signed it, its sum; and that it is no certificate.
  import { type Finding, type Last, type Proven, verdicts } from '$core/proof';
  import { printMarks } from '$core/units';
  import { unitChoice } from '../sheet/unit-choice';
  import { dated, dayWords } from '../sheet/when';

  type Made = Last & {
    readonly by: string;
    readonly signedBy: string | null;
    readonly hash?: string;
    readonly findings: readonly Finding[];
  };
  let { proven, rules, now }: { proven: readonly Proven<Made>[]; rules: { readonly name: string; readonly version: number }; now: number } =
    $props();
  const units = $derived(unitChoice());
</script>

<section class="paper">
  <h2>Evidence, worksheet by worksheet</h2>
  {#each proven.filter((p) => p.last?.findings.length) as p (p.key)}
    {@const last = p.last!}
    <article>
      <h3>{p.name}: {verdicts[last.verdict].toLowerCase()}</h3>
      <p>{dayWords(last.day)}, {last.by}. {last.signedBy ? `Signed by the boiler examiner, ${last.signedBy}.` : 'Not signed.'}</p>
      <ul>
        {#each last.findings as x, i (i)}<li>
            {printMarks(x.says, units)}{x.verdict === 'within' || x.verdict === 'seen' ? '' : ` ${verdicts[x.verdict]}.`}
          </li>{/each}
      </ul>
      {#if last.hash}<p class="hash">Sum in the chain: {last.hash}</p>{/if}
    </article>
  {:else}<p>No worksheet has been kept.</p>{/each}
  <p>
    Printed {dated(now)}. This report states evidence and arithmetic, by the rules “{rules.name}”{rules.version
      ? `, version ${rules.version}`
      : ', which are an example and nobody’s rule'}. It is no certificate, and it does not say that the boiler is safe: that is for the
    boiler examiner and the club’s boiler code.
  </p>
  <p class="sign"><span>Boiler examiner</span><span>Day</span></p>
</section>

<style>
  .paper {
    display: none;
  }
  @media print {
    .paper {
      display: block;
      margin-top: 16px;
    }
    h2 {
      font: 600 1.25rem/1.2 var(--narrow);
      margin-bottom: 6px;
    }
    h3 {
      font: 600 1rem/1.3 var(--narrow);
    }
    article {
      break-inside: avoid;
      border-top: 1px solid var(--rule);
      padding: 8px 0;
    }
    ul {
      list-style: disc;
      padding-left: 1.2em;
    }
    .hash {
      font-size: 8pt;
      overflow-wrap: anywhere;
    }
    .sign {
      display: flex;
      gap: 40px;
      margin-top: 14mm;
    }
    .sign span {
      flex: 1;
      border-top: 1px solid var(--ink);
      padding-top: 2px;
    }
  }
</style>
