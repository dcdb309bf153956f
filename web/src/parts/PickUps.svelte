<script lang="ts">
  import type { Schemas } from '../api/client'
  import { duration } from './amounts'
  import { today } from './day.svelte'
  import StepWord from './StepWord.svelte'
  import { clockTime } from './word.svelte'

  interface Props {
    waves: Schemas['WaveAnswer'][]
  }
  const { waves }: Props = $props()
  // Where the sentence names only the tightest, the others are asked about here.
  const areMany = $derived(waves.length > 3)
  // The longest slack fills the line; shorter ones are drawn to the same scale.
  const longest = $derived(Math.max(60, ...waves.map((wave) => Math.abs(wave.spareMin ?? 0))))
  const lineWidth = $derived(areMany ? 60 : 120)
  const width = (wave: Schemas['WaveAnswer']) => (Math.abs(wave.spareMin ?? 0) / longest) * lineWidth
</script>

<ul class="pickups" class:many={areMany} aria-label="Pick-ups">
  {#each waves as wave, index (index)}
    <li>
      <span class="slack" style:width="{width(wave)}px" class:late={(wave.spareMin ?? -1) < 0}></span>
      <svg viewBox="0 0 20 18" aria-hidden="true">
        <rect x="2" y="5" width="16" height="12" /><rect x="0.8" y="1.5" width="18.4" height="4" />
      </svg>
      <span>
        {#if areMany}<b
            ><StepWord
              value={wave.pickUp.clock}
              kind={clockTime}
              label="The pick-up at {wave.pickUp.clock}"
              onchange={(to) => today.ask(wave.pickUp.clock, to)}
            /></b
          >{:else}<strong>{wave.pickUp.clock}</strong>{/if}
        {wave.pies}
        {wave.pies === 1 ? 'pie' : 'pies'}{wave.for && !areMany ? ` for ${wave.for}` : ''};
        {#if wave.isMet && wave.boxed}boxed {wave.boxed.clock}, {duration(wave.spareMin ?? 0)} to spare
        {:else}<b>{wave.says}</b>{/if}
      </span>
    </li>
  {/each}
</ul>

<style>
  .pickups {
    display: flex;
    flex-wrap: wrap;
    gap: 0.35rem 2rem;
    margin-top: 0.6rem;
  }

  .many {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(22rem, 1fr));
  }

  .many :global(.word) {
    border-bottom-width: 2px;
  }

  li {
    display: flex;
    align-items: center;
    gap: 0;
  }

  /* From the last box to the pick-up: a full line is time in hand, a broken one is time overdrawn. */
  .slack {
    border-bottom: 3px solid var(--color-base-content);
  }

  .slack.late {
    border-bottom-style: dashed;
  }

  svg {
    flex: none;
    width: 20px;
    margin-right: 0.5rem;
    fill: var(--color-paper);
    stroke: var(--color-base-content);
    stroke-width: 1.6;
  }
</style>
