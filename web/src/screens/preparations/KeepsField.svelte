<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import SaidFaults from '../../parts/SaidFaults.svelte'
  import SaidLength from '../../parts/SaidLength.svelte'
  import { words } from '../../parts/words.svelte'

  interface Props {
    making: Schemas['MakingDraft']
    failure: Failure | undefined
  }
  const { making, failure }: Props = $props()
  const group = $props.id()

  const here = $derived(words.current.keepPlaces.find((one) => one.value === making.keepsIn)?.words ?? 'somewhere')
  const elsewhere = () => (making.elsewhere ??= [])
  const at = (place: string) => (making.elsewhere ?? []).findIndex((kept) => kept?.in === place)

  /** What is said of a place where no plan keeps it; nothing is said any more when both are empty. */
  function say(place: string, figures: { least?: number | null; most?: number | null }) {
    const found = at(place)
    const kept = { in: place, least: null, most: null, ...elsewhere()[found], ...figures }
    if (kept.least === null && kept.most === null) elsewhere().splice(found, found < 0 ? 0 : 1)
    else if (found < 0) elsewhere().push(kept)
    else elsewhere()[found] = kept
  }

  /** The plan keeps it somewhere else: what was said of either place stays with it. */
  function keepIn(place: string) {
    const next = making.elsewhere?.[at(place)]
    const before = { in: making.keepsIn ?? '', least: making.holdLeast || null, most: making.holdMost ?? null }
    making.elsewhere = elsewhere().filter((kept) => kept?.in !== place)
    if (before.in !== '' && before.most !== null) making.elsewhere.push(before)
    Object.assign(making, { keepsIn: place, holdLeast: next?.least ?? null, holdMost: next?.most ?? null })
  }
  const fields = $derived([
    'making.keepsIn',
    'making.holdLeast',
    'making.holdAim',
    'making.holdMost',
    'making.elsewhere',
    ...(making.elsewhere ?? []).flatMap((_, index) =>
      ['in', 'least', 'most'].map((name) => `making.elsewhere[${index}].${name}`),
    ),
    'making.thawMin',
    'making.beforeUse',
  ])
</script>

<fieldset class="mt-5">
  <legend><h2>How it keeps</h2></legend>
  {#each words.current.keepPlaces as place (place.value)}
    {@const isHere = making.keepsIn === place.value}
    <p class="said">
      <label class="where" class:font-bold={isHere}
        ><input
          type="radio"
          class="size-5"
          name={group}
          checked={isHere}
          onchange={() => keepIn(place.value)}
          aria-label="a plan keeps it {place.words}"
        />{place.words}</label
      >
      {#if isHere}
        <SaidLength label="{place.words}, at most" field="making.holdMost" {failure} bind:value={making.holdMost} />
        at most,
        <SaidLength
          label="{place.words}, at least"
          field="making.holdLeast"
          {failure}
          bind:value={() => making.holdLeast || null, (least) => (making.holdLeast = least)}
        />
        at least
      {:else}
        {@const path = `making.elsewhere[${at(place.value)}]`}
        <SaidLength
          label="{place.words}, at most"
          field="{path}.most"
          {failure}
          bind:value={
            () => making.elsewhere?.[at(place.value)]?.most, (most) => say(place.value, { most: most ?? null })
          }
        />
        at most,
        <SaidLength
          label="{place.words}, at least"
          field="{path}.least"
          {failure}
          bind:value={
            () => making.elsewhere?.[at(place.value)]?.least, (least) => say(place.value, { least: least ?? null })
          }
        />
        at least
      {/if}
    </p>
  {/each}
  <p class="small">Where it does not keep, both are left empty.</p>
  <p class="said">
    A plan keeps it {here}, where
    <SaidLength label="wanted there" field="making.holdAim" {failure} bind:value={making.holdAim} />
    are wanted.
    {#if making.keepsIn === 'frozen' || at('frozen') >= 0 || (making.thawMin ?? null) !== null}
      Out of the freezer it thaws for
      <SaidLength label="thawed in the fridge" field="making.thawMin" {failure} bind:value={making.thawMin} />
      in the fridge.
    {/if}
  </p>
  <p class="said">
    Before it is used:
    <input
      class="field"
      style:width="26ch"
      bind:value={() => making.beforeUse ?? '', (text) => (making.beforeUse = text.trim() === '' ? null : text)}
      placeholder="stir, whip, warm"
      aria-label="Before use"
      aria-invalid={!!failure?.fields['making.beforeUse']}
    />
  </p>
  <SaidFaults {fields} {failure} />
</fieldset>

<style>
  .where {
    display: inline-flex;
    align-items: center;
    gap: 0.5rem;
    min-height: 2.75rem;
    min-width: 12.5rem;
  }
</style>
