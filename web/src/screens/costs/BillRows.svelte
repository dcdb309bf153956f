<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { money } from '../../parts/money'

  interface Props {
    caption: string
    rows: Schemas['BillRowAnswer'][]
    shared: Schemas['BillRowAnswer'][]
    totals: Schemas['BillRowAnswer']
    hasHands: boolean
    /** Whether the minutes stand under hands and ovens. */
    hasMinutes: boolean
    /** Where a row's name leads; nothing for rows that lead nowhere. */
    link: (row: Schemas['BillRowAnswer']) => string | undefined
  }
  const { caption, rows, shared, totals, hasHands, hasMinutes, link }: Props = $props()
  const sign = (amount: number) => (amount < 0 ? `−${money(-amount)}` : money(amount))
  // What a row takes of its revenue, drawn beside it; nothing is reckoned that the numbers do not say.
  const widest = $derived(Math.max(1, ...rows.map((row) => Math.max(row.revenue ?? 0, row.ingredients))))
</script>

{#snippet figures(row: Schemas['BillRowAnswer'])}
  <td class="figure">{row.pies > 0 ? row.pies : ''}</td>
  <td class="figure">{row.revenue === null ? (row.pies > 0 ? 'not set' : '') : money(row.revenue)}</td>
  <td class="figure">{money(row.ingredients)}</td>
  {#if hasHands}<td class="figure"
      >{row.hands === null ? '' : money(row.hands)}{#if hasMinutes}<span class="small block">{row.handsMin} min</span
        >{/if}</td
    >{/if}
  <td class="figure"
    >{money(row.heat)}{#if hasMinutes}<span class="small block">{row.hotMin} min</span>{/if}</td
  >
  <td class="figure weight" class:loss={(row.contribution ?? 0) < 0}
    >{row.contribution === null ? '' : `${row.isAtMost ? 'at most ' : ''}${sign(row.contribution)}`}</td
  >
{/snippet}

<div class="overflow-x-auto">
  <table class="mt-1 w-full">
    <caption class="sr-only">{caption}</caption>
    <thead>
      <tr class="small text-left">
        <th scope="col">{caption}</th>
        <th scope="col" class="figure">Pies</th>
        <th scope="col" class="figure">Bring</th>
        <th scope="col" class="figure">Ingredients</th>
        {#if hasHands}<th scope="col" class="figure">Hands</th>{/if}
        <th scope="col" class="figure">Ovens</th>
        <th scope="col" class="figure">Left</th>
        <th scope="col" class="drawn"><span class="sr-only">Drawn</span></th>
      </tr>
    </thead>
    <tbody>
      {#each rows as row, at (at)}
        <tr class="border-line border-t">
          <th scope="row"
            >{#if link(row)}<a class="link" href={link(row)}>{row.name}</a>{:else}{row.name}{/if}
            <span class="small">{row.detail}</span></th
          >
          {@render figures(row)}
          <td class="drawn" aria-hidden="true">
            <div class="whole" style:width="{((row.revenue ?? 0) / widest) * 100}%"></div>
            <div class="taken" style:width="{((row.ingredients + (row.hands ?? 0) + row.heat) / widest) * 100}%"></div>
          </td>
        </tr>
      {/each}
      {#each shared as row, at (at)}
        <tr class="border-line border-t">
          <th scope="row">{row.name} <span class="small">{row.detail}</span></th>
          {@render figures(row)}
          <td class="drawn"></td>
        </tr>
      {/each}
    </tbody>
    <tfoot>
      <tr class="border-t-2 border-(--color-base-content)">
        <th scope="row" class="font-semibold!">{totals.name}</th>
        {@render figures(totals)}
        <td class="drawn"></td>
      </tr>
    </tfoot>
  </table>
</div>

<style>
  th {
    padding: 0.2rem 0;
    text-align: left;
    font-weight: 400;
  }

  @media (min-width: 1000px) {
    table {
      table-layout: fixed;
    }

    th:first-child {
      width: 30%;
    }
  }

  .figure {
    padding: 0.2rem 0.6rem;
    text-align: right;
    white-space: nowrap;
  }

  .loss {
    text-decoration: underline 3px;
    text-underline-offset: 0.2em;
  }

  .drawn {
    width: 16%;
    min-width: 6rem;
    position: relative;
    overflow: hidden;
  }

  .whole,
  .taken {
    height: 0.4rem;
    max-width: 100%;
    border: 1px solid var(--color-base-content);
  }

  .taken {
    border-top: 0;
    background: color-mix(in oklab, var(--color-base-content) 55%, transparent);
  }

  @media (max-width: 999px) {
    .drawn {
      display: none;
    }
  }

  @media print {
    .drawn {
      display: none;
    }

    table {
      table-layout: auto;
      font-size: 9.5pt;
    }
  }
</style>
