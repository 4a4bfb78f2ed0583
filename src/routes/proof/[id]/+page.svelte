<script lang="ts">
  // A worksheet as it was kept: what was read, what it comes to, by which rules, and who signed it.
  import { enhance } from '$app/forms';
  import { sheetOf } from '$core/proof';
  import Findings from '$lib/proof/Findings.svelte';
  import Written from '$lib/proof/Written.svelte';
  import TitleBlock from '$lib/sheet/TitleBlock.svelte';
  import { dated, day } from '$lib/sheet/when';

  let { data, form } = $props();
  const { sheet, signature } = $derived(data);
  const of = $derived(sheet && sheetOf(sheet.sheet));
  const name = $derived(of?.name ?? 'Worksheet');
</script>

<svelte:head><title>{name} · Joram</title></svelte:head>
<div class="sheet">
  <TitleBlock
    cells={[
      { label: 'Worksheet', value: name, wide: true },
      ...(sheet
        ? [
            { label: 'Engine', value: sheet.engine.name, href: `/engines/${sheet.engine.id}` },
            { label: 'Made', value: dated(sheet.at), more: sheet.by },
            { label: 'Signed', value: signature ? day(signature.at) : 'not signed', ...(signature ? { more: signature.by } : {}) }
          ]
        : [])
    ]}
  >
    {#snippet action()}<button class="plain" onclick={() => print()}>Print</button>{/snippet}
  </TitleBlock>
  {#if data.broken}<p class="strip act" role="alert">
      ■ This worksheet or its signature is not as it was written. Nothing on it counts: tell the owner, who can run “joram verify”.
    </p>{/if}
  {#if sheet && of}
    <div class="beside" style="--left: 0.85fr">
      <section class="box pad">
        <h2 class="label">What was read</h2>
        <Written field={of.fields(sheet.fitOut)} value={sheet.body} />
        <h2 class="label rules">Judged by</h2>
        <p>{sheet.rules.name}{sheet.rules.version ? `, version ${sheet.rules.version}` : ''}</p>
        <p class="second">{sheet.rules.source}</p>
      </section>
      <div class="stack">
        <section class="box pad">
          <h2 class="label">What it comes to</h2>
          <Findings findings={sheet.findings} verdict={sheet.verdict} />
        </section>
        <section class="box pad">
          <h2 class="label">The boiler examiner</h2>
          {#if signature}
            <p><strong>{signature.by}</strong> <span class="second">{dated(signature.at)}</span></p>
            <p>{signature.note}</p>
          {:else if data.rights.includes('sign as examiner') && !data.broken}
            <form method="POST" action="?/sign" class="stack" use:enhance>
              <label class="note"
                >What was witnessed, and what is left to do<textarea class="field" name="note" rows="3" maxlength="2000" required
                ></textarea></label
              >
              {#if form && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}
              <button class="plain go">Sign as the boiler examiner</button>
            </form>
          {:else}<p class="second">Signed only by a member who is the boiler examiner, under their own name.</p>{/if}
        </section>
        <p class="second hash">Its sum, in the chain: {data.hash}</p>
      </div>
    </div>
  {/if}
</div>

<style>
  .strip {
    margin-top: 12px;
  }
  .rules {
    margin-top: 16px;
  }
  .note {
    display: grid;
    gap: 4px;
  }
  .hash {
    font-size: 0.75rem;
    overflow-wrap: anywhere;
  }
</style>
