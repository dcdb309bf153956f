<script lang="ts">
  import { SentKey } from '../../parts/key'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { live } from '../../parts/live.svelte'

  interface Props {
    /** The day meant where the line names none. */
    day: string
    /** Whether the form for the same is open below. */
    isFormOpen: boolean
    onform: () => void
    onadded: (words: string) => void
  }
  const { day, isFormOpen, onform, onadded }: Props = $props()

  // Kept until it is taken, also over a page that is loaded anew.
  const kept = 'lumpet-order-line'
  let line = $state(sessionStorage.getItem(kept) ?? '')
  let isWaiting = $state(false)
  /** The line that is under way, or was sent last. */
  let sent = ''
  let isNext = false
  let understood = $state<Schemas['UnderstoodAnswer']>()
  let failure = $state<Failure>()
  let isSaying = $state(false)
  let isSending = $state(false)
  let asked = 0
  // One key for one line, however often it is sent; a corrected line is another, and so is the next once one is taken.
  const keys = new SentKey()

  const names: Record<string, string> = {
    count: 'how many',
    product: 'of what',
    pan: 'in which pan',
    day: 'which day',
    time: 'when',
    for: 'for whom',
  }

  $effect(() => sessionStorage.setItem(kept, line))

  // What could not be sent goes out when the server is back: the same key, so that it is taken once.
  $effect(() => live.on(() => isWaiting && add()))

  async function read() {
    isSaying = false
    isWaiting = false
    failure = undefined
    const mine = ++asked
    if (!line.trim()) {
      understood = undefined
      return
    }
    const { data } = await ask(api.POST('/api/orders/read', { body: { line, day } }))
    if (data && mine === asked) understood = data
  }

  async function add(event?: SubmitEvent) {
    event?.preventDefault()
    isSaying = true
    if (!line.trim()) return
    if (isSending) {
      // A double press is one order; another line that is pressed meanwhile goes out next.
      isNext = line !== sent
      return
    }
    isSending = true
    isNext = false
    sent = line
    const { data, failure: refused } = await ask(
      api.POST('/api/orders/typed', {
        params: { header: { 'Idempotency-Key': keys.of({ line: sent, day }) } },
        body: { line: sent, day },
      }),
    )
    isSending = false
    isWaiting = refused?.status === 0
    if (data) {
      keys.taken()
      failure = undefined
      // What was typed meanwhile stays.
      if (line === sent) {
        line = ''
        understood = undefined
        isSaying = false
      }
      onadded(`${data.count} ${data.productName}, ${data.panName}, ${data.clock}${data.for ? `, ${data.for}` : ''}`)
    } else if (refused && Object.keys(refused.fields).length === 0) failure = refused
    else if (refused && line === sent) {
      // Of a line that was corrected meanwhile, what is said of the corrected one stays.
      understood = {
        parts: understood?.parts ?? [],
        faults: Object.entries(refused.fields).flatMap(([field, messages]) =>
          messages.map((message) => ({ field, message })),
        ),
        isComplete: false,
      }
    }
    if (isNext) await add()
  }
</script>

<form class="screen-only mt-4 flex flex-wrap items-start gap-3" onsubmit={add} novalidate>
  <div class="min-w-64 grow">
    <div class="mb-1 flex justify-between">
      <label class="small" for="order-line"
        >A new order, on one line: how many, of what, @ pan, day, time, for whom</label
      >
      <button class="link small" type="button" onclick={onform} aria-expanded={isFormOpen}>
        {isFormOpen ? 'Close the form' : 'Fill in a form instead'}
      </button>
    </div>
    <input
      id="order-line"
      class="field w-full text-lg"
      placeholder="24 pear @ 23 sat 9:00 kiosk"
      autocomplete="off"
      spellcheck="false"
      bind:value={line}
      oninput={read}
      aria-describedby="order-line-understood"
      aria-invalid={isSaying && understood?.isComplete === false}
    />
  </div>
  <button class="press press-main mt-7" type="submit">Add</button>
</form>
<div id="order-line-understood" class="screen-only mt-2 min-h-12" aria-live="polite">
  {#if understood}
    <dl class="flex flex-wrap gap-x-6 gap-y-1">
      {#each understood.parts as part (part.field)}
        <div>
          <dt class="small">{names[part.field]}</dt>
          <dd class="font-bold">{part.meaning}</dd>
        </div>
      {/each}
      {#if understood.isComplete}<div class="small self-end">Press Enter to add it.</div>{/if}
    </dl>
    {#each understood.faults as fault (fault.field + fault.message)}
      <p class:font-bold={isSaying} role={isSaying ? 'alert' : undefined}>{fault.message}</p>
    {/each}
  {/if}
</div>
{#if isWaiting}
  <p class="note my-2" role="alert">
    The server does not answer. This order is <strong>not taken yet</strong>: it stays here, and goes out by itself when
    the server is back.
  </p>
{:else}<FailureNote {failure} />{/if}
