import type { Schemas } from '../../api/client'

/** How much is in a place at a minute: the last level that began by then. */
export const levelAt = (level: Schemas['RoomAnswer'], min: number): number =>
  level.levels.findLast((one) => one.at.min <= min)?.amount ?? 0

/** What is in a place at a minute. */
export const stillThere = (place: Schemas['ColdPlaceAnswer'], min: number): Schemas['ColdThingAnswer'][] =>
  place.things.filter((thing) => thing.from.min <= min && thing.to.min > min)
