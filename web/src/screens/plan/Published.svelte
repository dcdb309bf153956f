<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { today } from '../../parts/day.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { live } from '../../parts/live.svelte'

  interface Props {
    plan: Schemas['PlanAnswer']
  }
  const { plan }: Props = $props()

  let failure = $state<Failure>()
  let isSending = $state(false)
  let isTakingBack = $state(false)
  const published = $derived(plan.published)

  async function send(request: () => Promise<{ failure?: Failure }>) {
    if (isSending) return
    isSending = true
    const outcome = await request()
    isSending = false
    isTakingBack = false
    failure = outcome.failure
    live.saved('orders', plan.day)
  }

  const publish = () =>
    send(() =>
      ask(
        api.POST('/api/plan/{day}/publish', {
          params: { path: { day: plan.day } },
          body: { fingerprint: plan.fingerprint, given: plan.given, from: today.isFromNow ? 'now' : null },
        }),
      ),
    )
  const takeBack = () => send(() => ask(api.DELETE('/api/plan/{day}/publish', { params: { path: { day: plan.day } } })))
  const say = (task: string, isDone: boolean) =>
    send(() =>
      ask(
        api.PUT('/api/plan/{day}/not-done', {
          params: { path: { day: plan.day } },
          body: { number: published?.number ?? 0, task, isDone },
        }),
      ),
    )
  const lengthen = (task: string, minutes: number) =>
    send(() =>
      ask(
        api.PUT('/api/plan/{day}/takes-longer', {
          params: { path: { day: plan.day } },
          body: { number: published?.number ?? 0, task, minutes },
        }),
      ),
    )
  // What a press adds, and the most there can be.
  const atAPress = 5
  const most = 240
</script>

<section class="screen-only my-2" aria-label="The plan that the crew works by">
  <FailureNote {failure} />
  <div class="flex flex-wrap items-baseline gap-3">
    {#if published}<p class="grow basis-96"><strong>{published.words}</strong></p>{/if}
    {#if !published?.isShown && plan.tasks.length > 0}
      <button class="press press-main" disabled={!plan.isSettled || isSending} onclick={publish}>
        {plan.isSettled ? 'Publish this plan' : 'Publish when it has settled'}
      </button>
      {#if !published}<span class="small"
          >From then on what should have begun counts as begun, and a change is planned around it.</span
        >{/if}
    {/if}
    {#if published}
      {#if published.isShown && published.canGoOn}
        <button class="press" onclick={() => today.begin(true)}>Plan what is left anew</button>
      {:else if today.isFromNow}
        <button class="press" onclick={() => today.begin(false)}>Back to the published plan</button>
      {/if}
      {#if isTakingBack}
        <button class="press press-main" disabled={isSending} onclick={takeBack}>Take it back</button>
        <button class="press" onclick={() => (isTakingBack = false)}>Keep it</button>
      {:else}
        <button class="press" onclick={() => (isTakingBack = true)}>Take back…</button>
      {/if}
    {/if}
  </div>
  {#if published && published.begun.length > 0}
    <details>
      <summary class="link"
        >{published.begun.length}
        {published.begun.length === 1 ? 'task has' : 'tasks have'} begun by this plan; say which is not done, or takes longer</summary
      >
      <ul class="begun mt-1">
        {#each published.begun as task (task.task)}
          <li class="border-line flex items-baseline gap-3 border-t py-1">
            <span class="weight w-14">{task.start.clock}</span>
            <span class="grow" class:undone={!task.isDone}
              >{task.name}, {task.about}
              <span class="small"
                >{task.isDone
                  ? task.isOver
                    ? 'counts as done'
                    : `until ${task.end.clock}`
                  : 'not done'}{task.longerMin > 0 ? `, ${task.longerMin} min longer than planned` : ''}</span
              ></span
            >
            {#if task.longerMin > 0}
              <button
                class="link px-1 whitespace-nowrap"
                disabled={isSending}
                onclick={() => lengthen(task.task, 0)}
                aria-label="As planned: {task.name}, {task.about}, {task.start.clock}">As planned</button
              >
            {/if}
            {#if task.mayTakeLonger && task.isDone && task.longerMin + atAPress <= most}
              <button
                class="link px-1 whitespace-nowrap"
                disabled={isSending}
                onclick={() => lengthen(task.task, task.longerMin + atAPress)}
                aria-label="{atAPress} min longer: {task.name}, {task.about}, {task.start.clock}"
                >{atAPress} min longer</button
              >
            {/if}
            <button
              class="link px-1 whitespace-nowrap"
              disabled={isSending}
              onclick={() => say(task.task, !task.isDone)}
              aria-label="{task.isDone ? 'Not done' : 'Done after all'}: {task.name}, {task.about}, {task.start.clock}"
              >{task.isDone ? 'Not done' : 'Done after all'}</button
            >
          </li>
        {/each}
      </ul>
    </details>
  {/if}
</section>

<style>
  .begun {
    max-height: 22rem;
    overflow-y: auto;
  }

  .undone {
    font-weight: 700;
  }
</style>
