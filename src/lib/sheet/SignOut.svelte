<script lang="ts">
  import { forget } from '../foot/outbox';

  /** Entries that have not been delivered are never lost by signing out: they wait on this device. */
  async function signOut(event: SubmitEvent) {
    event.preventDefault();
    const form = event.currentTarget as HTMLFormElement;
    if (!(await forget())) return;
    navigator.serviceWorker?.controller?.postMessage('forget pages');
    form.submit();
  }
</script>

<form method="POST" action="/sign-out" onsubmit={signOut}><button class="quiet">Sign out</button></form>
