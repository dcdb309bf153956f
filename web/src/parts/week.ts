/** The days of the week as a shift names them, Monday first. */
export const everyDay = [
  { day: 'monday', short: 'Mon', words: 'Monday' },
  { day: 'tuesday', short: 'Tue', words: 'Tuesday' },
  { day: 'wednesday', short: 'Wed', words: 'Wednesday' },
  { day: 'thursday', short: 'Thu', words: 'Thursday' },
  { day: 'friday', short: 'Fri', words: 'Friday' },
  { day: 'saturday', short: 'Sat', words: 'Saturday' },
  { day: 'sunday', short: 'Sun', words: 'Sunday' },
] as const
