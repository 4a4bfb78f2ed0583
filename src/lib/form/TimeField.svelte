<script lang="ts">
  // A time of day: 16:30, 4.30pm, 1630, noon. It is shown by the club's clock.
  import ReadField from './ReadField.svelte';

  let {
    label,
    minutes,
    name,
    optional = false,
    hideLabel = false,
    placeholder,
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
  const two = (n: number) => String(n).padStart(2, '0');
  const words = (m: number) => `${two(Math.floor(m / 60) % 24)}:${two(m % 60)}`;
</script>

<ReadField
  {label}
  value={minutes}
  {words}
  sent={words}
  read={(reader, text) => {
    const read = reader.readTime(text);
    return 'problem' in read ? read : { value: read.minutes };
  }}
  {name}
  {optional}
  {hideLabel}
  {placeholder}
  {problem}
  onchange={(m) => onchange?.(m)}
/>
