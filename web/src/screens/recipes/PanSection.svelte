<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { centimetres, grams } from '../../parts/amounts'

  interface Props {
    pan: Schemas['PanAnswer']
    filling: Schemas['FillingScaleAnswer']
    /** Whether dough lies on the filling. */
    lid: boolean
  }
  const { pan, filling, lid }: Props = $props()

  // One unit is a centimetre; 0 0 is the middle of the pan's floor, up is negative.
  const half = $derived(pan.topCm / 2 + pan.rimCm + 1)
  const above = $derived(Math.max(1.5, filling.moundCm + filling.thicknessCm + 1))
  const dough = $derived(filling.thicknessCm)
  const wall = $derived((pan.topCm - filling.linedTopCm) / 2)

  const pot = $derived(
    `M ${-pan.topCm / 2 - pan.rimCm} ${-pan.depthCm} H ${-pan.topCm / 2} L ${-pan.bottomCm / 2} 0 H ${pan.bottomCm / 2} L ${pan.topCm / 2} ${-pan.depthCm} H ${pan.topCm / 2 + pan.rimCm}`,
  )
  const base = $derived(
    `M ${-pan.topCm / 2 - pan.rimCm} ${-pan.depthCm} H ${-pan.topCm / 2} L ${-pan.bottomCm / 2} 0 H ${pan.bottomCm / 2} L ${pan.topCm / 2} ${-pan.depthCm} H ${pan.topCm / 2 + pan.rimCm} v ${-dough} H ${pan.topCm / 2 - wall} L ${filling.linedBottomCm / 2} ${-dough} H ${-filling.linedBottomCm / 2} L ${-pan.topCm / 2 + wall} ${-pan.depthCm - dough} H ${-pan.topCm / 2 - pan.rimCm} Z`,
  )
  const level = $derived(dough + filling.heightCm)
  const halfAtLevel = $derived(
    (filling.linedBottomCm + ((filling.linedTopCm - filling.linedBottomCm) * filling.heightCm) / filling.linedDepthCm) /
      2,
  )
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
  const after = $derived(dough + filling.afterBakeCm)
  const baked = $derived(`M ${-halfAtLevel} ${-level} Q 0 ${-level - 2 * (after - level)} ${halfAtLevel} ${-level}`)

  const stands = $derived(
    filling.moundCm > 0.05
      ? `mounded ${centimetres(filling.moundCm)} above the rim`
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
    <path d={base} class="dough" />
    {#if lid}<path d={cover} class="dough" />{/if}
    <path d={pot} class="pot" />
    {#if filling.movedCm !== 0}<path d={baked} class="baked" />{/if}
    <path
      d="M {-pan.topCm / 2} 0.9 H {pan.topCm / 2} M {-pan.topCm / 2} 0.6 v 0.6 M {pan.topCm / 2} 0.6 v 0.6"
      class="measure"
    />
  </svg>
  <p class="-mt-1 text-center">
    {centimetres(pan.topCm)} across, {centimetres(pan.depthCm)} deep, rim {centimetres(pan.rimCm)}
  </p>
  <p class="mt-1"><span class="weight">{grams(filling.gramsPerPie)}</span> of filling a pie: {stands}{moves}.</p>
  <p class="small">
    {filling.levelMl} ml level inside {centimetres(filling.thicknessCm * 10).replace(' cm', ' mm')} of dough ({centimetres(
      filling.linedTopCm,
    )} to
    {centimetres(filling.linedBottomCm)} across, {centimetres(filling.linedDepthCm)} deep), {filling.levelPercent} % filled;
    {filling.roomMl}
    ml with the mound, against {filling.writtenMl} ml as written: {filling.roomMl} / {filling.writtenMl} = {filling.factor.toFixed(
      4,
    )}. Packed at {filling.packedDensity} g/ml.
  </p>
</section>

<style>
  svg {
    width: 100%;
    max-height: 15rem;
  }

  .filling {
    fill: #efe3b8;
    stroke: none;
  }

  .dough {
    fill: #e9dec6;
    stroke: var(--color-base-content);
    stroke-width: 0.07;
    stroke-linejoin: round;
  }

  .pot {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 0.28;
    stroke-linejoin: round;
    transform: translateY(0.14px);
  }

  .baked {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 0.1;
    stroke-dasharray: 0.4 0.3;
  }

  .measure {
    fill: none;
    stroke: #8b7763;
    stroke-width: 0.08;
  }
</style>
