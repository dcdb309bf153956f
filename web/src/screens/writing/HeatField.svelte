<script lang="ts">
  import { api, ask, type Schemas } from '../../api/client'

  interface Props {
    stage: Schemas['StageDraft']
    /** What it is, for those who do not see the words around it. */
    label: string
  }
  const { stage, label }: Props = $props()

  /** What was written last, and what it comes to. */
  let read = $state.raw<{ text: string; celsius: number | null }>()
  $effect(() => {
    const text = stage.written
    if (!text) return
    const soon = setTimeout(() => {
      void ask(api.GET('/api/writing/temperature', { params: { query: { text } } })).then(({ data }) => {
        if (data) read = { text, celsius: data.celsius }
      })
    }, 150)
    return () => clearTimeout(soon)
  })
  const isPlain = (text: string) => /^\s*\d{1,3}\s*$/.test(text)
</script>

<!-- The heat of a stage: plain degrees Celsius, or as the recipe gives it. -->
<input
  class="field heat"
  maxlength="24"
  bind:value={
    () => stage.written ?? `${stage.tempC ?? ''}`,
    (text) => {
      if (isPlain(text)) stage.tempC = Number(text)
      stage.written = isPlain(text) ? null : text
    }
  }
  title="220, or as the recipe gives it: 425 °F, 200 °C fan"
  aria-label={label}
/>
{#if !stage.written}<span class="small">°C</span>
{:else if read?.text === stage.written}<span class="small"
    >{read.celsius === null ? 'no temperature' : `= ${read.celsius} °C`}</span
  >{/if}

<style>
  .heat {
    width: 6.4rem;
  }
</style>
