<script lang="ts">
  // A day: 13 Jun, 13/6, tomorrow.
  import { dayWords } from '$core/units';
  import { clubNow } from '../outbox/club-time';
  import { clubZone } from '../sheet/club';
  import ReadField from './ReadField.svelte';

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
</script>

<ReadField
  {label}
  value={value || undefined}
  words={dayWords}
  sent={(day) => day}
  read={(reader, text) => {
    const read = reader.readDay(text, clubNow(), clubZone());
    return 'problem' in read ? read : { value: read.day };
  }}
  {name}
  {optional}
  {hideLabel}
  {problem}
  onchange={(day) => onchange?.(day ?? '')}
/>
