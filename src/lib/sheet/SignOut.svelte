<script lang="ts">
  import { forgetHeard } from '../outbox/heard';
  import { mayLeave } from '../outbox/index.svelte';

  /** Entries that have not been delivered are never lost by signing out: they wait on this device. */
  function signOut(event: SubmitEvent) {
    event.preventDefault();
    const form = event.currentTarget as HTMLFormElement;
    if (!mayLeave()) return;
    // No club's pages and logs stay on the device.
    navigator.serviceWorker?.controller?.postMessage('forget pages');
    const patience = new Promise((done) => setTimeout(done, 1000));
    void Promise.race([forgetHeard(true), patience]).then(() => form.submit());
  }
</script>

<form method="POST" action="/sign-out" onsubmit={signOut}><button class="quiet">Sign out</button></form>
