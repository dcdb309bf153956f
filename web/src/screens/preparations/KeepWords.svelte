<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { words } from '../../parts/words.svelte'

  interface Props {
    name: string
    making: Schemas['MakingDraft']
  }
  const { name, making }: Props = $props()
  const place = $derived(words.current.keepPlaces.find((one) => one.value === making.keepsIn)?.words ?? '')
  const long = (minutes: number) =>
    minutes < 120
      ? `${minutes} min`
      : minutes < 2880
        ? `${Math.round(minutes / 6) / 10} h`
        : `${Math.round(minutes / 144) / 10} days`
</script>

{name}: {(making.steps?.length ?? 0) === 0
  ? 'no steps yet, so no plan makes it'
  : `${making.steps?.length} ${making.steps?.length === 1 ? 'step' : 'steps'}, up to ${making.batchMostPieces != null ? `${making.batchMostPieces} pieces` : `${making.batchMostKg ?? '?'} kg`} at once`};
keeps
{place} for {long(making.holdMost ?? 0)}.
