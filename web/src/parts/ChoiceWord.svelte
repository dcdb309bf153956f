<script lang="ts">
  interface Props {
    value: string
    /** What can be chosen, in order. */
    options: { value: string; words: string }[]
    label: string
    onchange: (value: string) => void
  }
  const { value, options, label, onchange }: Props = $props()
</script>

<select class="word" aria-label={label} {value} onchange={(event) => onchange(event.currentTarget.value)}>
  {#each options as option (option.value)}
    <option value={option.value}>{option.words}</option>
  {/each}
</select>

<style>
  select {
    appearance: none;
    field-sizing: content;
    max-width: 100%;
  }
</style>
