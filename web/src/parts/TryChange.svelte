<script lang="ts">
  import type { Schemas } from '../api/client'
  import { today } from './day.svelte'

  interface Props {
    plan: Schemas['PlanAnswer']
  }
  const { plan }: Props = $props()

  const all = $derived(plan.arrangement)
  let size = $state(0)
  let count = $state(10)
  let wave = $state(0)
  let oven = $state(0)
  let bake = $state(0)
  let minutes = $state(5)
  let hands = $state(1)
  let earlier = $state(60)
  let between = $state(1)
  let lot = $state(0)

  // What was chosen may be gone after the orders have changed.
  const sizeNow = $derived(all.sizes[size] ?? all.sizes[0])
  const waveNow = $derived(plan.waves[wave] ?? plan.waves[0])
  const ovenNow = $derived(all.ovens[oven] ?? all.ovens[0])
  const lotNow = $derived(all.lots[lot] ?? all.lots[0])
  const bakeNow = $derived(all.bakes[bake] ?? all.bakes[0])

  function more(event: SubmitEvent) {
    event.preventDefault()
    if (!sizeNow || !waveNow) return
    const one = { product: sizeNow.product, pan: sizeNow.pan, count, pickUp: waveNow.pickUp.clock, for: '' }
    void today.tryOut({ more: [...(today.change.more ?? []), one] })
  }

  function without(event: SubmitEvent) {
    event.preventDefault()
    if (!ovenNow) return
    const out = all.ovens.filter((one) => one.isOut !== (one.id === ovenNow.id)).map((one) => one.id)
    void today.tryOut({ ovensOut: out })
  }

  function crew(event: SubmitEvent) {
    event.preventDefault()
    void today.tryOut({ moreHands: hands })
  }

  function sooner(event: SubmitEvent) {
    event.preventDefault()
    void today.tryOut({ earlierMin: earlier })
  }

  function shift(event: SubmitEvent) {
    event.preventDefault()
    void today.tryOut({ betweenHands: between })
  }

  function leaveOut(event: SubmitEvent) {
    event.preventDefault()
    if (!lotNow) return
    const out = all.lots.filter((one) => one.isLeftOut !== (one === lotNow))
    void today.tryOut({ leftOut: out.map(({ product, pan, pickUp }) => ({ product, pan, pickUp })) })
  }

  function longer(event: SubmitEvent) {
    event.preventDefault()
    if (!bakeNow) return
    const others = all.bakes.filter((one) => one.product !== bakeNow.product && one.longerMin > 0)
    void today.tryOut({
      longerBakes: [
        ...others.map((one) => ({ product: one.product, minutes: one.longerMin })),
        { product: bakeNow.product, minutes },
      ],
    })
  }
</script>

<details class="screen-only">
  <summary>Try a change</summary>
  <p class="small">The plan follows, and what would be different is said; nothing is changed until you make it so.</p>
  <form onsubmit={more} aria-label="More pies">
    <input class="field" type="number" min="1" max="2000" aria-label="How many more" bind:value={count} /> more
    <select class="field" aria-label="More of what" bind:value={size}>
      {#each all.sizes as one, index (`${one.product} ${one.pan}`)}<option value={index}>{one.name}</option>{/each}
    </select>
    for
    <select class="field" aria-label="For which pick-up" bind:value={wave}>
      {#each plan.waves as one, index (one.pickUp.min)}<option value={index}>{one.pickUp.clock}</option>{/each}
    </select>
    <button class="press">Try</button>
  </form>
  {#if lotNow}
    <form onsubmit={leaveOut} aria-label="Pies left out">
      <select class="field" aria-label="Which pies" bind:value={lot}>
        {#each all.lots as one, index (`${one.product} ${one.pan} ${one.pickUp}`)}<option value={index}
            >{one.name}</option
          >{/each}
      </select>
      {lotNow.isLeftOut ? 'planned again' : 'left out'}
      <button class="press">Try</button>
    </form>
  {/if}
  <form onsubmit={without} aria-label="An oven out">
    <select class="field" aria-label="Which oven" bind:value={oven}>
      {#each all.ovens as one, index (one.id)}<option value={index}>{one.name}</option>{/each}
    </select>
    {ovenNow?.isOut ? 'is back in use' : 'is out'}
    <button class="press">Try</button>
  </form>
  {#if all.bakes.length > 0}
    <form onsubmit={longer} aria-label="A longer bake">
      <select class="field" aria-label="Which bake" bind:value={bake}>
        {#each all.bakes as one, index (one.product)}<option value={index}>{one.name}</option>{/each}
      </select>
      bakes
      <input class="field" type="number" min="0" max="60" aria-label="Minutes longer" bind:value={minutes} /> min longer
      <button class="press">Try</button>
    </form>
  {/if}
  {#if all.moreHands !== null}
    <form onsubmit={crew} aria-label="More hands">
      <input class="field" type="number" min="0" max="6" aria-label="Pairs of hands more" bind:value={hands} />
      {hands === 1 ? 'pair' : 'pairs'} of hands more in every shift of this day
      <button class="press">Try</button>
    </form>
  {/if}
  <form onsubmit={sooner} aria-label="An earlier start">
    Work begins
    <input class="field" type="number" min="0" max="480" aria-label="Minutes earlier" bind:value={earlier} /> min
    earlier
    <button class="press">Try</button>
  </form>
  <form onsubmit={shift} aria-label="A shift between">
    <input
      class="field"
      type="number"
      min="0"
      max="6"
      aria-label="Pairs of hands between the shifts"
      bind:value={between}
    />
    {between === 1 ? 'pair' : 'pairs'} of hands between the shifts, while nobody else is there
    <button class="press">Try</button>
  </form>
  <p class="small">A pick-up is moved in the sentence above: press its time.</p>
</details>

<style>
  summary {
    cursor: pointer;
    font-weight: 700;
  }

  form {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.4rem;
    margin-top: 0.4rem;
  }

  input {
    width: 5rem;
  }
</style>
