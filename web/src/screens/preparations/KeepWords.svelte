<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { lengthOf } from '../../parts/lengths'
  import { words } from '../../parts/words.svelte'

  interface Props {
    name: string
    making: Schemas['MakingDraft']
  }
  const { name, making }: Props = $props()
  const place = (value: string | null | undefined) =>
    words.current.keepPlaces.find((one) => one.value === value)?.words ?? ''
  const kept = $derived([
    { in: making.keepsIn, most: making.holdMost },
    ...(making.elsewhere ?? []).map((one) => ({ in: one?.in, most: one?.most })),
  ])
</script>

{name}: {(making.steps?.length ?? 0) === 0
  ? 'no steps yet, so no plan makes it'
  : `${making.steps?.length} ${making.steps?.length === 1 ? 'step' : 'steps'}, up to ${making.batchMostPieces != null ? `${making.batchMostPieces} pieces` : `${making.batchMostKg ?? '?'} kg`} at once`};
keeps
{kept.map((one) => `${place(one.in)} for ${(one.most ?? 0) < 0 ? '?' : lengthOf(one.most ?? 0)}`).join(', ')}.
