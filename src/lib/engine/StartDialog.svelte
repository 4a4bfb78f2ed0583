<script lang="ts">
  // The start of a steaming: what stops it, what it is for, and which plan it is begun from. Another day's plan is never taken unasked.
  import type { SubmitFunction } from '@sveltejs/kit';
  import { applyAction, enhance } from '$app/forms';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { type OccasionKey, occasionKeys, occasionOf, occasions } from '$core/commission';
  import { barsOf, type Standing } from '$core/faults';
  import { isoDayIn, Refusal } from '$core/units';
  import { Button, Modal, Select, SelectItem, TextArea, TextInput } from 'carbon-components-svelte';
  import { clubZone } from '../sheet/club';
  import { moment } from '../sheet/when';

  let {
    open = $bindable(),
    engine,
    name,
    about,
    mayOverride,
    problem
  }: {
    open: boolean;
    engine: string;
    name: string;
    about: {
      now: number;
      /** What is known of it, by which each occasion is barred or not. */
      standing: Standing;
      passengers: readonly string[];
      /** Whether it ever carries anybody. */
      carries: boolean;
      plans: readonly { id: string; wantedAt: Date; purpose: string }[];
    };
    mayOverride: boolean;
    problem?: string | undefined;
  } = $props();
  const { now, passengers, carries, plans } = $derived(about);
  /** What this device says stops it, where there is no connection. */
  let stopsHere = $state.raw<readonly string[]>([]);
  let problemHere = $state<string>();
  let chosen = $state<OccasionKey>('running');
  let carrying = $state(false);
  const occasion = $derived(occasionOf(chosen));
  // What this device said stops one occasion says nothing of another.
  $effect(() => {
    void chosen;
    stopsHere = [];
  });
  const bars = $derived(barsOf(about.standing, isoDayIn(now, clubZone()), { occasion: chosen, public: carrying && chosen === 'running' }));
  const stops = $derived([...bars, ...stopsHere.filter((s) => !bars.includes(s))]);
  const said = $derived(problemHere ?? problem);
  const barred = $derived(stops.length > 0);
  const zone = $derived(clubZone());
  const today = $derived(plans.find((p) => isoDayIn(p.wantedAt, zone) === isoDayIn(now, zone)));

  /** Where there is no connection, it is begun on this device. The id goes with the form: what was begun there after all is the same one. */
  const begin: SubmitFunction = async ({ formData, cancel }) => {
    const { newHereId, beginHere } = await import('../here/begin');
    const id = newHereId();
    formData.set('id', id);
    problemHere = undefined;
    const { member, rights, zone } = page.data;
    if (!member) return cancel();
    return async ({ result }) => {
      // An answer has a status; where there is none, nobody was reached.
      if (result.type !== 'error' || result.status !== undefined) return applyAction(result);
      const field = (key: string) => String(formData.get(key) ?? '').trim();
      try {
        await beginHere({
          id,
          engine,
          purpose: field('purpose').slice(0, 120),
          public: field('public') === 'yes',
          occasion: chosen,
          reason: field('reason').slice(0, 1000) || undefined,
          plan: field('plan') || null,
          member,
          rights,
          zone
        });
        await goto(`/footplate/${id}`);
      } catch (no) {
        if (no instanceof Refusal && Array.isArray(no.more.stops)) stopsHere = no.more.stops as string[];
        problemHere =
          no instanceof Refusal ? no.sentence : 'There is no connection, and this device keeps nothing: it cannot be begun here.';
      }
    };
  };
</script>

<Modal bind:open passiveModal modalHeading={chosen === 'running' ? `Start steaming ${name}` : `${occasion.name}: ${name}`}>
  <form method="POST" action="?/start" class="stack" use:enhance={begin}>
    <Select
      labelText="Occasion"
      name="occasion"
      bind:selected={chosen}
      helperText="{occasion.says[0]!.toUpperCase()}{occasion.says.slice(1)}."
    >
      {#each occasionKeys as key (key)}<SelectItem value={key} text={occasions[key].name} />{/each}
    </Select>
    {#if barred}
      <div class="strip act">
        <strong>{occasion.by === 'own fire' ? 'It may not be steamed as it stands:' : 'Not yet:'}</strong>
        <ul>
          {#each stops as stop (stop)}<li>{stop}</li>{/each}
        </ul>
      </div>
    {/if}
    {#if passengers.length && chosen === 'running'}<p class="strip">▲ Not with passengers: {passengers.join('; ')}.</p>{/if}
    {#if !barred || mayOverride}
      <TextInput
        labelText="What for"
        name="purpose"
        maxlength={120}
        placeholder={chosen === 'running' ? 'Public running, members’ day' : ''}
      />
      {#if carries && chosen === 'running'}
        <label class="public"
          ><input type="checkbox" name="public" value="yes" bind:checked={carrying} /><span
            >Public running <span class="second">The club’s rule for proven feeds is held before anybody is carried.</span></span
          ></label
        >
      {/if}
      {#if plans.length && chosen === 'running'}
        <Select labelText="Begun from" name="plan" selected={today?.id ?? ''}>
          {#each plans as p (p.id)}<SelectItem
              value={p.id}
              text="the day sheet for {moment(p.wantedAt)}{p.purpose ? `, ${p.purpose}` : ''}{p === today ? '' : ' (not today)'}"
            />{/each}
          <SelectItem value="" text="no day sheet" />
        </Select>
      {/if}
      {#if barred}
        <TextArea labelText="Why is it steamed all the same? This stays in the record." name="reason" rows={3} maxlength={1000} required />
        <p class="second">
          An override is yours to answer for. It changes no certificate, and the club’s boiler code and the examiner come before it.
        </p>
      {/if}
      {#if said}<p class="problem" role="alert">{said}</p>{/if}
      <Button type="submit" kind={barred ? 'danger' : 'primary'}>{barred ? 'Start it all the same' : 'Start'}</Button>
    {:else}
      <p>A steward or an owner may override this with a written reason. Fix the fault or renew the paper, or ask one of them.</p>
    {/if}
  </form>
</Modal>

<style>
  .public {
    display: flex;
    gap: 12px;
    align-items: center;
    min-height: 44px;
    cursor: pointer;
  }
  .public .second {
    display: block;
  }
  input[type='checkbox'] {
    accent-color: var(--works);
    width: 22px;
    height: 22px;
    flex: none;
  }
</style>
