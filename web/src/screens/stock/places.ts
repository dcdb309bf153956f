/** The three places where things lie, in words, each with the temperature that its colour tells (common practice: 20, 4 and -18 C). */
export const places: Record<string, { name: string; at: string; celsius: number }> = {
  room: { name: 'Room', at: 'at room temperature', celsius: 20 },
  cold: { name: 'Fridge', at: 'in the fridge', celsius: 4 },
  frozen: { name: 'Freezer', at: 'in the freezer', celsius: -18 },
}

/** What happened to a lot, in words. */
export const happened: Record<string, string> = {
  received: 'Received',
  made: 'Batch',
  used: 'Used',
  counted: 'Counted',
  adjusted: 'Put right',
  wasted: 'Thrown away',
  opened: 'Opened',
  moved: 'Moved',
  handedOver: 'Handed over',
  takenBack: 'Taken back',
}
