<script lang="ts">
  import { everyDay } from './week'

  interface Props {
    /** What the days are of, for those who cannot see it: "Shift 1: days on which it begins". */
    label: string
    /** Names of the days that are on, in the order of the week. */
    days: string[]
    /** What is wrong with them. */
    fault: string | undefined
    onturn: (days: string[]) => void
  }
  const { label, days, fault, onturn }: Props = $props()

  const turn = (day: string) =>
    onturn(everyDay.map((one) => one.day).filter((one) => days.includes(one) !== (one === day)))
</script>

<span class="week" role="group" aria-label={label}>
  {#each everyDay as { day, short, words } (day)}<button
      type="button"
      class="day"
      aria-pressed={days.includes(day)}
      title={words}
      onclick={() => turn(day)}>{short}</button
    >{/each}
</span>
{#if fault}<span class="block max-w-64 font-bold" role="alert">{fault}</span>{/if}

<style>
  .week {
    display: inline-flex;
    gap: 2px;
  }

  .day {
    min-width: 2.75rem;
    min-height: 2.75rem;
    border: 1px solid var(--color-line);
    border-radius: 4px;
    color: var(--color-soft);
    cursor: pointer;
  }

  .day[aria-pressed='true'] {
    background: var(--color-base-200);
    border-color: var(--color-base-content);
    color: var(--color-base-content);
    font-weight: 700;
  }
</style>
