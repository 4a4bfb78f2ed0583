<script lang="ts">
  // When it is wanted in steam: enough for a first day sheet.
  import { enhance } from '$app/forms';
  import { keepTyped } from '../form/keep-typed';
  import { dayAfter, isoDayIn } from '$core/units';
  import { Button, Modal, TextInput } from 'carbon-components-svelte';
  import DayField from '../form/DayField.svelte';
  import TimeField from '../form/TimeField.svelte';
  import { clubZone } from '../sheet/club';

  let { open = $bindable(), name, now, problem }: { open: boolean; name: string; now: number; problem?: string | undefined } = $props();
  /** Eleven tomorrow: when most engines are first wanted. */
  const tomorrow = $derived(dayAfter(isoDayIn(now, clubZone()), 1));
</script>

<Modal bind:open passiveModal modalHeading="Plan a steaming of {name}">
  <form method="POST" action="?/plan" class="stack" use:enhance={keepTyped}>
    <DayField label="Wanted in steam on" name="day" value={tomorrow} />
    <TimeField label="At" name="clock" minutes={11 * 60} />
    <TextInput labelText="What it is wanted for" name="purpose" maxlength={60} placeholder="First train, demonstration, steam test" />
    <p class="second">Who comes, the water and the weather are set on the sheet.</p>
    {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
    <Button type="submit">Make the day sheet</Button>
  </form>
</Modal>
