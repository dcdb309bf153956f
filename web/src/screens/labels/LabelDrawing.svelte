<script lang="ts">
  import type { Schemas } from '../../api/client'

  interface Props {
    label: Schemas['PieLabel']
  }
  const { label }: Props = $props()
</script>

<figure class="sticker" aria-label="The label">
  <p class="title">{label.title}</p>
  <p>
    {#each label.ingredients as word, at (at)}{#if word.isAllergen}<strong>{word.text}</strong
        >{:else}{word.text}{/if}{/each}
  </p>
  {#if label.contains}<p><strong>{label.contains}</strong></p>{/if}
  {#if label.mayContain}<p>{label.mayContain}</p>{/if}
  {#if label.alcohol}<p>{label.alcohol}</p>{/if}
  <p class="ends"><strong>{label.net}</strong><strong>{label.date}</strong></p>
  <p class="ends"><span>{label.storage}</span><span>{label.lot}</span></p>
  <p>{label.maker}</p>
</figure>

<style>
  /* It is paper in any theme: what comes out of a printer is black on white. */
  .sticker {
    padding: 1rem 1.2rem;
    border: 1px solid var(--color-base-content);
    border-radius: 0.3rem;
    background: white;
    color: black;
    font-size: 0.95rem;
    line-height: 1.35;
  }

  .sticker p + p {
    margin-top: 0.4rem;
  }

  .title {
    font-family: var(--font-headline);
    font-size: 1.4rem;
    font-weight: 600;
  }

  .ends {
    display: flex;
    gap: 1rem;
    justify-content: space-between;
  }

  strong {
    font-weight: 800;
    text-transform: uppercase;
  }

  .ends strong {
    text-transform: none;
  }
</style>
