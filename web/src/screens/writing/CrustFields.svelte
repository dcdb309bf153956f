<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import SaidFaults from '../../parts/SaidFaults.svelte'
  import SaidNumber from '../../parts/SaidNumber.svelte'

  interface Props {
    /** The recipe as it is written. */
    written: Schemas['ProductDraft']
    /** The doughs that can be chosen. */
    doughs: { id: string; name: string }[]
    failure: Failure | undefined
  }
  const { written, doughs, failure }: Props = $props()

  const isShell = $derived(written.lining === 'boughtShell')
  const isLattice = $derived(written.top === 'lattice')
  const isDivided = $derived(written.top === 'lid' || isLattice)
  const isOfDough = $derived(isDivided || written.top === 'cutOuts')
  const topWord = $derived(written.top === 'lid' ? 'lid' : isLattice ? 'strips' : 'cut-outs')
  /** How bakers divide a dough; any other share is written in per cent. */
  const divisions = [
    { percent: 50, words: 'half and half' },
    { percent: 66.667, words: 'two thirds to the base, a third on top' },
    { percent: 40, words: '40 to the base, 60 on top' },
  ]
  let isOther = $state(false)
  const division = $derived(
    isOther
      ? ''
      : (divisions.find((one) => one.percent === (written.baseSharePercent ?? 50))?.percent.toString() ?? ''),
  )
  const isByShare = $derived((written.doughGrams ?? null) !== null)
  const isFromSheet = $derived((written.stripSheet ?? null) !== null)
  const cutsFromSheet = $derived(
    written.lining === 'smallRounds' || written.lining === 'floorAndStrips' || written.top === 'cutOuts',
  )

  function divide(isShared: boolean) {
    written.doughGrams = isShared ? 600 : null
    if (!isShared) {
      written.baseSharePercent = null
      written.shareGives = null
    }
  }
</script>

<!-- How the dough is rolled and cut, as a baker says it. -->
<fieldset class="mt-3">
  <legend><h2>Crust</h2></legend>
  {#if isShell}
    <p class="said">
      A shell by the piece is not rolled; its wall is
      <SaidNumber label="Wall of the shell, mm" field="thicknessMm" {failure} bind:value={written.thicknessMm} /> mm thick.
    </p>
  {:else}
    <p class="said">
      The dough is
      <select
        class="field"
        aria-label="How the dough is said"
        bind:value={() => (isByShare ? 'share' : 'thickness'), (way) => divide(way === 'share')}
      >
        <option value="thickness">rolled to a thickness</option>
        <option value="share">divided, so much a pie</option>
      </select>
      {#if isByShare}
        :
        <SaidNumber label="Dough of one pie, g" field="doughGrams" {failure} bind:value={written.doughGrams} size={6} /> g
        {#if isDivided}
          ,
          <select
            class="field"
            aria-label="How it is divided"
            bind:value={
              () => division,
              (percent) => {
                isOther = percent === ''
                if (percent !== '') written.baseSharePercent = Number(percent)
              }
            }
          >
            {#each divisions as one (one.percent)}<option value={one.percent.toString()}>{one.words}</option>{/each}
            <option value="">another share</option>
          </select>
          {#if division === ''}<SaidNumber
              label="Share of the base, %"
              field="baseSharePercent"
              {failure}
              bind:value={written.baseSharePercent}
            /> % to the base{/if}
          {#if isLattice && !isFromSheet}
            ;
            <select
              class="field"
              aria-label="What follows"
              bind:value={
                () => written.shareGives ?? 'thickness',
                (gives) => (written.shareGives = gives === 'thickness' ? null : gives)
              }
            >
              <option value="thickness">how thick the strips are</option>
              <option value="strips">how many strips there are</option>
            </select> follows
          {/if}
        {:else}, all of it to the base{/if}
      {:else}
        :
        <SaidNumber label="Dough rolled to, mm" field="thicknessMm" {failure} bind:value={written.thicknessMm} /> mm
      {/if}
    </p>
  {/if}
  {#if isOfDough}
    <p class="said">
      The {topWord}
      {written.top === 'lid' ? 'is' : 'are'} of
      <select
        class="field"
        aria-label="Dough on top"
        bind:value={() => written.topDough ?? '', (id) => (written.topDough = id === '' ? null : id)}
        ><option value="">the same dough</option
        >{#each doughs.filter((one) => one.id !== written.dough) as dough (dough.id)}<option value={dough.id}
            >{dough.name}</option
          >{/each}</select
      >
      {#if !isByShare || written.shareGives === 'strips' || written.top === 'cutOuts'}
        , rolled to
        <SaidNumber
          label="Top rolled to, mm; empty for as thick as the base"
          field="topThicknessMm"
          {failure}
          bind:value={written.topThicknessMm}
        /> mm <span class="small">(empty: as thick as the base)</span>
      {/if}
    </p>
  {/if}
  {#if !isShell || isOfDough}
    <p class="said">
      The base reaches
      <SaidNumber label="Base overhang, cm" field="baseOverhangCm" {failure} bind:value={written.baseOverhangCm} /> cm
      {#if isDivided}and the {topWord}
        <SaidNumber label="Top overhang, cm" field="topOverhangCm" {failure} bind:value={written.topOverhangCm} /> cm{/if}
      <select
        class="field"
        aria-label="From where the overhang is counted"
        bind:value={
          () => (written.overhangFromWall ? 'wall' : 'rim'),
          (from) => (written.overhangFromWall = from === 'wall' ? true : null)
        }
      >
        <option value="rim">over the outer edge of the rim</option>
        <option value="wall">from the wall, the rim counted in</option>
      </select>.
    </p>
    <p class="said">
      <SaidNumber label="Trimmed off, %" field="trimPercent" {failure} bind:value={written.trimPercent} /> % of what is rolled
      is trimmed off and comes back.
    </p>
  {/if}
  {#if isLattice}
    <p class="said">
      The strips are
      <select
        class="field"
        aria-label="How the strips are said"
        bind:value={
          () => (isFromSheet ? 'sheet' : 'width'),
          (way) => (written.stripSheet = way === 'sheet' ? '30 x 40 into 16' : null)
        }
      >
        <option value="width">so wide, so far apart</option>
        <option value="sheet">a sheet cut into so many</option>
      </select>
      {#if isFromSheet}
        :
        <input
          class="field"
          style:width="19ch"
          maxlength="40"
          aria-label="Sheet and strips, as 30 x 40 into 16"
          aria-invalid={!!failure?.fields.stripSheet}
          bind:value={written.stripSheet}
        />
        cm
      {:else}
        :
        <SaidNumber label="Strips wide, cm" field="stripWidthCm" {failure} bind:value={written.stripWidthCm} /> cm wide
        {#if !(isByShare && written.shareGives === 'strips')}
          ,
          <SaidNumber label="Gaps, cm" field="stripGapCm" {failure} bind:value={written.stripGapCm} /> cm apart
        {/if}
      {/if}
    </p>
  {/if}
  {#if written.top === 'cutOuts'}
    <p class="said">
      <SaidNumber label="Cut-outs a pie" field="cutOuts" {failure} bind:value={written.cutOuts} /> cut-outs of
      <SaidNumber label="Cut-outs across, cm" field="cutOutCm" {failure} bind:value={written.cutOutCm} /> cm
      {#if !written.topDough}
        <label class="inline-flex min-h-9 items-center gap-2"
          ><input
            type="checkbox"
            class="size-5"
            checked={written.cutOutsFromTrim ?? true}
            onchange={(event) => (written.cutOutsFromTrim = event.currentTarget.checked)}
          /> from the base's trim as far as it goes</label
        >
      {/if}
    </p>
  {/if}
  {#if cutsFromSheet}
    <p class="said">
      Small pieces are cut from a sheet of
      <input
        class="field"
        style:width="11ch"
        maxlength="30"
        placeholder="60 x 40"
        aria-label="Sides of the sheet in cm; empty for 60 x 40"
        aria-invalid={!!failure?.fields.sheet}
        bind:value={() => written.sheet ?? '', (sides) => (written.sheet = sides.trim() === '' ? null : sides)}
      />
      cm{#if written.lining === 'smallRounds'}, and scraps are rolled again
        <SaidNumber
          label="Scraps rolled again, times"
          field="rerolls"
          {failure}
          bind:value={written.rerolls}
          size={2}
        /> times{/if}.
    </p>
  {/if}
  <SaidFaults
    fields={[
      'doughGrams',
      'baseSharePercent',
      'thicknessMm',
      'topDough',
      'topThicknessMm',
      'baseOverhangCm',
      'topOverhangCm',
      'trimPercent',
      'stripSheet',
      'stripWidthCm',
      'stripGapCm',
      'cutOuts',
      'cutOutCm',
      'sheet',
      'rerolls',
    ]}
    {failure}
  />
</fieldset>
