<script lang="ts">
  import { push } from 'svelte-spa-router'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import ChoiceWord from '../../parts/ChoiceWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { SentKey } from '../../parts/key'
  import { live } from '../../parts/live.svelte'
  import LabelDrawing from './LabelDrawing.svelte'
  import StatementForm from './StatementForm.svelte'
  import WordsForm from './WordsForm.svelte'

  interface Props {
    params?: { product?: string; pan?: string; lot?: string }
  }
  const { params }: Props = $props()
  let manner = $state('europeanUnion')
  let list = $state('one')
  let made = $state('')
  let copies = $state(1)
  let evenSo = $state(false)
  let failure = $state<Failure>()
  let said = $state('')
  let sending = $state(false)
  const keys = new SentKey()

  const asked = new Asked<Schemas['LabelAnswer']>()
  asked.follow(['recipes', 'ingredients', 'bakery', 'stock'], () => {
    const path = { product: params?.product ?? '', pan: params?.pan ?? '' }
    const lot = params?.lot ?? null
    const query = { manner, isOneList: list === 'one', ...(made && !lot ? { made } : {}), ...(lot ? { lot } : {}) }
    return (signal) => api.GET('/api/labels/{product}/{pan}', { params: { path, query }, signal })
  })
  const answer = $derived(asked.current)
  const isShort = $derived(answer?.printerLeft !== null && answer !== undefined && copies > (answer.printerLeft ?? 0))

  function done(words: string) {
    said = words
    failure = undefined
    live.saved('recipes')
    live.saved('ingredients')
    void asked.refresh()
  }

  async function print() {
    if (!answer || sending) return
    sending = true
    const body = {
      copies,
      manner: answer.manner,
      isOneList: answer.isOneList,
      made: answer.made,
      lot: answer.lot,
      lines: answer.label.lines ?? null,
      evenSo,
    }
    const outcome = await ask(
      api.POST('/api/labels/{product}/{pan}/printed', {
        params: {
          path: { product: answer.product, pan: answer.pan },
          header: { 'Idempotency-Key': keys.of(body) },
        },
        body,
      }),
    )
    sending = false
    failure = outcome.failure
    if (!outcome.data) return
    keys.taken()
    done(`Printed: ${outcome.data.copies} ${outcome.data.copies === 1 ? 'label' : 'labels'}.`)
  }

  async function putIn() {
    const outcome = await ask(api.POST('/api/label-printer/roll'))
    failure = outcome.failure
    if (!outcome.failure) done('A new roll is in.')
  }
</script>

<svelte:head><title>Label · Lumpet</title></svelte:head>
<FailureNote failure={failure ?? asked.failure} />
{#if answer}
  <p class="small screen-only">
    <a class="link" href="#/recipes/{answer.product}/{answer.pan}">The recipe</a>,
    <a class="link" href="#/costs/{answer.product}/{answer.pan}">what it costs</a>
  </p>
  <h1 class="sentence">
    {answer.name} in
    <ChoiceWord
      label="In which pan"
      value={answer.pan}
      options={answer.pans.map((pan) => ({ value: pan.id, words: pan.name }))}
      onchange={(pan) => push(`/labels/${answer.product}/${pan}`)}
    />:
    {answer.inTheWay.length === 0
      ? 'its label is ready to print.'
      : `${answer.inTheWay.length === 1 ? 'one thing stands' : `${answer.inTheWay.length} things stand`} in the way of its label.`}
  </h1>
  {#each answer.inTheWay as words (words)}<p class="note mt-2">{words}</p>{/each}
  <p class="mt-2" role="status">{said}</p>
  <div class="mt-2 grid items-start gap-8 lg:grid-cols-[26rem_1fr]">
    <div>
      <LabelDrawing label={answer.label} />
      <p class="mt-2">
        By the manners of
        <ChoiceWord
          label="By whose manners"
          value={manner}
          options={[
            { value: 'europeanUnion', words: 'the EU' },
            { value: 'unitedStates', words: 'the US' },
          ]}
          onchange={(value) => (manner = value)}
        />, with
        <ChoiceWord
          label="How ingredients are listed"
          value={list}
          options={[
            { value: 'one', words: 'all ingredients in one list' },
            { value: 'opened', words: 'doughs and preparations opened in brackets' },
          ]}
          onchange={(value) => (list = value)}
        />, of
        <ChoiceWord
          label="Of which lot"
          value={answer.lot ?? ''}
          options={[
            { value: '', words: 'no lot' },
            ...answer.lots.map((lot) => ({ value: lot.id, words: `lot ${lot.code}, ${lot.pies} pies` })),
            ...(answer.lot && !answer.lots.some((lot) => lot.id === answer.lot)
              ? [{ value: answer.lot, words: answer.label.lot || 'this lot' }]
              : []),
          ]}
          onchange={(lot) => push(`/labels/${answer.product}/${answer.pan}${lot ? `/${lot}` : ''}`)}
        />.
      </p>
      <div class="screen-only mt-3 flex flex-wrap items-end gap-4">
        {#if !answer.lot}
          <label
            ><span class="small block">Made on</span><input
              class="field"
              type="date"
              value={answer.made}
              onchange={(event) => (made = event.currentTarget.value)}
            /></label
          >
        {/if}
        <label
          ><span class="small block">Labels</span><input
            class="field w-24"
            type="number"
            min="1"
            max="2000"
            bind:value={copies}
          /></label
        >
        <button class="press press-main" disabled={sending || (answer.inTheWay.length > 0 && !evenSo)} onclick={print}
          >Print labels</button
        >
      </div>
      {#if answer.inTheWay.length > 0}
        <label class="screen-only mt-2 flex items-center gap-2"
          ><input type="checkbox" bind:checked={evenSo} /> Print it even so: I have looked after what stands in the way</label
        >
      {/if}
      <p class="small screen-only mt-2">
        {answer.printerIsStandIn ? 'A stand-in for a label printer: it shows and keeps what it prints.' : ''}
        {#if answer.printerLeft !== null}{answer.printerLeft} labels are left on its roll.
          {#if isShort || answer.printerLeft < 50}<button class="link" onclick={putIn}>Put a new roll in</button
            >{/if}{/if}
      </p>
      {#if answer.printed.length > 0}
        <h2 class="mt-4">Printed last</h2>
        <ul>
          {#each answer.printed as one (one.number)}
            <li class="border-line border-t py-1">
              <details>
                <summary><strong>{one.copies}</strong> on {one.at}</summary>
                {#each one.lines as line, row (row)}<p class="small">{line}</p>{/each}
              </details>
            </li>
          {/each}
        </ul>
      {/if}
    </div>
    <div>
      <div class="screen-only">
        {#key `${answer.product}/${answer.pan}/${answer.version}`}
          <StatementForm {answer} ondone={done} />
        {/key}
        <WordsForm ingredients={answer.ingredients} ondone={done} />
      </div>
      {#each answer.notes as words (words)}<p class="small mt-2">{words}</p>{/each}
    </div>
  </div>
{/if}
