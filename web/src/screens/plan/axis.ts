import type { Schemas } from '../../api/client'

type Plan = Schemas['PlanAnswer']

/** Minutes as places from 0 to 100 on one axis, block after block. */
export function axisOf(plan: Plan) {
  const blocks = plan.axis.blocks
  const [from, to] = [blocks[0]?.from.min ?? 0, blocks.at(-1)?.to.min ?? 0]
  const length = blocks.reduce((sum, block) => sum + block.to.min - block.from.min, 0)
  const passed = (minute: number) =>
    blocks.reduce(
      (sum, block) => sum + Math.min(Math.max(minute - block.from.min, 0), block.to.min - block.from.min),
      0,
    )
  const minuteAfter = (minutes: number) => {
    let left = Math.round(minutes)
    for (const block of blocks) {
      if (left < block.to.min - block.from.min) return block.from.min + left
      left -= block.to.min - block.from.min
    }
    return to
  }
  const named = blocks
    .flatMap((block) => [block.from, ...block.hours, block.to])
    .sort((one, other) => one.min - other.min)
  // Minutes count on from the last moment that the plan names; full hours are among those.
  const clock = (minute: number) => {
    const last = named.findLast((moment) => moment.min <= minute) ?? named[0]
    if (!last) return ''
    const at = Number(last.clock.slice(0, 2)) * 60 + Number(last.clock.slice(3)) + minute - last.min
    return `${String(Math.floor(at / 60) % 24).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`
  }
  const every = length > 1000 ? 2 : 1
  return {
    from,
    to,
    length,
    hours: blocks.flatMap((block) =>
      block.hours.filter(
        (hour) => Number(hour.clock.slice(0, 2)) % every === 0 && block.to.min - hour.min >= length / 20,
      ),
    ),
    breaks: blocks.slice(1).map((block) => (passed(block.from.min) / length) * 100),
    at: (minute: number) => (passed(minute) / length) * 100,
    minute: (place: number) => minuteAfter((Math.min(Math.max(place, 0), 100) / 100) * length),
    passed,
    minuteAfter,
    clock,
  }
}

/** When each oven is on, and at what it is set. */
export function heatOf(plan: Plan) {
  return (plan.ovens?.ovens ?? []).map((oven) => ({
    id: oven.id,
    name: oven.name,
    stretches: oven.settings.flatMap((setting, at) => {
      const next = oven.settings[at + 1]
      return setting.tempC === null || setting.tempC === undefined || !next
        ? []
        : [{ from: setting.at.min, to: next.at.min, celsius: setting.tempC }]
    }),
  }))
}
