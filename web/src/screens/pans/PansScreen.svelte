<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { centimetres } from '../../parts/amounts'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import PanSpots from '../../parts/PanSpots.svelte'

  const asked = new Asked<Schemas['PansAnswer']>()
  asked.follow(['bakery', 'recipes'], () => (signal) => api.GET('/api/pans', { signal }))
  const answer = $derived(asked.current)

  // Pixels for a centimetre: every pan on the screen is drawn to this scale.
  const scale = 6
  const section = (pan: Schemas['PanAnswer']) =>
    pan.isFreeForm
      ? `M ${-pan.topCm / 2} 0 Q ${-pan.topCm / 2} ${-pan.depthCm} 0 ${-pan.depthCm} Q ${pan.topCm / 2} ${-pan.depthCm} ${pan.topCm / 2} 0 Z`
      : `M ${-pan.topCm / 2 - pan.rimCm} ${-pan.depthCm} H ${-pan.topCm / 2} L ${-pan.bottomCm / 2} 0 H ${pan.bottomCm / 2} L ${pan.topCm / 2} ${-pan.depthCm} h ${pan.rimCm}`
  const widest = $derived(Math.max(10, ...(answer?.pans.map((one) => one.outerLengthCm) ?? [])))
  const volume = (one: Schemas['PanShown']) =>
    `${(one.pan.brimfulMl / 1000).toFixed(2)} l brimful (${one.brimfulCups} US cups)`
  const measure = (pan: Schemas['PanAnswer']) =>
    pan.isRound
      ? `${centimetres(pan.topCm)} across the top, ${centimetres(pan.bottomCm)} the floor`
      : `${pan.topCm} × ${pan.topWidthCm} cm the top, ${pan.bottomCm} × ${pan.bottomWidthCm} cm the floor`
  const families = $derived(new Set(answer?.pans.map((one) => one.pan.family) ?? []).size)
</script>

<svelte:head><title>Pans · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <p class="small"><a class="link" href="#/recipes">All recipes</a></p>
  <h1 class="sentence">
    {answer.pans.length}
    {answer.pans.length === 1 ? 'pan' : 'pans'} of {families}
    {families === 1 ? 'family' : 'families'}, drawn to one scale.
  </h1>
  <p class="small">
    Inner measures make the volume, outer ones the place on a tray of {answer.trayLengthCm} × {answer.trayWidthCm} cm.
    <a class="link" href="#/bakery">Change or add pans under Bakery</a>
  </p>
  <ul class="mt-3">
    {#each answer.pans as one (one.pan.id)}
      <li class="border-line grid items-center gap-x-8 gap-y-2 border-t py-3 md:grid-cols-[auto_1fr_auto]">
        <svg
          width={(widest + 1) * scale}
          height={(one.pan.depthCm + 1) * scale}
          viewBox="{-(widest + 1) / 2} {-one.pan.depthCm - 0.5} {widest + 1} {one.pan.depthCm + 1}"
          role="img"
          aria-label="{one.pan.name} in section: {measure(one.pan)}, {centimetres(one.pan.depthCm)} deep"
        >
          <path d={section(one.pan)} class="pot" class:free={one.pan.isFreeForm} />
        </svg>
        <div>
          <strong class="text-lg">{one.pan.name}</strong>
          <span class="small">@ {one.pan.id}; {one.pan.family}, {one.pan.material}</span>
          <p>{volume(one)}, {one.pan.insideCm2} cm² inside.</p>
          <p class="small">
            {measure(one.pan)}, {centimetres(one.pan.depthCm)}
            {one.pan.isFreeForm ? 'high' : `deep, rim ${centimetres(one.pan.rimCm)}`}. {one.note}
            {one.usedIn === 0
              ? 'No recipe is made in it yet.'
              : `${one.usedIn} ${one.usedIn === 1 ? 'recipe' : 'recipes'}.`}
          </p>
        </div>
        <figure class="text-center">
          <svg
            width={answer.trayLengthCm * 2}
            height={answer.trayWidthCm * 2}
            viewBox="0 0 {answer.trayLengthCm} {answer.trayWidthCm}"
            role="img"
            aria-label="{one.pan.perTray} on a tray, from above"
          >
            <rect
              x="0.3"
              y="0.3"
              width={answer.trayLengthCm - 0.6}
              height={answer.trayWidthCm - 0.6}
              rx="1"
              class="tray"
            />
            <PanSpots
              spots={one.spots}
              width={one.outerWidthCm}
              length={one.pan.isRound ? null : one.outerLengthCm}
              isTurned={one.isTurned}
            />
          </svg>
          <figcaption class="small">
            {one.pan.perTray} on a tray{one.spots.length === 0
              ? ': more than fit the common tray'
              : one.most > one.pan.perTray
                ? `; ${one.most} would fit`
                : ''}
          </figcaption>
        </figure>
      </li>
    {/each}
  </ul>
{/if}

<style>
  .pot {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 0.35;
    stroke-linejoin: round;
  }

  .free {
    stroke-dasharray: 0.8 0.5;
  }

  .tray {
    fill: none;
    stroke: #8b7763;
    stroke-width: 0.5;
  }
</style>
