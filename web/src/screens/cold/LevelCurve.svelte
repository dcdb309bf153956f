<script lang="ts">
  import type { Schemas } from '../../api/client'

  interface Props {
    level: Schemas['RoomAnswer']
    moments: Schemas['Moment'][]
    min: number
  }
  const { level, moments, min }: Props = $props()

  const first = $derived(moments[0]?.min ?? 0)
  const span = $derived(Math.max(1, (moments[moments.length - 1]?.min ?? 1) - first))
  const top = $derived(Math.max(1, level.room ?? 0, level.most))
  const across = (at: number) => Math.min(1000, Math.max(0, ((at - first) / span) * 1000))
  const up = (amount: number) => 100 - (amount / top) * 96
  const path = $derived(
    `M0 100${level.levels.map((one) => `H${across(one.at.min)}V${up(one.amount)}`).join('')}H1000V100Z`,
  )
</script>

<!-- How full the place is over the hours, above the slider that moves along them. -->
<figure>
  <figcaption class="small">
    {level.name}, {level.unit}{level.room === null ? '' : `; the line is its room, ${level.room}`}
  </figcaption>
  <svg viewBox="0 0 1000 100" preserveAspectRatio="none" aria-hidden="true">
    <path d={path} />
    {#if level.room !== null}<line class="room" x1="0" x2="1000" y1={up(level.room)} y2={up(level.room)} />{/if}
    <line class="hair" x1={across(min)} x2={across(min)} y1="0" y2="100" />
  </svg>
</figure>

<style>
  svg {
    display: block;
    /* The thumb of the slider below keeps half its width inside. */
    width: calc(100% - 16px);
    margin: 0 8px;
    height: 56px;
    border-bottom: 1px solid var(--color-line);
  }

  path {
    fill: var(--color-dough);
    stroke: none;
  }

  line {
    stroke: var(--color-base-content);
    vector-effect: non-scaling-stroke;
  }

  .room {
    stroke-dasharray: 4 4;
    stroke: var(--color-soft);
  }

  .hair {
    stroke: var(--color-damson);
    stroke-width: 2;
  }
</style>
