<script lang="ts">
  // A photo is taken or chosen: made smaller, stripped of where it was taken, and given on.
  import type { Picture } from './make';

  let { word = 'Photo', ontaken }: { word?: string | undefined; ontaken: (picture: Picture) => void | Promise<void> } = $props();
  let problem = $state<string>();
  let busy = $state(false);
  const id = $props.id();
  async function take(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const [file] = input.files ?? [];
    if (!file) return;
    busy = true;
    problem = undefined;
    try {
      const { pictureOf } = await import('./make');
      const made = await pictureOf(file);
      if ('problem' in made) problem = made.problem;
      else await ontaken(made);
    } catch {
      problem = 'The picture could not be made just now: try it again.';
    } finally {
      busy = false;
      input.value = '';
    }
  }
</script>

<span class="take">
  <label class="plain" for={id}>{busy ? 'A moment' : word}</label>
  <input {id} class="unseen" type="file" accept="image/*" disabled={busy} onchange={take} />
  {#if problem}<span class="problem" role="alert">{problem}</span>{/if}
</span>

<style>
  .take {
    display: inline-flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    position: relative;
  }
  .take:focus-within .plain {
    outline: 3px solid var(--ink);
    outline-offset: 2px;
  }
</style>
