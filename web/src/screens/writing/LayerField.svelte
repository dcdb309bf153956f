<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import KindField from '../../parts/KindField.svelte'
  import LinesField from '../../parts/LinesField.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'
  import { words } from '../../parts/words.svelte'

  interface Props {
    layer: Schemas['LayerDraft']
    /** Its place in the recipe. */
    at: number
    failure: Failure | undefined
    /** Whether there are other fillings. */
    isOneOfSeveral: boolean
    onlower: (() => void) | undefined
    onhigher: (() => void) | undefined
    ontakeout: (() => void) | undefined
  }
  let { layer = $bindable(), at, failure, isOneOfSeveral, onlower, onhigher, ontakeout }: Props = $props()

  const part = $derived(layer.part ?? 'filling')
  const isFilling = $derived(part === 'filling')
  const wordOf = (choices: { value: string; words: string }[], value: string | null | undefined) =>
    choices.find((choice) => choice.value === value)?.words ?? ''
  const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
  const title = $derived(capital(layer.name || wordOf(words.current.parts, part)))
  /** As many lines as are written, and one to go on. */
  const rows = $derived(Math.max(isFilling ? 4 : 2, (layer.lines ?? '').split('\n').length + 1))
  const laws = $derived(
    words.current.laws.filter(
      (law) => (isFilling || law.value !== 'room') && (part !== 'beside' || law.value !== 'floor'),
    ),
  )
  /** What is usual is said in a sentence, and can be pressed open. */
  const said = $derived(
    [
      `${wordOf(words.current.laws, layer.law ?? (isFilling ? 'room' : 'top'))}${layer.law === 'count' ? `, ${layer.pieces ?? '?'} a pie` : ''}`,
      isFilling ? `packed at ${layer.packedDensity ?? '?'} g/ml` : '',
      (layer.reducedPercent ?? 100) < 100 ? `boiled down to ${layer.reducedPercent} %` : '',
      (layer.keptPercent ?? 100) < 100 ? `${layer.keptPercent} % of it goes in` : 'all of it goes in',
    ]
      .filter((one) => one !== '')
      .join(', '),
  )
  const path = $derived(`layers[${at}]`)
  const isFaulty = $derived(
    ['law', 'pieces', 'packedDensity', 'reducedPercent', 'keptPercent', 'name'].some(
      (field) => failure?.fields[`${path}.${field}`],
    ),
  )
  /** Opened by a person, or by a fault inside. */
  let isOpen = $state(false)
  $effect(() => {
    if (isFaulty) isOpen = true
  })
  const label = $derived(
    isFilling
      ? `${isOneOfSeveral ? title : 'Filling'} of one pie: amount, ingredient, then how it is prepared`
      : part === 'topping'
        ? 'Topping of one pie: crumble, meringue, cream'
        : part === 'finish'
          ? 'Wash, sugar and the like, of one pie'
          : 'Served beside one pie: sauce, cream',
  )
</script>

<section class="border-line mt-2 border-t pt-2" aria-label="Layer {at + 1}, {title}">
  <div class="flex flex-wrap items-end gap-x-4 gap-y-1">
    <h3 class="grow self-center font-bold">
      {at + 1}. {title}{isFilling && layer.name ? `, ${wordOf(words.current.fillings, layer.fillingKind)}` : ''}
    </h3>
    {#if isFilling}
      <KindField
        label="Kind of filling"
        field="{path}.fillingKind"
        {failure}
        options={words.current.fillings}
        bind:value={layer.fillingKind}
      />
    {/if}
    {#if onlower}<button class="press" type="button" onclick={onlower}>Lower</button>{/if}
    {#if onhigher}<button class="press" type="button" onclick={onhigher}>Higher</button>{/if}
    {#if ontakeout}<button class="press" type="button" onclick={ontakeout} aria-label="Take out layer {at + 1}, {title}"
        >Take out</button
      >{/if}
  </div>
  <LinesField
    {label}
    field="{path}.lines"
    {failure}
    bind:value={layer.lines}
    {rows}
    placeholder={isFilling
      ? '900 g Quinces, pared and cored'
      : part === 'finish'
        ? '15 g Egg, wash'
        : '90 g Flour, plain'}
  />
  <details bind:open={isOpen}>
    <summary class="small">{capital(said)}</summary>
    <div class="flex flex-wrap items-start gap-x-4 gap-y-1 pt-1">
      <TextField label="What it is called" field="{path}.name" {failure} bind:value={layer.name} size={24} />
      <KindField label="How it follows the pan" field="{path}.law" {failure} options={laws} bind:value={layer.law} />
      {#if layer.law === 'count'}
        <NumberField label="Pieces a pie" field="{path}.pieces" {failure} bind:value={layer.pieces} size={6} />
      {/if}
      {#if isFilling}
        <NumberField
          label="As packed, g/ml"
          field="{path}.packedDensity"
          {failure}
          bind:value={layer.packedDensity}
          size={6}
        />
      {/if}
      <NumberField
        label="Boiled down to, % (empty: not)"
        field="{path}.reducedPercent"
        {failure}
        bind:value={layer.reducedPercent}
        size={6}
      />
      <NumberField
        label="Of that into the pan, %"
        field="{path}.keptPercent"
        {failure}
        bind:value={layer.keptPercent}
        size={6}
      />
    </div>
  </details>
</section>

<style>
  summary {
    display: inline-flex;
    align-items: center;
    min-height: 2.75rem;
    cursor: pointer;
    text-decoration: underline dotted;
    text-underline-offset: 4px;
  }
</style>
