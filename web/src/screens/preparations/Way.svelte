<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { colourOf } from '../../parts/heat'

  interface Props {
    steps: Schemas['StepAnswer'][]
  }
  const { steps }: Props = $props()
</script>

<!-- A way of making something: what is done, one thing after the other, each with the temperature that it has. -->
<ol>
  {#each steps as step, index (index)}
    <li>
      <span class="heat" style:background={colourOf(step.celsius)}></span>
      <span
        >{step.name}
        <span class="small">{step.time}{step.readyWhen ? `; ready when: ${step.readyWhen}` : ''}</span></span
      >
    </li>
  {/each}
</ol>

<style>
  li {
    display: grid;
    grid-template-columns: 14px 1fr;
    gap: 0.7rem;
    padding: 0.15rem 0;
  }

  .heat {
    width: 14px;
    height: 14px;
    margin-top: 5px;
    border-radius: 3px;
    border: 1px solid rgb(42 29 23 / 45%);
  }
</style>
