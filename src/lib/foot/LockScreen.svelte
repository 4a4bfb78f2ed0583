<script lang="ts">
  // Whether a locked screen says anything, and plainly what it does not.
  import { allowNotices, noticesAllowed } from './notices';

  let allowed = $state(noticesAllowed());
</script>

{#if allowed === 'cannot'}
  <p class="second">This browser shows no notifications of ours: with the screen locked, or the page out of sight, nothing is said.</p>
{:else if allowed === 'no'}
  <p class="second">Notifications are refused for this site in the browser’s settings: with the screen locked nothing is said.</p>
{:else}
  {#if allowed === 'ask'}<p>
      <button class="plain" onclick={async () => (allowed = await allowNotices())}>Say it on the locked screen</button>
    </p>
  {:else}<p>While it is in steam and this page is out of sight, a notification says what was last read and what is the matter.</p>{/if}
  <p class="second">A locked phone may put this page to sleep, and then it says nothing. Keep the screen on where you steam alone.</p>
{/if}
