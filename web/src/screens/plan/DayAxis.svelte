<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { colourOf } from '../../parts/heat'
  import { axisOf, heatOf } from './axis'

  interface Props {
    plan: Schemas['PlanAnswer']
    /** A task was pressed: show why it is when it is. */
    onopen: (id: string) => void
  }
  const { plan, onopen }: Props = $props()

  const tasks = $derived(new Map(plan.tasks.map((task) => [task.id, task])))
  const lines = $derived(
    (plan.hands?.lines ?? []).map((ids) => ids.map((id) => tasks.get(id)).filter((task) => task !== undefined)),
  )
  // What one pair of hands does in one go is one tag.
  const tags = $derived(
    lines.map((line) =>
      line.reduce<{ first: Schemas['TaskAnswer']; last: Schemas['TaskAnswer'] }[]>((tags, task) => {
        const before = tags.at(-1)
        if (before && task.rightAfter === before.last.id) before.last = task
        else tags.push({ first: task, last: task })
        return tags
      }, []),
    ),
  )
  const axis = $derived(axisOf(plan))
  const heat = $derived(heatOf(plan))
  const rooms = $derived(
    plan.axis.rooms.map((room) => ({
      ...room,
      // Full is as high as the row; what is not counted is drawn against its own most.
      height: room.room ?? room.most,
      levels: room.levels.map((level, at) => ({
        from: level.at.min,
        to: room.levels[at + 1]?.at.min ?? level.at.min,
        amount: level.amount,
      })),
    })),
  )
  const places = { bench: 'warm', burners: 'warm', racks: 'warm' } as Record<string, string>

  // A tag of fewer parts in a hundred holds no word that can be read.
  const leastToRead = 2
  // A clock time this far right would run out of the drawing.
  const farRight = 88

  // A clock time takes about so much of the width; what would lie on another goes below it.
  const timeWide = 6
  const ends = $derived(
    plan.waves.reduce<{ wave: Schemas['WaveAnswer']; left: boolean; row: number; until: number }[]>((placed, wave) => {
      const at = axis.at(wave.pickUp.min)
      const left = at > farRight
      const [from, until] = left ? [at - timeWide, at] : [at, at + timeWide]
      let row = 0
      while (placed.some((one) => one.row === row && one.until > from)) row++
      return [...placed, { wave, left, row, until }]
    }, []),
  )
  const endRows = $derived(Math.max(0, ...ends.map((end) => end.row)) + 1)

  let wanted = $state<number | undefined>(undefined)
  const minute = $derived(Math.min(Math.max(wanted ?? plan.hands?.at.min ?? axis.from, axis.from), axis.to))
  const now = $derived({
    clock: axis.clock(minute),
    hands: lines.map((line) => line.find((task) => task.start.min <= minute && minute < task.end.min)),
    ovens: heat.map((oven) => oven.stretches.find((stretch) => stretch.from <= minute && minute < stretch.to)),
    rooms: rooms.map((room) => room.levels.findLast((level) => level.from <= minute)?.amount ?? 0),
  })
  const place = (from: number, to: number) => `left:${axis.at(from)}%;width:${axis.at(to) - axis.at(from)}%`

  function point(event: PointerEvent) {
    const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
    wanted = axis.minute(((event.clientX - box.left) / box.width) * 100)
  }
</script>

<section class="day-axis" aria-label="The day on one axis">
  <div class="names" aria-hidden="true">
    {#each lines.keys() as at (at)}<span class="crew">Hands {at + 1}</span>{/each}
    {#each heat as oven (oven.id)}<span class="oven">{oven.name}</span>{/each}
    {#each rooms as room (room.place)}<span class="room"
        >{room.name} {room.most}{room.room === null ? '' : ` of ${room.room}`} {room.unit}</span
      >{/each}
    <span class="ends" style="--rows:{endRows}">Pick-ups</span>
  </div>
  <div class="times" role="presentation" onpointermove={point} onpointerdown={point}>
    {#each axis.hours as hour (hour.min)}
      <span class="hour" style="left:{axis.at(hour.min)}%"><i>{hour.clock}</i></span>
    {/each}
    {#each axis.breaks as gap (gap)}<span class="gap" style="left:{gap}%"></span>{/each}
    {#each tags as line, at (at)}
      <div class="row crew">
        {#each line as { first, last } (first.id)}
          <button
            class="tag"
            class:here={first.start.min <= minute && minute < last.end.min}
            style={place(first.start.min, last.end.min)}
            aria-label="Hands {at + 1}, {first.start.clock} to {last.end.clock}: {first.name}, {first.about}{first.oneGo
              ? `, ${first.oneGo}`
              : ''}. Why then?"
            onclick={() => onopen(first.id)}
            >{axis.at(last.end.min) - axis.at(first.start.min) > leastToRead ? first.name : ''}</button
          >
        {/each}
      </div>
    {/each}
    {#each heat as oven (oven.id)}
      <div class="row oven">
        {#each oven.stretches as stretch (stretch.from)}
          <span class="hot" style="{place(stretch.from, stretch.to)};background:{colourOf(stretch.celsius)}"
            >{#if axis.at(stretch.to) - axis.at(stretch.from) > leastToRead}<b>{stretch.celsius}</b>{/if}</span
          >
        {/each}
      </div>
    {/each}
    {#each rooms as room (room.place)}
      <div class="row room {places[room.place] ?? 'cold'}" class:counted={room.room !== null} title={room.full}>
        {#each room.levels as level (level.from)}
          <span
            class="level"
            class:full={room.room !== null && level.amount >= (room.room ?? 0)}
            style="{place(level.from, level.to)};height:{(level.amount / room.height) * 100}%"
          ></span>
        {/each}
      </div>
    {/each}
    <div class="row ends" style="--rows:{endRows}">
      {#each ends as { wave, left, row } (wave.pickUp.min)}
        <span
          class="end"
          class:missed={!wave.isMet}
          class:left
          style="left:{axis.at(wave.pickUp.min)}%;top:calc({row} * 1.4rem)"
          title="{wave.pickUp.clock}: {wave.says}">{wave.pickUp.clock}{wave.isMet ? '' : ' !'}</span
        >
      {/each}
    </div>
    <span class="hair" style="left:{axis.at(minute)}%"></span>
  </div>
  <label class="minute screen-only">
    <span class="sr-only">Minute looked at</span>
    <input
      type="range"
      min="0"
      max={axis.length}
      value={axis.passed(minute)}
      aria-valuetext={now.clock}
      oninput={(event) => (wanted = axis.minuteAfter(Number(event.currentTarget.value)))}
    />
  </label>
  <p class="then" aria-live="polite">
    <b>{now.clock}</b>
    {#each now.hands as task, at (at)}<span>{at + 1}: {task ? `${task.name} (${task.about})` : 'free'}</span>{/each}
    {#each heat as oven, at (oven.id)}<span>{oven.name} {now.ovens[at] ? `${now.ovens[at].celsius} °C` : 'off'}</span
      >{/each}
    {#each rooms as room, at (room.place)}<span>{room.name} ({room.unit}) {now.rooms[at]}</span>{/each}
  </p>
</section>

<style>
  .day-axis {
    display: grid;
    grid-template-columns: 9.2rem 1fr;
    margin-top: 1rem;
  }

  .names,
  .times {
    display: flex;
    flex-direction: column;
    gap: 3px;
    padding-top: 1.5rem;
  }

  .names {
    font-size: 0.85rem;
    color: var(--color-soft);
  }

  .names span {
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
    padding-right: 0.5rem;
  }

  .times {
    position: relative;
    touch-action: pan-y;
    border-left: 1px solid var(--color-line);
    border-right: 1px solid var(--color-line);
  }

  .crew {
    height: 1.6rem;
    line-height: 1.6rem;
  }

  .oven {
    height: 1.3rem;
    line-height: 1.3rem;
  }

  .room {
    height: 1.7rem;
    line-height: 1.7rem;
  }

  .ends {
    height: calc(var(--rows) * 1.4rem);
    line-height: 1.4rem;
  }

  .row {
    position: relative;
    border-bottom: 1px solid var(--color-line);
  }

  .tag {
    position: absolute;
    inset-block: 1px;
    z-index: 1;
    overflow: hidden;
    padding: 0 2px;
    border: 1px solid var(--color-soft);
    border-radius: 2px 5px 5px 2px;
    background: var(--color-paper);
    font-size: 0.75rem;
    line-height: 1.3rem;
    text-align: left;
    white-space: nowrap;
    cursor: pointer;
  }

  .tag.here {
    border: 2px solid var(--color-damson);
    padding: 0 1px;
  }

  .hot {
    position: absolute;
    inset-block: 1px;
    overflow: hidden;
    padding-left: 3px;
    font-size: 0.75rem;
    border-left: 1px solid var(--color-paper);
  }

  .hot b {
    padding: 0 3px;
    border-radius: 3px;
    background: var(--color-paper);
    font-weight: 600;
  }

  .level {
    position: absolute;
    bottom: 0;
    background: #9db8c4;
  }

  .warm .level {
    background: #cbb994;
  }

  .level.full {
    background-image: repeating-linear-gradient(135deg, transparent 0 3px, var(--color-base-content) 3px 4px);
  }

  .room.counted {
    border-top: 1px dashed var(--color-soft);
  }

  .end {
    position: absolute;
    white-space: nowrap;
    padding-left: 4px;
    border-left: 3px solid var(--color-base-content);
    font-size: 0.8rem;
    font-weight: 700;
  }

  .end.left {
    padding: 0 4px 0 0;
    border-left: 0;
    border-right: 3px solid var(--color-base-content);
    transform: translateX(-100%);
  }

  .end.missed {
    border-style: dotted;
  }

  .hour {
    position: absolute;
    inset-block: 0;
    border-left: 1px dotted var(--color-line);
    pointer-events: none;
  }

  .hour i {
    position: absolute;
    top: 0;
    left: 3px;
    font-style: normal;
    font-size: 0.75rem;
    color: var(--color-soft);
  }

  @media (max-width: 900px) {
    .hour:nth-child(even) i {
      display: none;
    }
  }

  .gap {
    position: absolute;
    inset-block: 1.4rem 0;
    width: 6px;
    margin-left: -3px;
    z-index: 2;
    background: repeating-linear-gradient(135deg, var(--color-base-100) 0 3px, var(--color-line) 3px 5px);
    pointer-events: none;
  }

  .hair {
    position: absolute;
    inset-block: 1.2rem 0;
    z-index: 3;
    border-left: 2px solid var(--color-damson);
    pointer-events: none;
  }

  .minute {
    grid-column: 2;
  }

  .minute input {
    width: 100%;
  }

  .then {
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    gap: 0 1.1rem;
    min-height: 2.9em;
    font-size: 0.95rem;
  }

  @media print {
    .hair,
    .then {
      display: none;
    }
  }
</style>
