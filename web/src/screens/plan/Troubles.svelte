<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { today } from '../../parts/day.svelte'

  interface Props {
    /** The worst first. */
    troubles: Schemas['TroubleAnswer'][]
    /** What can be done, what helps most first. */
    ways: Schemas['WayOutAnswer'][]
  }
  const { troubles, ways }: Props = $props()
  // More than this nobody reads down before doing something about the first.
  const most = 12
  let isWhole = $state(false)
  const shown = $derived(isWhole ? troubles : troubles.slice(0, most))

  const changeOf = ({ change }: Schemas['WayOutAnswer']) => ({
    ...(change.moreHands === null ? {} : { moreHands: change.moreHands }),
    ...(change.earlierMin === null ? {} : { earlierMin: change.earlierMin }),
    ...(change.betweenHands === null ? {} : { betweenHands: change.betweenHands }),
    ...(change.leftOut ? { leftOut: change.leftOut } : {}),
    ...(change.schools ? { schools: change.schools } : {}),
  })
  const movesOf = ({ change }: Schemas['WayOutAnswer']) =>
    change.moves.map((move) => ({ from: move.from ?? '', to: move.to ?? '' }))

  function look(way: Schemas['WayOutAnswer']) {
    today.moves = movesOf(way)
    void today.tryOut(changeOf(way))
  }
</script>

<div class="note mt-3" role="alert">
  <h2>{troubles.length === 1 ? 'One thing does' : `${troubles.length} things do`} not work out</h2>
  <ul>
    {#each shown as trouble, index (index)}
      <li class="mt-1"><strong>{trouble.text}</strong> {trouble.mend}</li>
    {/each}
  </ul>
  {#if troubles.length > most}
    <button class="link screen-only mt-2" onclick={() => (isWhole = !isWhole)}
      >{isWhole ? `Only the worst ${most}` : `All ${troubles.length}`}</button
    >
  {/if}
</div>

{#if ways.length > 0 && !today.isAsking}
  <section class="ways screen-only" aria-label="Ways out">
    <h2>{ways.length === 1 ? 'A way out' : 'Ways out'}</h2>
    <p class="small">Each was planned, roughly. What is done is taken back under "Try a change" or in the sentence.</p>
    <ul>
      {#each ways as way (way.text)}
        <li>
          <span class="what">{way.text}</span>
          <span>{way.before} <span aria-label="becomes">→</span> <strong>{way.after}</strong></span>
          <button class="press" aria-label="Show it: {way.text}" onclick={() => look(way)}>Show it</button>
          <button
            class="press press-main"
            aria-label="Make it so: {way.text}"
            onclick={() => today.take(changeOf(way), movesOf(way))}>Make it so</button
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}

<style>
  .ways {
    margin-top: 0.9rem;
  }

  .ways li {
    display: grid;
    grid-template-columns: minmax(15rem, 1fr) minmax(15rem, 1fr) auto auto;
    gap: 0.2rem 0.8rem;
    align-items: center;
    border-top: 1px solid var(--color-line);
    padding: 0.35rem 0;
  }

  .what {
    font-weight: 700;
  }

  @media (max-width: 800px) {
    .ways li {
      grid-template-columns: 1fr auto auto;
    }

    .what {
      grid-column: 1 / -1;
    }
  }
</style>
