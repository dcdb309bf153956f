<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { colourOf } from '../../parts/heat'

  interface Props {
    shelf: Schemas['ShelfAnswer']
    celsius: number
    chosen: string | undefined
    onchoose: (lot: string) => void
  }
  const { shelf, celsius, chosen, onchoose }: Props = $props()

  // The largest lot there is, in pixels; areas are to scale, so that a side goes with the root of what is left.
  const largest = 118
  const tallest = $derived(Math.max(10, ...shelf.lots.map((lot) => lot.side * largest)))
  const side = (lot: Schemas['ShelfLotAnswer']) => Math.max(4, lot.side * largest)
  const inWords = (lot: Schemas['ShelfLotAnswer']) =>
    [lot.name, lot.left, lot.useBy, lot.isOpen ? 'open' : '', lot.kept ? `${lot.kept} kept for plans` : '']
      .filter(Boolean)
      .join(', ')
</script>

<ul class="shelf" style:--tallest="{tallest}px">
  {#each shelf.lots as lot (lot.id)}
    <li>
      <button
        class="lot"
        class:chosen={chosen === lot.id}
        aria-pressed={chosen === lot.id}
        aria-label={inWords(lot)}
        onclick={() => onchoose(lot.id)}
      >
        <span class="board">
          <span
            class="box"
            class:open={lot.isOpen}
            class:past={lot.freshness === 'past'}
            style:width="{side(lot)}px"
            style:height="{side(lot)}px"
            style:background={colourOf(celsius)}
          >
            <span class="kept" style:height="{lot.keptShare * 100}%"></span>
          </span>
        </span>
        <strong class="name">{lot.name}</strong>
        <span class="block">{lot.left}</span>
        {#if lot.useBy}
          <span class="block" class:ends={lot.freshness !== 'good'}>{lot.useBy}</span>
        {/if}
        {#if lot.isOpen}<span class="block">open</span>{/if}
      </button>
    </li>
  {/each}
</ul>

<style>
  .shelf {
    display: flex;
    flex-wrap: wrap;
    row-gap: 0.9rem;
  }

  .shelf li {
    flex: 0 1 7.6rem;
  }

  .lot {
    display: block;
    width: 100%;
    text-align: left;
    cursor: pointer;
    font-size: 0.875rem;
    line-height: 1.3;
    padding-bottom: 0.2rem;
    border-radius: 4px;
  }

  .lot:hover {
    background: var(--color-base-200);
  }

  .lot > :not(.board) {
    padding-inline: 0.35rem;
  }

  .chosen {
    background: var(--color-base-200);
    box-shadow: inset 0 -4px 0 var(--color-damson);
  }

  .board {
    display: flex;
    align-items: flex-end;
    height: calc(var(--tallest) + 6px);
    padding-left: 0.35rem;
    border-bottom: 5px solid var(--color-soft);
    margin-bottom: 0.3rem;
  }

  .box {
    position: relative;
    display: block;
    border: 1.5px solid var(--color-base-content);
    border-radius: 2px;
    overflow: hidden;
  }

  /* An open pack has no lid. */
  .open {
    border-top-style: dashed;
  }

  .kept {
    position: absolute;
    inset: auto 0 0 0;
    background: repeating-linear-gradient(45deg, var(--color-base-content) 0 1.5px, transparent 1.5px 6px);
    opacity: 0.6;
  }

  .past::after {
    content: '';
    position: absolute;
    inset: 0;
    background:
      linear-gradient(
        to top right,
        transparent calc(50% - 1.5px),
        var(--color-base-content) calc(50% - 1.5px) calc(50% + 1.5px),
        transparent calc(50% + 1.5px)
      ),
      linear-gradient(
        to bottom right,
        transparent calc(50% - 1.5px),
        var(--color-base-content) calc(50% - 1.5px) calc(50% + 1.5px),
        transparent calc(50% + 1.5px)
      );
  }

  .name {
    display: block;
    overflow-wrap: anywhere;
  }

  .ends {
    font-weight: 700;
  }
</style>
