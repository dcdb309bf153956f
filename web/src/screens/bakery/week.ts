/** The days of the week as a shift names them, Monday first. */
export const everyDay = [
  { day: 'monday', short: 'Mo', words: 'Monday' },
  { day: 'tuesday', short: 'Tu', words: 'Tuesday' },
  { day: 'wednesday', short: 'We', words: 'Wednesday' },
  { day: 'thursday', short: 'Th', words: 'Thursday' },
  { day: 'friday', short: 'Fr', words: 'Friday' },
  { day: 'saturday', short: 'Sa', words: 'Saturday' },
  { day: 'sunday', short: 'Su', words: 'Sunday' },
] as const

/** A shift to begin with. */
export const newShift = () => ({ name: '', start: '04:00', lengthMin: 360, people: null, days: null, breaks: null })
