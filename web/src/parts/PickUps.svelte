<script lang="ts">
  import type { Schemas } from '../api/client'
  import { duration } from './amounts'

  interface Props {
    waves: Schemas['WaveAnswer'][]
  }
  const { waves }: Props = $props()
  // The longest slack fills the line; shorter ones are drawn to the same scale.
  const longest = $derived(Math.max(60, ...waves.map((wave) => Math.abs(wave.spareMin ?? 0))))
  const lineWidth = 120
  const width = (wave: Schemas['WaveAnswer']) => (Math.abs(wave.spareMin ?? 0) / longest) * lineWidth
</script>

<ul class="pickups" aria-label="Pick-ups">
  {#each waves as wave (wave.pickUp.min)}
    <li>
      <span class="slack" style:width="{width(wave)}px" class:late={(wave.spareMin ?? -1) < 0}></span>
      <svg viewBox="0 0 20 18" aria-hidden="true">
        <rect x="2" y="5" width="16" height="12" /><rect x="0.8" y="1.5" width="18.4" height="4" />
      </svg>
      <span>
        <strong>{wave.pickUp.clock}</strong>
        {wave.pies}
        {wave.pies === 1 ? 'pie' : 'pies'}{wave.for ? ` for ${wave.for}` : ''};
        {#if wave.boxed === null}<b>not all made</b>
        {:else if (wave.spareMin ?? 0) < 0}<b>boxed {wave.boxed.clock}, {duration(-(wave.spareMin ?? 0))} late</b>
        {:else}boxed {wave.boxed.clock}, {duration(wave.spareMin ?? 0)} to spare{/if}
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
