<script lang="ts">
  import { mayLeave } from '../outbox/index.svelte';

  /** Entries that have not been delivered are never lost by signing out: they wait on this device. */
  function signOut(event: SubmitEvent) {
    event.preventDefault();
    const form = event.currentTarget as HTMLFormElement;
    if (!mayLeave()) return;
    navigator.serviceWorker?.controller?.postMessage('forget pages');
    form.submit();
  }
</script>

<form method="POST" action="/sign-out" onsubmit={signOut}><button class="quiet">Sign out</button></form>
