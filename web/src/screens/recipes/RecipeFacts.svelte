<script lang="ts">
  import type { Schemas } from '../../api/client'

  interface Props {
    answer: Schemas['ScaleAnswer']
  }
  const { answer }: Props = $props()
</script>

<!-- What a label must say and what can hurt stands where the recipe is read, scaled and printed. -->
<div class="mt-1" role="group" aria-label="What it carries, and cautions">
  <p>
    {#if answer.allergens.length > 0}<strong>Contains {answer.allergens.join(', ')}.</strong>{:else}<strong
        >No allergen is stated.</strong
      >{/if}
    {#if answer.facts.mayContain.length > 0}May contain {answer.facts.mayContain.join(', ')}.{/if}
    {#if answer.notStated.length > 0}
      <b>Not stated yet: what {answer.notStated.join(', ')} {answer.notStated.length === 1 ? 'carries' : 'carry'}.</b>
      <a class="link screen-only" href="#/ingredients">State it</a>
    {/if}
    <span class="small"
      >{#if answer.facts.handles === null}What this kitchen handles is not stated yet: <a class="link" href="#/bakery"
          >state it under Bakery</a
        >.{:else if answer.facts.handles.length > 0}Made where {answer.facts.handles.join(', ')} are handled, as this bakery
        states.{:else}This bakery states that it handles no other allergen.{/if}</span
    >
  </p>
  {#if answer.facts.cautions.length > 0}<p class="small">{answer.facts.cautions.join(' ')}</p>{/if}
  {#if answer.facts.review.length > 0}
    <div class="note mt-2">
      <strong>Taken in from elsewhere; still to look at:</strong>
      <ul class="list-disc pl-5">
        {#each answer.facts.review as line, index (index)}<li>{line}</li>{/each}
      </ul>
      <a class="link screen-only" href="#/write/{answer.id}">Look at it and change it</a>
    </div>
  {/if}
  {#if answer.warnings.length > 0}
    <ul class="note mt-2" aria-label="To look at">
      {#each answer.warnings as warning (warning)}<li>{warning}</li>{/each}
    </ul>
  {/if}
</div>
