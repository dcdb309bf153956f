<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { SentKey } from '../../parts/key'
  import TextField from '../../parts/TextField.svelte'
  import PriceChanges from './PriceChanges.svelte'

  interface Props {
    suppliers: string[]
    ingredients: Schemas['PricedIngredientAnswer'][]
    ondone: (words: string) => void
  }
  const { suppliers, ingredients, ondone }: Props = $props()
  type Columns = NonNullable<Schemas['PriceListRequest']['columns']>
  const largest = 64_000_000
  const shownAtFirst = 12

  let supplier = $state('')
  let file = $state('')
  let name = $state('')
  let columns = $state<Columns | null>(null)
  let decimalSign = $state<string | null>(null)
  let articles = $state<{ article: string; ingredient: string | null }[]>([])
  let read = $state<Schemas['PriceListAnswer']>()
  let failure = $state<Failure>()
  let isAsking = $state(false)
  let isAllShown = $state(false)
  const keys = new SentKey()

  const meanings: [keyof Columns, string][] = [
    ['article', 'What is sold'],
    ['pack', 'What a pack holds'],
    ['unit', 'Its unit, if apart'],
    ['paid', 'What a pack costs'],
    ['currency', 'Currency'],
    ['validFrom', 'Valid from'],
  ]

  async function put(keep: boolean) {
    const body = { supplier, file, columns, decimalSign, validFrom: null, articles, keep }
    isAsking = true
    const outcome = await ask(
      api.POST('/api/prices/list', { params: { header: keep ? { 'Idempotency-Key': keys.of(body) } : {} }, body }),
    )
    isAsking = false
    failure = outcome.failure
    if (outcome.data) {
      read = outcome.data
      listed = [...new Set([...listed, ...read.unknown])]
    }
    if (keep && outcome.data)
      ondone(`${outcome.data.taken} ${outcome.data.taken === 1 ? 'price' : 'prices'} taken from ${name}.`)
  }

  async function choose(files: FileList | null) {
    const picked = files?.[0]
    read = undefined
    failure = undefined
    columns = null
    decimalSign = null
    articles = []
    listed = []
    if (!picked) return
    name = picked.name
    if (picked.size > largest) {
      failure = { title: 'This file is too large for a price list; at most 64 MB are read.', fields: {}, status: 400 }
      return
    }
    const bytes = new Uint8Array(await picked.arrayBuffer())
    // In pieces: a function takes only so many arguments.
    let text = ''
    for (let at = 0; at < bytes.length; at += 30_000) text += String.fromCharCode(...bytes.subarray(at, at + 30_000))
    file = btoa(text)
    await put(false)
  }

  // In the order in which they were named, so that a choice does not move what is chosen.
  let listed = $state<string[]>([])
  const chosen = (article: string) => {
    const one = articles.find((said) => said.article === article)
    return one ? (one.ingredient ?? '-') : ''
  }
  const rowOf = (field: string) => (field.startsWith('rows[') ? `Row ${field.slice(5).split(']')[0]}: ` : '')

  function column(meaning: keyof Columns, value: string) {
    const none: Columns = { article: null, pack: null, unit: null, paid: null, currency: null, validFrom: null }
    columns = { ...none, ...(columns ?? read?.columns), [meaning]: value || null }
    void put(false)
  }

  function say(article: string, value: string) {
    const others = articles.filter((one) => one.article !== article)
    articles = value === '' ? others : [...others, { article, ingredient: value === '-' ? null : value }]
    void put(false)
  }
</script>

<section class="note my-3" aria-label="A supplier’s price list">
  <div class="flex flex-wrap items-end gap-4">
    <TextField
      label="Whose list it is"
      field="supplier"
      {failure}
      bind:value={supplier}
      size={22}
      list="list-suppliers"
    />
    <label class="pb-5"
      ><span class="small block">Comma-separated values, with a row for each article; the first names the columns</span>
      <input
        type="file"
        accept=".csv,.txt,.tsv,text/csv,text/plain"
        disabled={supplier.trim() === ''}
        onchange={(event) => choose(event.currentTarget.files)}
      /></label
    >
  </div>
  <datalist id="list-suppliers">
    {#each suppliers as one (one)}<option value={one}></option>{/each}
  </datalist>
  <FailureNote {failure} />
  {#if read}
    <fieldset class="mt-1">
      <legend class="small">{name}, read as {read.characterSet}. Which column says what:</legend>
      <div class="flex flex-wrap gap-x-4 gap-y-1">
        {#each meanings as [meaning, words] (meaning)}
          <label
            ><span class="small block">{words}</span>
            <select
              class="field"
              value={(columns ?? read.columns)?.[meaning] ?? ''}
              onchange={(event) => column(meaning, event.currentTarget.value)}
            >
              <option value="">none</option>
              {#each read.heading as heading (heading)}<option value={heading}>{heading}</option>{/each}
            </select></label
          >
        {/each}
        <label
          ><span class="small block">Decimals</span>
          <select
            class="field"
            value={decimalSign ?? read.decimalSign ?? ''}
            onchange={(event) => ((decimalSign = event.currentTarget.value), void put(false))}
          >
            <option value="">as the list tells</option>
            <option value=".">12.50</option>
            <option value=",">12,50</option>
          </select></label
        >
      </div>
    </fieldset>
    {#if read.faults.length > 0}
      <p class="mt-2"><b>The list cannot be taken as it is:</b></p>
      <ul>
        {#each read.faults.slice(0, shownAtFirst) as fault (`${fault.field} ${fault.message}`)}
          <li>
            {rowOf(fault.field)}{fault.message}
          </li>
        {/each}
      </ul>
      {#if read.faults.length > shownAtFirst}<p class="small">And {read.faults.length - shownAtFirst} more.</p>{/if}
    {/if}
    <PriceChanges {read} />
    {#if listed.length > 0}
      <p class="mt-3">
        <b>None of the ingredients by name.</b> Say which they are; what is not said is passed over. It is remembered for
        the next list.
      </p>
      <ul class="grid gap-x-8 md:grid-cols-2">
        {#each listed.slice(0, isAllShown ? undefined : shownAtFirst) as article (article)}
          <li class="flex flex-wrap items-center justify-between gap-2 py-0.5">
            <span>{article}</span>
            <select
              class="field"
              aria-label="What {article} is"
              value={chosen(article)}
              onchange={(event) => say(article, event.currentTarget.value)}
            >
              <option value="">not said</option>
              <option value="-">none of ours</option>
              {#each ingredients as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
            </select>
          </li>
        {/each}
      </ul>
      {#if !isAllShown && listed.length > shownAtFirst}
        <button class="link" onclick={() => (isAllShown = true)}>All {listed.length}</button>
      {/if}
    {/if}
    <button
      class="press press-main mt-3"
      disabled={isAsking || read.faults.length > 0 || read.changes.length === 0}
      onclick={() => put(true)}>Take these prices</button
    >
  {/if}
</section>
