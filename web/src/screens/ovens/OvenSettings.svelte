<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { rowsOf, placeLabels, sizes, type timeScale } from './layout'

  interface Props {
    oven: Schemas['OvenAnswer']
    scale: ReturnType<typeof timeScale>
    /** The right edge of the drawing. */
    end: number
    top: number
  }
  const { oven, scale, end, top }: Props = $props()

  /** Ways to write a change of setting, from the fullest to the shortest. */
  function ways(setting: Schemas['SettingAnswer']): string[] {
    if (setting.tempC === null) return [`off ${setting.at.clock}`, 'off']
    const dial = oven.dialOffsetC === 0 ? '' : ` (dial ${setting.dialC})`
    const drop = setting.isDrop ? 'drop ' : ''
    return [
      `${drop}${setting.at.clock} ${setting.tempC}°${dial}`,
      `${drop}${setting.at.clock} ${setting.tempC}°`,
      `${setting.isDrop ? '↓' : ''}${setting.tempC}°`,
    ]
  }

  const labels = $derived.by(() => {
    const wanted = oven.settings.map((setting) => ({
      setting,
      x: scale.x(setting.at.min),
      ways: ways(setting),
      rank: setting.isDrop ? 0 : setting.tempC === null ? 2 : 1,
    }))
    const placed = placeLabels(wanted, end)
    return wanted.map((label, index) => ({ ...label, ...(placed[index] ?? { row: -1, words: '' }) }))
  })
</script>

{#each labels as label (label.setting.at.min)}
  {#if label.setting.isDrop}
    <div
      class="drop-line"
      style:left="{label.x}px"
      style:top="{top + sizes.labels}px"
      style:height="{sizes.curve + rowsOf(oven) * sizes.shelf}px"
    ></div>
  {/if}
  {#if label.row >= 0}
    <span
      class="setting"
      class:drop={label.setting.isDrop}
      class:left={label.x + label.words.length * 7.2 + 10 > end}
      style:left="{label.x}px"
      style:top="{top + (label.row === 0 ? 21 : 3)}px"
      style:--stem="{label.row === 0 ? 19 : 37}px"
      title={label.ways[0]}>{label.words}</span
    >
  {/if}
{/each}

<style>
  .setting {
    position: absolute;
    white-space: nowrap;
    font-weight: 600;
    font-size: 12.5px;
    line-height: 16px;
    padding: 0 3px 0 4px;
    background: var(--color-base-100);
    z-index: 4;
  }

  .setting::before {
    content: '';
    position: absolute;
    left: 0;
    top: 0;
    height: var(--stem);
    border-left: 1px solid var(--color-base-content);
  }

  /* Near the right edge a label stands before its minute. */
  .setting.left {
    transform: translateX(-100%);
    padding: 0 4px 0 3px;
  }

  .setting.left::before {
    left: auto;
    right: 0;
  }

  .setting.drop {
    font-weight: 800;
  }

  /* The drop: one line through curve and shelves, where the heat goes down under the trays. */
  .drop-line {
    position: absolute;
    border-left: 2px solid var(--color-base-content);
    z-index: 1;
    pointer-events: none;
  }
</style>
