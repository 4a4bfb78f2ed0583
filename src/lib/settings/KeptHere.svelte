<script lang="ts">
  // What this device keeps for a day without a connection, how much that is, and whether the browser may clear it away.
  import type { DeviceBook } from '$core/faults';
  import { onMount } from 'svelte';
  import { waitingHere } from '../outbox/index.svelte';
  import { age } from '../sheet/when';

  interface Kept {
    /** Plain http, a private window, an old browser. */
    readonly possible: boolean;
    readonly book: Pick<DeviceBook, 'at' | 'engines'> | undefined;
    readonly pages: number;
    readonly logs: number;
    /** Of all that this site keeps here, bytes. */
    readonly size: number | undefined;
    readonly persisted: boolean;
  }
  let kept = $state.raw<Kept>();
  let now = $state(Date.now());

  async function look() {
    now = Date.now();
    const cache = 'caches' in globalThis ? await caches.open('joram-pages').catch(() => undefined) : undefined;
    const keys = cache ? (await cache.keys()).map((request) => new URL(request.url).pathname) : [];
    const book = await cache?.match('/api/book');
    kept = {
      possible: 'serviceWorker' in navigator && cache !== undefined,
      book: book && ((await book.json()) as DeviceBook),
      pages: keys.filter((key) => key.endsWith('/__data.json')).length,
      logs: keys.filter((key) => key.startsWith('/api/steamings/')).length,
      size: (await navigator.storage?.estimate().catch(() => undefined))?.usage,
      persisted: (await navigator.storage?.persisted().catch(() => false)) ?? false
    };
  }
  onMount(() => void look());
  let asked = $state(false);
  async function ask() {
    await navigator.storage?.persist().catch(() => false);
    asked = true;
    await look();
  }
  const view = $derived(waitingHere());
  const left = $derived(view.waiting.length + view.aside.length + view.others.length);
  const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;
  /** The word for a number of them. */
  const count = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`;
</script>

<section class="box pad stack" aria-label="Kept on this device">
  <h2 class="heading">Kept on this device</h2>
  {#if !kept}<p class="second">Looking …</p>
  {:else if !kept.possible}
    <p>
      This browser keeps nothing here: Joram opens only where there is a connection. It takes https, and a window that is not private. What
      you log is still kept on the page until it is delivered.
    </p>
  {:else}
    <p>
      {#if kept.book}The club’s book with {count(kept.book.engines.length, 'engine')}, heard {age(kept.book.at, now)}; {count(
          kept.pages,
          'page'
        )} and
        {count(kept.logs, 'log')}{#if kept.size}, {megabytes(kept.size)} with the application{/if}.
      {:else}Nothing yet: leave a page open for half a minute where there is a connection.{/if}
    </p>
    <p>
      {#if left}<a href="/waiting">{count(left, 'entry', 'entries')} not delivered yet</a>.{:else}What was made here has been delivered.{/if}
    </p>
    {#if kept.persisted}<p class="second">The browser has promised not to clear it away by itself.</p>
    {:else}
      <p class="second">
        {asked ? 'The browser has not promised it. ' : ''}When space is short the browser may clear it away. It promises not to more readily
        when Joram is installed: in the browser’s menu, “install” or “add to home screen”.
      </p>
      <p><button class="quiet" onclick={ask}>Ask the browser to keep it</button></p>
    {/if}
  {/if}
</section>
