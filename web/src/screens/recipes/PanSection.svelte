<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { centimetres, grams } from '../../parts/amounts'

  interface Props {
    pan: Schemas['PanAnswer']
    filling: Schemas['FillingScaleAnswer']
    layers: Schemas['PieLayerAnswer'][]
    /** What lies on the filling, in words. */
    top: string
    /** Whether the figures behind it are left out. */
    isBrief?: boolean
  }
  const { pan, filling, layers, top, isBrief = false }: Props = $props()
  const lid = $derived(top === 'lid' || top.endsWith('lattice') || top === 'cut-outs')

  // One unit is a centimetre; 0 0 is the middle of the pan's floor, up is negative.
  const half = $derived(pan.topCm / 2 + pan.rimCm + 1)
  const above = $derived(
    Math.max(1.5, filling.moundCm + filling.thicknessCm + (top === 'crumble' || top === 'meringue' ? 2.6 : 1)),
  )
  const dough = $derived(filling.thicknessCm)
  const wall = $derived((pan.topCm - filling.linedTopCm) / 2)

  const pot = $derived(
    `M ${-pan.topCm / 2 - pan.rimCm} ${-pan.depthCm} H ${-pan.topCm / 2} L ${-pan.bottomCm / 2} 0 H ${pan.bottomCm / 2} L ${pan.topCm / 2} ${-pan.depthCm} H ${pan.topCm / 2 + pan.rimCm}`,
  )
  const base = $derived(
    `M ${-pan.topCm / 2 - pan.rimCm} ${-pan.depthCm} H ${-pan.topCm / 2} L ${-pan.bottomCm / 2} 0 H ${pan.bottomCm / 2} L ${pan.topCm / 2} ${-pan.depthCm} H ${pan.topCm / 2 + pan.rimCm} v ${-dough} H ${pan.topCm / 2 - wall} L ${filling.linedBottomCm / 2} ${-dough} H ${-filling.linedBottomCm / 2} L ${-pan.topCm / 2 + wall} ${-pan.depthCm - dough} H ${-pan.topCm / 2 - pan.rimCm} Z`,
  )
  const halfAt = (height: number) =>
    (filling.linedBottomCm + ((filling.linedTopCm - filling.linedBottomCm) * height) / filling.linedDepthCm) / 2
  const level = $derived(dough + filling.heightCm)
  const halfAtLevel = $derived(halfAt(filling.heightCm))
  // A quadratic curve's control point lies twice as high as its top: the mound is drawn as the parabola it is reckoned as.
  const inside = $derived(
    `M ${-filling.linedBottomCm / 2} ${-dough} L ${-halfAtLevel} ${-level} Q 0 ${-level - 2 * filling.moundCm} ${halfAtLevel} ${-level} L ${filling.linedBottomCm / 2} ${-dough} Z`,
  )
  const cover = $derived.by(() => {
    const edge = pan.topCm / 2 + pan.rimCm
    const rim = pan.depthCm + dough
    const rise = 2 * filling.moundCm
    return `M ${-edge} ${-rim} H ${-halfAtLevel} Q 0 ${-rim - rise} ${halfAtLevel} ${-rim} H ${edge} v ${-dough} H ${halfAtLevel} Q 0 ${-rim - dough - rise} ${-halfAtLevel} ${-rim - dough} H ${-edge} Z`
  })
  /** Crumble or meringue as bumps over the filling: a sign of what it is, not a measure. */
  const heap = $derived.by(() => {
    const bumps = top === 'meringue' ? 9 : 17
    const [thick, high] = top === 'meringue' ? [1.3, 1.5] : [0.6, 0.5]
    const at = (share: number) => {
      const bow = 1 - (2 * share - 1) ** 2
      return `${halfAtLevel * (2 * share - 1)} ${-level - filling.moundCm * bow - thick * Math.min(1, 3 * bow)}`
    }
    const over = Array.from({ length: bumps }, (_, bump) => {
      const middle = (bump + 0.5) / bumps
      const bow = 1 - (2 * middle - 1) ** 2
      return `Q ${halfAtLevel * (2 * middle - 1)} ${-level - filling.moundCm * bow - thick * Math.min(1, 3 * bow) - high} ${at((bump + 1) / bumps)}`
    })
    return `M ${-halfAtLevel} ${-level} ${over.join(' ')} L ${halfAtLevel} ${-level} Q 0 ${-level - 2 * filling.moundCm} ${-halfAtLevel} ${-level} Z`
  })
  const fillings = $derived(layers.filter((layer) => layer.part === 'filling'))
  /** Every filling but the uppermost, as the band of the pan that it takes. */
  const bands = $derived(
    fillings.slice(0, -1).map((layer, at) => {
      const [from, to] = [fillings[at - 1]?.upToCm ?? 0, layer.upToCm ?? 0]
      const [low, high] = [halfAt(from), halfAt(to)]
      return {
        layer,
        path: `M ${-low} ${-dough - from} L ${-high} ${-dough - to} H ${high} L ${low} ${-dough - from} Z`,
      }
    }),
  )
  /** Fillings from above, as they are drawn, each with what of it goes into a pie. */
  const named = $derived(fillings.toReversed().map((layer, at) => ({ layer, tone: fillings.length - 1 - at })))
  const after = $derived(dough + filling.afterBakeCm)
  const baked = $derived(`M ${-halfAtLevel} ${-level} Q 0 ${-level - 2 * (after - level)} ${halfAtLevel} ${-level}`)

  const stands = $derived(
    filling.moundCm > 0.05
      ? `mounded ${centimetres(filling.moundCm)} above the rim`
      : filling.linedDepthCm - filling.heightCm < 0.05
        ? `${centimetres(filling.heightCm)} deep, level with the rim`
        : `${centimetres(filling.heightCm)} deep, ${centimetres(filling.linedDepthCm - filling.heightCm)} below the rim`,
  )
  const moves = $derived(
    filling.movedCm === 0
      ? ''
      : filling.movedCm < 0
        ? `; sinks ${centimetres(-filling.movedCm)} in the bake, to the dashes`
        : `; rises ${centimetres(filling.movedCm)} in the bake, to the dashes`,
  )
</script>

<section aria-label="In the pan, to scale">
  <h2>In the pan, to scale</h2>
  <svg
    viewBox="{-half} {-pan.depthCm - above} {2 * half} {pan.depthCm + above + 1.6}"
    role="img"
    aria-label="{pan.name}: {stands}{moves}"
  >
    <path d={inside} class="filling" />
    {#each bands as band, at (band.layer.id)}<path
        d={band.path}
        class="band"
        style:--tone="{(at % 4) * 18 + 18}%"
      />{/each}
    <path d={base} class="dough" />
    {#if lid}<path d={cover} class="dough" />{/if}
    {#if pan.isFreeForm}<path d="M {-half} 0.1 H {half}" class="tray" />{:else}<path d={pot} class="pot" />{/if}
    {#if top === 'crumble' || top === 'meringue'}<path d={heap} class="heap" />{/if}
    {#if filling.movedCm !== 0}<path d={baked} class="baked" />{/if}
    <path
      d="M {-pan.topCm / 2} 0.9 H {pan.topCm / 2} M {-pan.topCm / 2} 0.6 v 0.6 M {pan.topCm / 2} 0.6 v 0.6"
      class="measure"
    />
  </svg>
  <p class="-mt-1 text-center">
    {pan.isRound ? `${centimetres(pan.topCm)} across` : `${pan.topCm} × ${pan.topWidthCm} cm`}, {centimetres(
      pan.depthCm,
    )}
    {pan.isFreeForm ? 'high, no pan' : `deep, rim ${centimetres(pan.rimCm)}`}; {pan.family}, {pan.material}
  </p>
  <p class="mt-1"><span class="weight">{grams(filling.gramsPerPie)}</span> of filling a pie: {stands}{moves}.</p>
  {#if fillings.length > 1}
    <ul>
      {#each named as { layer, tone } (layer.id)}
        <li class="flex items-center gap-2">
          <span class="swatch" style:--tone={tone === fillings.length - 1 ? '0%' : `${(tone % 4) * 18 + 18}%`}></span>
          <span
            ><span class="weight">{grams(layer.gramsPerPie)}</span>
            {layer.title.toLowerCase()}{layer.pieces > 0 ? `, ${layer.pieces} pieces` : ''}</span
          >
        </li>
      {/each}
    </ul>
  {/if}
  {#if !isBrief}
    <p class="small">
      {filling.levelMl} ml level inside {centimetres(filling.thicknessCm * 10).replace(' cm', ' mm')} of dough ({centimetres(
        filling.linedTopCm,
      )} to
      {centimetres(filling.linedBottomCm)} across, {centimetres(filling.linedDepthCm)} deep), {filling.levelPercent} % filled;
      {filling.roomMl}
      ml with the mound, against {filling.writtenMl} ml as written: {filling.roomMl} / {filling.writtenMl} = {filling.factor.toFixed(
        4,
      )}. Packed at {filling.packedDensity} g/ml{fillings.length > 1 ? ' on the whole' : ''}.
    </p>
  {/if}
</section>

<style>
  svg {
    width: 100%;
    max-height: 15rem;
  }

  /* Lines stay as thick for a mini as for a slab. */
  path {
    vector-effect: non-scaling-stroke;
  }

  .filling {
    fill: var(--color-filling);
    stroke: none;
  }

  .band {
    fill: color-mix(in srgb, var(--color-filling), var(--color-base-content) var(--tone));
    stroke: none;
  }

  .swatch {
    width: 1rem;
    height: 1rem;
    border: 1px solid var(--color-base-content);
    background: color-mix(in srgb, var(--color-filling), var(--color-base-content) var(--tone));
  }

  .dough {
    fill: var(--color-dough);
    stroke: var(--color-base-content);
    stroke-width: 1px;
    stroke-linejoin: round;
  }

  .pot {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 3.5px;
    stroke-linejoin: round;
  }

  .tray {
    stroke: var(--color-base-content);
    stroke-width: 2.5px;
  }

  .heap {
    fill: var(--color-paper);
    stroke: var(--color-base-content);
    stroke-width: 1px;
  }

  .baked {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 1.5px;
    stroke-dasharray: 6px 4px;
  }

  .measure {
    fill: none;
    stroke: #8b7763;
    stroke-width: 1px;
  }
</style>
