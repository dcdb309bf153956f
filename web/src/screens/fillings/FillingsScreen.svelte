<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { grams, kilograms } from '../../parts/amounts'
  import { today } from '../../parts/day.svelte'
  import { DayAnswer } from '../../parts/dayAnswer.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  const asked = new DayAnswer<Schemas['FillingsAnswer']>((day) =>
    api.GET('/api/fillings/{day}', { params: { path: { day } } }),
  )
  const answer = $derived(asked.current)

  asked.follow(() => params?.day)
</script>

{#snippet weighed(lines: Schemas['FillingLineAnswer'][])}
  {#each lines as line, index (index)}
    <tr class="border-line border-t">
      <th scope="row" class="py-1 text-left font-normal"
        >{line.name}{line.preparation ? `, ${line.preparation}` : ''}</th
      >
      <td class="weight text-right">{grams(line.grams)}</td>
      <td class="small w-64 pl-4">
        {#if line.toBuyGrams !== null}buy {grams(line.toBuyGrams)}: {line.yieldPercent} % is left{/if}
      </td>
    </tr>
  {/each}
{/snippet}

<svelte:head><title>Fillings · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <h1 class="sentence">
    {#if answer.fillings.length === 0}
      No filling is needed for <DayWord day={today.day} name={answer.dayName} />.
    {:else}
      {kilograms(answer.kilograms)} of filling for <DayWord day={today.day} name={answer.dayName} />:
      {answer.fillings.map((filling) => `${kilograms(filling.grams / 1000)} ${filling.name.toLowerCase()}`).join(', ')}.
    {/if}
  </h1>
  {#if answer.fillings.length > 0}
    <button class="link small" onclick={() => window.print()}>Print the filling sheets</button>
  {/if}
  {#each answer.fillings as filling (filling.product)}
    <section class="border-line together mt-5 grid gap-x-12 gap-y-3 border-t pt-3 lg:grid-cols-[1fr_24rem]">
      <div>
        <h2>{filling.name}</h2>
        <table class="w-full">
          <tbody>
            {@render weighed(filling.lines)}
            <tr class="border-soft border-t">
              <th scope="row" class="py-1 text-left font-normal">In all</th>
              <td class="weight text-right">{grams(filling.grams)}</td>
              <td></td>
            </tr>
          </tbody>
        </table>
        {#if filling.keptPercent < 100}
          <p class="small">
            {filling.keptPercent} % of it goes into the pans: the rest boils away or stays in the pot.
          </p>
        {/if}
        {#each [{ title: 'Topping', lines: filling.topping }, { title: 'Finish', lines: filling.finish }] as part (part.title)}
          {#if part.lines.length > 0}
            <h3 class="mt-2 font-bold">{part.title}</h3>
            <table class="w-full"><tbody>{@render weighed(part.lines)}</tbody></table>
          {/if}
        {/each}
        <p class="small mt-1">
          {filling.allergens.length > 0 ? `Contains ${filling.allergens.join(', ')}.` : 'No allergen is stated.'}
          {#if filling.notStated.length > 0}<b>Not stated yet: {filling.notStated.join(', ')}.</b>{/if} Made where nuts, egg,
          milk, wheat, soy and sesame are handled.
        </p>
      </div>
      <div>
        <h2>Goes into</h2>
        <ul>
          {#each filling.lots as lot, index (index)}
            <li class="border-line border-t py-1">
              <span class="weight">{lot.count} × {grams(lot.gramsPerPie)}</span>
              <span>{lot.pan}, for {lot.pickUp.clock}</span>
              <span class="small block">{lot.factor.toFixed(4)} times the recipe as written</span>
            </li>
          {/each}
        </ul>
      </div>
    </section>
  {/each}
{/if}
