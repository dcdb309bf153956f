<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { live } from '../../parts/live.svelte'
  import Mark from '../../parts/Mark.svelte'

  interface Props {
    onclose: () => void
  }
  const { onclose }: Props = $props()
  type Margin = Schemas['MarginAnswer']

  let failure = $state<Failure>()
  let failed = $state<string>()
  let said = $state('')
  const id = $props.id()

  const asked = new Asked<Margin[]>()
  asked.follow(
    ['orders', 'recipes'],
    () => (signal) => api.GET('/api/margins', { signal }),
    () => 'margins',
  )

  async function set(margin: Margin, percent: number) {
    const outcome = await ask(
      api.PUT('/api/margins/{product}', {
        params: { path: { product: margin.product } },
        body: { percent: Number.isFinite(percent) ? percent : null, before: margin.percent },
      }),
    )
    failure = outcome.failure
    failed = outcome.failure ? margin.product : undefined
    said = outcome.failure ? '' : `${margin.name}: ${percent} % beyond what is ordered.`
    if (!outcome.failure) live.saved('orders')
    // What someone else has set meanwhile is shown.
    else if (outcome.failure.status === 412) await asked.refresh()
  }

  const fault = (product: string) => (failed === product ? failure?.fields.percent?.join(' ') : undefined)
</script>

<section class="note my-3" aria-label="Baked beyond what is ordered">
  <div class="flex flex-wrap items-baseline justify-between gap-3">
    <h2>Baked beyond what is ordered</h2>
    <button class="press" onclick={onclose}>Close</button>
  </div>
  <p class="small">
    For what breaks and for the counter: percent of what is ordered for a day in each pan, rounded up to whole pies,
    ready for the first pick-up.
  </p>
  <FailureNote failure={failure?.fields.percent ? asked.failure : (failure ?? asked.failure)} />
  <p role="status">{said}</p>
  <ul class="mt-1 grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
    {#each asked.current ?? [] as margin (margin.product)}
      <li class="border-line flex items-center gap-2 border-t py-1">
        <label class="grow" for="{id}-{margin.product}"><Mark product={margin.name} /> {margin.name}</label>
        <input
          id="{id}-{margin.product}"
          class="field w-20"
          type="number"
          min="0"
          max="50"
          value={margin.percent}
          aria-invalid={!!fault(margin.product)}
          aria-describedby="{id}-{margin.product}-fault"
          onchange={(event) => set(margin, event.currentTarget.valueAsNumber)}
        />
        %
        <span id="{id}-{margin.product}-fault" class="font-bold" role="alert">{fault(margin.product) ?? ''}</span>
      </li>
    {/each}
  </ul>
</section>
