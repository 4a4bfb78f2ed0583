<script lang="ts">
  // A time of day: 16:30, 4.30pm, 1630, noon. It is shown by the club's clock; what cannot be read is kept and explained.
  import { readTime } from '$core/units/read-time';
  import { TextInput } from 'carbon-components-svelte';

  let {
    label,
    minutes,
    name,
    optional = false,
    hideLabel = false,
    placeholder = '',
    problem,
    onchange
  }: {
    label: string;
    /** Since midnight; undefined while there is none. */
    minutes?: number | undefined;
    /** Sends the time, written 16:30, with a form. */
    name?: string;
    optional?: boolean;
    hideLabel?: boolean;
    placeholder?: string;
    problem?: string | undefined;
    onchange?: (minutes: number | undefined) => void;
  } = $props();
  let wrong = $state<{ text: string; sentence: string }>();
  let own = $state<number>();
  const two = (n: number) => String(n).padStart(2, '0');
  const words = (m: number | undefined) => (m === undefined ? '' : `${two(Math.floor(m / 60) % 24)}:${two(m % 60)}`);

  function typed({ detail }: CustomEvent<string | number | null>) {
    const text = String(detail ?? '').trim();
    const read = !text && optional ? { minutes: undefined } : readTime(text);
    wrong = 'problem' in read ? { text, sentence: read.problem } : undefined;
    if ('problem' in read) return;
    if (name) own = read.minutes;
    onchange?.(read.minutes);
  }
  const shown = $derived(wrong?.text ?? words(own ?? minutes));
  const sentence = $derived(wrong?.sentence ?? problem);
</script>

{#key shown}
  <TextInput
    size="sm"
    labelText={label}
    {hideLabel}
    {placeholder}
    value={shown}
    invalid={sentence !== undefined}
    invalidText={sentence ?? ''}
    autocomplete="off"
    inputmode="text"
    on:change={typed}
  />
{/key}
{#if name}<input type="hidden" {name} value={shown} />{/if}
