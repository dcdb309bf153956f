/** A shift to begin with. */
export const newShift = () => ({ name: '', start: '04:00', lengthMin: 360, people: null, days: null, breaks: null })
