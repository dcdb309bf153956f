<script lang="ts">
  import { onMount } from 'svelte'
  import Router, { router } from 'svelte-spa-router'
  import { bakery } from './parts/bakery.svelte'
  import { today } from './parts/day.svelte'
  import DayRibbon from './parts/DayRibbon.svelte'
  import FailureNote from './parts/FailureNote.svelte'
  import KeyHelp from './parts/KeyHelp.svelte'
  import { keys } from './parts/keys.svelte'
  import { live } from './parts/live.svelte'
  import { placeOf, places } from './parts/places'
  import { theme } from './parts/theme.svelte'
  import { words } from './parts/words.svelte'
  import { fetchScreens, routes } from './screens'
  import FirstStart from './screens/bakery/FirstStart.svelte'

  const here = $derived(placeOf(router.location))
  const isSetUp = $derived(bakery.current?.isSetUp ?? false)

  onMount(() => {
    void bakery.load()
    void words.load()
    fetchScreens()
    const close = live.open()
    const forget = live.on((change) => {
      if (live.concerns(change, ['orders', 'bakery', 'recipes'])) void bakery.load()
    })
    return () => {
      forget()
      close()
    }
  })
</script>

<svelte:window onkeydown={(event) => keys.press(event)} />

<a class="skip" href="#main" onclick={(event) => (event.preventDefault(), document.getElementById('main')?.focus())}
  >To the content</a
>
{#if live.isLost}
  <p class="lost" role="alert">
    The server does not answer. What you type stays here; it goes out when the server is back. What you see may be old.
  </p>
{/if}
<div class="page mx-auto max-w-[1280px] px-7 pb-12">
  <header>
    <nav class="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-4 lg:gap-x-6" aria-label="Places">
      <a href="#/orders" class="font-headline text-2xl font-semibold">Lumpet</a>
      {#each places as place (place.id)}
        <a
          href="#/{place.id}{place.ofDay && today.day ? `/${today.day}` : ''}"
          class="place"
          class:ends-group={place.endsGroup}
          aria-current={here.id === place.id ? 'page' : undefined}>{place.name}</a
        >
      {/each}
      <span class="small ml-auto">{bakery.current?.name ?? ''}</span>
      <button class="link small" onclick={() => theme.toggle()}>{theme.isDark ? 'Light' : 'Dark'}</button>
      <button class="link small" onclick={() => (keys.isHelpOpen = true)}>Keys</button>
    </nav>
    {#if here.ofDay && isSetUp}<DayRibbon />{/if}
  </header>
  <main class="mt-4" id="main" tabindex="-1">
    <FailureNote failure={bakery.failure} />
    {#if bakery.current && !isSetUp && here.id !== 'bakery'}
      <FirstStart />
    {:else if bakery.current}
      <Router {routes} />
    {/if}
  </main>
</div>
<KeyHelp />

<style>
  .place {
    padding: 0.4rem 0.1rem;
    font-weight: 600;
    border-bottom: 3px solid transparent;
  }

  .place:hover {
    color: var(--color-damson);
  }

  .place[aria-current] {
    color: var(--color-damson);
    border-bottom-color: var(--color-damson);
  }

  .ends-group {
    position: relative;
    margin-right: 1.2rem;
  }

  .ends-group::after {
    content: '';
    position: absolute;
    right: -1.35rem;
    top: 0.55rem;
    height: 1.1rem;
    border-right: 1px solid #8b7763;
  }

  .lost {
    position: sticky;
    top: 0;
    z-index: 20;
    padding: 0.8rem 1.75rem;
    background: var(--color-base-content);
    color: var(--color-base-100);
    font-weight: 700;
    text-align: center;
  }

  .skip {
    position: absolute;
    left: -100vw;
  }

  .skip:focus {
    left: 1rem;
    top: 0.3rem;
    z-index: 30;
    background: var(--color-paper);
    padding: 0.3rem 0.8rem;
  }

  main:focus {
    outline: none;
  }

  @media print {
    nav,
    .lost,
    .skip {
      display: none;
    }
  }
</style>
