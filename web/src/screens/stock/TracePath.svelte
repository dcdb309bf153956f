<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { pathOf } from './tracePath'

  interface Props {
    /** What led there, and what it led to. */
    before: Schemas['TraceStepAnswer'][]
    after: Schemas['TraceStepAnswer'][]
    /** What is there though no step leads to it or from it. */
    start: Schemas['TraceLotAnswer'][]
    /** The lot that is traced. */
    lot: string | null | undefined
  }
  const { before, after, start, lot }: Props = $props()

  const [width, height, gapX, gapY] = [196, 66, 44, 12]
  const path = $derived(pathOf(before, after, start))
  const columns = $derived(Math.max(0, ...path.nodes.map((node) => node.column)) + 1)
  const rows = $derived(Math.max(0, ...path.nodes.map((node) => node.row)) + 1)
  const left = (column: number) => column * (width + gapX)
  const top = (row: number) => row * (height + gapY)
  const curve = (line: (typeof path.lines)[number]) => {
    const [x1, y1] = [left(line.from.column) + width, top(line.from.row) + height / 2]
    const [x2, y2] = [left(line.to.column), top(line.to.row) + height / 2]
    const middle = (x1 + x2) / 2
    return `M${x1} ${y1} C${middle} ${y1} ${middle} ${y2} ${x2} ${y2}`
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex (a wide way is scrolled with the keys) -->
<div class="scroll" tabindex="0" role="group" aria-label="The way">
  <div
    class="way"
    style:--fit={Math.min(1, 640 / left(columns))}
    style:width="{left(columns) - gapX}px"
    style:height="{top(rows) - gapY}px"
  >
    <svg width={left(columns)} height={top(rows)} aria-hidden="true">
      {#each path.lines as line (`${line.from.id} ${line.to.id}`)}
        <path d={curve(line)} class:mine={line.from.id === lot || line.to.id === lot} />
      {/each}
    </svg>
    {#each path.nodes as node (node.id)}
      <div
        class="node"
        class:start={node.id === lot}
        class:unknown={node.isUnknown}
        style:left="{left(node.column)}px"
        style:top="{top(node.row)}px"
        style:width="{width}px"
        style:height="{height}px"
      >
        {#if node.href && node.id !== lot}
          <a class="link title" href={node.href}>{node.title}</a>
        {:else}
          <strong class="title">{node.title}</strong>
        {/if}
        {#each node.lines as line (line)}<span class="line">{line}</span>{/each}
      </div>
    {/each}
  </div>
</div>

<style>
  .scroll {
    overflow-x: auto;
    padding-block: 4px;
  }

  .way {
    position: relative;
  }

  svg {
    position: absolute;
    inset: 0;
    overflow: visible;
  }

  path {
    fill: none;
    stroke: #8b7763;
    stroke-width: 1.5;
  }

  .mine {
    stroke: var(--color-damson);
    stroke-width: 3;
  }

  .node {
    position: absolute;
    background: var(--color-paper);
    border: 1.5px solid var(--color-soft);
    border-radius: 8px;
    padding: 0.2rem 0.55rem;
    font-size: 0.8125rem;
    line-height: 1.3;
    overflow: hidden;
  }

  .start {
    border: 3px solid var(--color-damson);
  }

  .unknown {
    border-style: dashed;
  }

  .title {
    display: block;
    font-weight: 700;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .line {
    display: block;
    color: var(--color-soft);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  @media print {
    .scroll {
      overflow: visible;
    }

    /* As wide as a sheet of paper. */
    .way {
      zoom: var(--fit);
    }
  }
</style>
