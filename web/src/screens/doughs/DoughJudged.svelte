<script lang="ts">
  import { api, ask, type Schemas } from '../../api/client'

  interface Props {
    written: Schemas['DoughDraft']
  }
  const { written }: Props = $props()

  let judged = $state.raw<Schemas['DoughJudged']>()
  let asked = 0

  $effect(() => {
    const mine = ++asked
    const body = { ...$state.snapshot(written) }
    void ask(api.POST('/api/writing/dough', { body })).then(({ data }) => {
      // While a line is half typed the last judgement stands.
      if (mine === asked && data) judged = data
    })
  })
</script>

{#if judged?.ratio}
  <div class="note mt-3" aria-live="polite">
    <strong>Flour : fat : water {judged.ratio}</strong>, judged as {judged.family}.
    <ul>
      {#each judged.findings as finding (finding.part)}
        <li>
          {finding.part}
          {finding.percent} % of the flour, usual {finding.least} to {finding.most} %{#if finding.expect}: <b
              >{finding.expect}</b
            >{/if}
        </li>
      {/each}
    </ul>
  </div>
{/if}
