<script lang="ts">
  // Where it is on the engine, the needle at which it shows, and pictures of it; told here where it was found with nothing in steam.
  import { enhance } from '$app/forms';
  import { invalidateAll } from '$app/navigation';
  import type { Pictured } from '$core/commission';
  import { chosenUnit, parseQuantity, printText } from '$core/units';
  import { sendPicture } from '../outbox/post';
  import { keepPicture, pictureGone } from '../photo/keep';
  import type { Picture } from '../photo/make';
  import AsItWas from '../photo/AsItWas.svelte';
  import Photo from '../photo/Photo.svelte';
  import Take from '../photo/Take.svelte';
  import { unitChoice } from '../sheet/unit-choice';
  import { day } from '../sheet/when';

  let {
    fault,
    places,
    photos,
    asItWas,
    wp,
    open,
    problem
  }: {
    fault: { id: string; text: string; place: string | null; pressure: number | null };
    places: readonly string[];
    photos: readonly { sum: string; what: string; at: Date; by: string }[];
    asItWas: Pictured | null;
    wp: number;
    open: boolean;
    problem?: string | undefined;
  } = $props();
  const units = $derived(unitChoice());
  const unit = $derived(chosenUnit('pressure', units));
  // What stands there is not lost with a change of the place.
  // svelte-ignore state_referenced_locally
  let needle = $state(fault.pressure === null ? '' : printText(fault.pressure, 'pressure', unitChoice()));
  const read = $derived(needle.trim() ? parseQuantity(needle.trim(), 'pressure', unit) : undefined);
  let failed = $state<string>();

  async function send(picture: Picture) {
    failed = undefined;
    await keepPicture(picture);
    const answer = await sendPicture(picture.sum);
    await pictureGone(picture.sum);
    if (answer.is !== 'taken') {
      failed =
        'sentence' in answer
          ? answer.sentence
          : answer.is === 'signed out'
            ? 'Nobody is signed in any more: sign in, and take the picture again.'
            : 'The picture did not reach the club. Take it again where there is a connection; the log of a steaming keeps it meanwhile.';
      return;
    }
    const body = new FormData();
    body.set('sum', picture.sum);
    body.set('what', fault.text.slice(0, 200));
    const told = await fetch('?/photo', { method: 'POST', body }).catch(() => undefined);
    if (!told?.ok) failed = 'The picture is kept, but was not told to this fault: take it once more.';
    await invalidateAll();
  }
</script>

<section class="box pad" aria-label="Where it is">
  <h2 class="label">Where it is</h2>
  {#if fault.place}<p>{fault.place}{fault.pressure === null ? '' : `, at ${printText(fault.pressure, 'pressure', units)}`}</p>{/if}
  <div class="row">
    {#if asItWas && photos.every((p) => p.sum !== asItWas.sum)}<AsItWas picture={asItWas} {wp} />{/if}
    {#each photos as p (p.sum)}<Photo sum={p.sum} what="{p.what}, {day(p.at)}, {p.by}" />{/each}
  </div>
  {#if problem ?? failed}<p class="problem" role="alert">{problem ?? failed}</p>{/if}
  {#if open}
    <form method="POST" action="?/placed" class="fields" use:enhance>
      <label
        >Place<input class="field" name="place" list="places" maxlength="60" required autocomplete="off" value={fault.place ?? ''} /></label
      >
      <datalist id="places"
        >{#each places as p (p)}<option value={p}></option>{/each}</datalist
      >
      <label
        >It shows at, {unit}, if you know<input
          class="field"
          inputmode="decimal"
          autocomplete="off"
          aria-invalid={read !== undefined && 'problem' in read}
          bind:value={needle}
        /></label
      >
      {#if read && 'problem' in read}<p class="problem">{read.problem}</p>{/if}
      {#if read && 'value' in read}<input type="hidden" name="pressure" value={read.value} />{/if}
      <button class="plain" disabled={read !== undefined && 'problem' in read}
        >{fault.place ? 'Write the change down' : 'Write the place down'}</button
      >
    </form>
  {/if}
  <Take word="Add a photo" ontaken={send} />
</section>

<style>
  .fields {
    display: grid;
    grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) auto;
    gap: 8px;
    align-items: end;
    margin: 8px 0;
  }
  label {
    display: grid;
    gap: 2px;
  }
  .problem {
    grid-column: 1 / -1;
  }
  @container page (max-width: 37.5rem) {
    .fields {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
