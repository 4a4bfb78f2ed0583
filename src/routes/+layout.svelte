<script lang="ts">
  import '$lib/joram.css';
  import { page } from '$app/state';
  import { onMount } from 'svelte';
  import NewVersion from '$lib/here/NewVersion.svelte';
  import { ownTurn } from '$lib/here/turn';
  import { keepHere } from '$lib/here/worker.svelte';
  import { outbox } from '$lib/outbox/index.svelte';
  import WaitingHere from '$lib/outbox/WaitingHere.svelte';
  import SignOut from '$lib/sheet/SignOut.svelte';

  let { data, children } = $props();
  // Until the page is alive, with what comes in turns of its own, what is drawn to be pointed at says so.
  onMount(() => void ownTurn().then(() => document.documentElement.setAttribute('data-live', '')));
  // Whatever page is open delivers what waits on this device, for whoever is signed in.
  const me = $derived(data.member?.id);
  $effect(() => outbox().open(me));
  // And has the worker keep what a day without a connection needs.
  $effect(() => (me ? keepHere() : undefined));
  const places = [
    { href: '/', name: 'Yard' },
    { href: '/day', name: 'Day sheets' },
    { href: '/logbook', name: 'Logbook' },
    { href: '/faults', name: 'Faults' },
    { href: '/bench', name: 'Bench' }
  ];
  const here = (href: string) =>
    href === '/'
      ? page.url.pathname === '/' || page.url.pathname.startsWith('/engines')
      : page.url.pathname.startsWith(href) || (href === '/logbook' && page.url.pathname.startsWith('/records'));
  const onFootplate = $derived(page.url.pathname.startsWith('/footplate'));
</script>

<a class="skip" href="#main">Skip to the sheet</a>
{#if data.member && !onFootplate}
  <nav class="places no-print" aria-label="Places">
    <a class="name" href="/">Joram</a>
    {#each places as { href, name } (href)}<a {href} aria-current={here(href) ? 'page' : undefined}>{name}</a>{/each}
    <span class="who">
      <a href="/settings" aria-current={here('/settings') ? 'page' : undefined}>{data.member.name}</a>
      <span class="club second">{data.member.club}{data.member.demo ? ', demo' : ''}</span>
    </span>
    <SignOut />
  </nav>
{/if}
{#if !onFootplate}<NewVersion />{/if}
{#if !onFootplate}<WaitingHere signedIn={data.member !== undefined} />{/if}
<main id="main" tabindex="-1">{@render children()}</main>

<style>
  .places {
    display: flex;
    align-items: center;
    gap: 4px 24px;
    flex-wrap: wrap;
    max-width: 1280px;
    margin: 0 auto;
    padding: 8px 16px 0;
  }
  .places > a,
  .places :global(button) {
    font: 600 1.0625rem/1.2 var(--narrow);
    padding: 8px 0;
    color: var(--ink);
    text-decoration: none;
    border-bottom: 3px solid transparent;
  }
  .places a:hover {
    text-decoration: underline;
  }
  .places > a[aria-current] {
    border-color: var(--ink);
  }
  .places > .name {
    text-transform: uppercase;
    letter-spacing: 0.08em;
  }
  .who {
    margin-left: auto;
    display: flex;
    gap: 12px;
    align-items: baseline;
  }
  .who a {
    color: var(--ink);
    padding: 8px 0;
  }
  .club {
    font-size: 0.9375rem;
  }
  main:focus {
    outline: none;
  }
  @container page (max-width: 37.5rem) {
    .places {
      gap: 0 16px;
      padding: 4px 8px 0;
    }
    .club,
    .places :global(form) {
      display: none;
    }
  }
</style>
