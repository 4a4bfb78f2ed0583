<script lang="ts">
  // A day, written as the club writes it and read as people say it: 13 Jun, 13/6, tomorrow. What cannot be read is kept and explained.
  import { dayWords } from '$core/units';
  import { readDay } from '$core/units/read-time';
  import { TextInput } from 'carbon-components-svelte';
  import { clubZone } from '../sheet/club';

  let {
    label,
    value = '',
    name,
    optional = false,
    hideLabel = false,
    problem,
    onchange
  }: {
    label: string;
    /** 2026-06-13, or empty. */
    value?: string;
    /** Sends the day, written 2026-06-13, with a form. */
    name?: string;
    optional?: boolean;
    hideLabel?: boolean;
    /** What the server or a rule found wrong with it. */
    problem?: string | undefined;
    onchange?: (day: string) => void;
  } = $props();
  /** What stands in the field while it is not a day. */
  let wrong = $state<{ text: string; sentence: string }>();
  let own = $state<string>();
  const day = $derived(own ?? value);

  function typed({ detail }: CustomEvent<string | number | null>) {
    const text = String(detail ?? '').trim();
    const read = !text && optional ? { day: '' } : readDay(text, Date.now(), clubZone());
    wrong = 'problem' in read ? { text, sentence: read.problem } : undefined;
    if ('problem' in read) return;
    if (name) own = read.day;
    onchange?.(read.day);
  }
  const shown = $derived(wrong?.text ?? (day ? dayWords(day) : ''));
  const sentence = $derived(wrong?.sentence ?? problem);
</script>

<!-- Keyed, so that what was typed gives way to how the club writes it. -->
{#key shown}
  <TextInput
    size="sm"
    labelText={label}
    {hideLabel}
    value={shown}
    invalid={sentence !== undefined}
    invalidText={sentence ?? ''}
    autocomplete="off"
    on:change={typed}
  />
{/key}
{#if name}<input type="hidden" {name} value={wrong?.text ?? day} />{/if}
