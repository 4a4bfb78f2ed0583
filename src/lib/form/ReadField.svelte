<script lang="ts" module>
  import type * as ReadTime from '$core/units/read-time';

  /** What reads days and times is loaded when a field that asks for one is touched. */
  let reader: typeof ReadTime | undefined;
  /** Undefined when it cannot be had: there is no connection, and this device has not kept it. */
  const load = () =>
    import('$core/units/read-time').then(
      (module) => (reader = module),
      () => undefined
    );
</script>

<script lang="ts" generics="T extends string | number">
  // A day or a time, written as the club writes it and read as people say it. What cannot be read is kept and explained.
  import { TextInput } from 'carbon-components-svelte';

  let {
    label,
    value,
    words,
    sent,
    read,
    name,
    optional,
    hideLabel,
    placeholder = '',
    problem,
    onchange
  }: {
    label: string;
    value: T | undefined;
    /** How the club writes it. */ words: (value: T) => string;
    /** How a form sends it. */ sent: (value: T) => string;
    read: (reader: typeof ReadTime, text: string) => { value: T } | { problem: string };
    name: string | undefined;
    optional: boolean;
    hideLabel: boolean;
    placeholder?: string | undefined;
    /** What the server or a rule found wrong with it. */
    problem: string | undefined;
    onchange: (value: T | undefined) => void;
  } = $props();
  /** What stands in the field while it is not read. */
  let wrong = $state<{ text: string; sentence?: string }>();
  /** What was typed, where a form sends it; else the page says what stands. */
  let own = $state<{ value: T | undefined }>();
  const stands = $derived(own ? own.value : value);

  async function typed({ detail }: CustomEvent<string | number | null>) {
    const text = String(detail ?? '').trim();
    if (!reader && text) wrong = { text };
    const by = reader ?? (await load());
    const got =
      !text && optional
        ? { value: undefined }
        : by
          ? read(by, text)
          : { problem: 'It cannot be read without a connection. Type it again.' };
    wrong = 'problem' in got ? { text, sentence: got.problem } : undefined;
    if ('problem' in got) return;
    if (name) own = got;
    onchange(got.value);
  }
  const shown = $derived(wrong?.text ?? (stands === undefined ? '' : words(stands)));
  const sentence = $derived(wrong?.sentence ?? problem);
</script>

<!-- Keyed, so that what was typed gives way to how the club writes it. -->
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
    on:focus={() => void load()}
    on:change={typed}
  />
{/key}
{#if name}<input type="hidden" {name} value={wrong?.text ?? (stands === undefined ? '' : sent(stands))} />{/if}
