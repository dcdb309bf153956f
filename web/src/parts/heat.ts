import { colourOn } from './temperature'
import { theme } from './theme.svelte'

/** The colour of a temperature in degrees Celsius on the page as it is shown now. */
export function colourOf(celsius: number): string {
  return colourOn(theme.isDark, celsius)
}
