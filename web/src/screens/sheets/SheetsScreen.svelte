<script lang="ts">
  import { push, router } from 'svelte-spa-router'
  import { api, type Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import { today } from '../../parts/day.svelte'
  import { DayAnswer } from '../../parts/dayAnswer.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import LateNote from '../../parts/LateNote.svelte'
  import StepNotes from '../../parts/StepNotes.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  // By whom, and which one is looked at alone: "?by=station&sheet=bench".
  const query = $derived(new URLSearchParams(router.querystring ?? ''))
  const by = $derived(query.get('by') === 'station' ? 'station' : 'person')
  const asked = new DayAnswer<Schemas['WorkSheetsAnswer']>(
    (day, plan) => (signal) =>
      api.GET('/api/sheets/{day}', { params: { path: { day }, query: { ...plan, by } }, signal }),
  )
  const answer = $derived(asked.current)
  const alone = $derived(answer?.sheets.find((sheet) => sheet.id === query.get('sheet')))
  const shown = $derived(alone ? [alone] : (answer?.sheets ?? []))

  asked.followDay(() => params?.day)

  const go = (wanted: { by?: string; sheet?: string }) => {
    const words = new URLSearchParams({ by, ...wanted })
    return push(`/sheets/${today.day}?${words}`)
  }
</script>

<svelte:head><title>Sheets · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <div class="screen-only">
    <LateNote />
    <h1 class="sentence">
      {#if answer.sheets.length === 0}
        No work is to be handed out for <DayWord day={today.day} name={answer.dayName} />.
      {:else}
        The work for <DayWord day={today.day} name={answer.dayName} /> on {answer.sheets.length}
        {answer.sheets.length === 1 ? 'sheet' : 'sheets'}, one for each {by === 'person'
          ? 'pair of hands of a shift'
          : 'station'}.
      {/if}
    </h1>
    <p class="small">
      {#if by === 'person'}Who is who is your own matter: each sheet is what one pair of hands can do one thing after
        another.{/if} What is done at the ovens is on the
      <a class="link" href="#/ovens/{today.day}">oven sheet</a>. Weights are for one pie unless they say for all; of
      doughs and what is made first for the whole batch.
    </p>
    <div class="controls">
      <span role="group" aria-label="Sheets by">
        <button class="press" aria-pressed={by === 'person'} onclick={() => go({ by: 'person' })}>By person</button>
        <button class="press" aria-pressed={by === 'station'} onclick={() => go({ by: 'station' })}>By station</button>
      </span>
      {#if answer.sheets.length > 0}
        <label
          >Sheet
          <select
            class="field"
            aria-label="Sheet"
            value={alone?.id ?? ''}
            onchange={(event) => go(event.currentTarget.value ? { sheet: event.currentTarget.value } : {})}
            ><option value="">all of them</option>{#each answer.sheets as sheet (sheet.id)}<option value={sheet.id}
                >{sheet.title}{sheet.when ? `, ${sheet.when}` : ''}</option
              >{/each}</select
          ></label
        >
        <button class="link" onclick={() => window.print()}
          >Print {alone || answer.sheets.length === 1 ? 'this sheet' : 'the sheets, a page each'}</button
        >
      {/if}
    </div>
  </div>
  {#each shown as sheet (sheet.id)}
    <section class="sheet" aria-label={sheet.when ? `${sheet.title}, ${sheet.when}` : sheet.title}>
      <header>
        <h2>{sheet.title}</h2>
        <span
          >{sheet.when ? `${sheet.when}, ` : ''}{duration(sheet.workMin)} of work<span class="print-only"
            >; for {answer.dayName}, plan {answer.fingerprint}</span
          ></span
        >
        <a
          class="link screen-only ml-auto"
          href="/api/sheets/{answer.day}/calendar.ics?by={by}&sheet={sheet.id}&given={today.query.given ?? ''}"
          download="{answer.day}-{sheet.id}.ics">As a calendar</a
        >
      </header>
      <ol>
        {#each sheet.tasks as task (task.id)}
          <li class="together" class:on={task.goesOn}>
            <span class="clock">{task.start.clock}</span>
            <span class="until">to {task.end.clock}</span>
            <span>
              <strong>{task.name}</strong>
              <span class="block">{task.about}</span>
              {#if task.oneGo}<span class="small block">{task.oneGo}</span>{/if}
              <StepNotes readyWhen={task.readyWhen} caution={task.caution} />
            </span>
            <ul class="weights">
              {#each task.weights as weight, index (index)}<li>{weight}</li>{/each}
            </ul>
            <span class="tick print-only" aria-hidden="true"></span>
          </li>
        {/each}
      </ol>
    </section>
  {/each}
{:else if !asked.failure}
  <p class="sentence" role="status">Planning the day…</p>
{/if}

<style>
  .controls {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem 1.2rem;
    align-items: center;
    margin-top: 0.8rem;
  }

  .press[aria-pressed='true'] {
    background: var(--color-base-200);
    border-color: var(--color-base-content);
  }

  .sheet {
    margin-top: 1.6rem;
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1rem;
    align-items: baseline;
    border-bottom: 2px solid var(--color-base-content);
    padding-bottom: 0.2rem;
  }

  ol > li {
    display: grid;
    grid-template-columns: 3.4rem 4.6rem minmax(14rem, 1fr) minmax(14rem, 1fr);
    gap: 0 0.8rem;
    align-items: baseline;
    border-bottom: 1px solid var(--color-line);
    padding: 0.45rem 0;
  }

  /* What goes right on from the work above is one piece of work with it. */
  ol > li.on {
    margin-top: -1px;
    border-top: 1px dotted var(--color-base-100);
    box-shadow: inset 3px 0 var(--color-line);
    padding-left: 0.6rem;
    margin-left: -0.6rem;
  }

  .clock {
    font-size: 1.15rem;
    font-weight: 700;
    font-variant-numeric: tabular-nums;
  }

  .until {
    color: var(--color-soft);
    font-variant-numeric: tabular-nums;
  }

  .weights {
    font-variant-numeric: tabular-nums;
  }

  @media (max-width: 800px) {
    ol > li {
      grid-template-columns: 3.4rem 4.6rem 1fr;
    }

    .weights {
      grid-column: 3;
    }
  }

  @media print {
    .sheet {
      margin-top: 0;
      break-after: page;
    }

    .sheet:last-child {
      break-after: auto;
    }

    ol > li {
      grid-template-columns: 3.4rem 4.6rem 1fr 1fr 1.6rem;
    }

    /* A box to tick with a pencil. */
    .tick {
      width: 1.1rem;
      height: 1.1rem;
      border: 1.5px solid #000;
    }
  }
</style>
