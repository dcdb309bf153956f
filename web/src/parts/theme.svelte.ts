const key = 'lumpet-theme'

/** Light for the day, dark for early mornings; the choice is kept on this device. */
class Theme {
  isDark = $state(document.documentElement.dataset.theme === 'lumpet-dark')

  toggle() {
    this.isDark = !this.isDark
    document.documentElement.dataset.theme = this.isDark ? 'lumpet-dark' : 'lumpet'
    try {
      localStorage.setItem(key, this.isDark ? 'dark' : 'light')
    } catch {
      // A browser that keeps nothing still shows what was chosen.
    }
  }
}

/** Puts the theme on the page before anything is drawn: what was chosen here, or else what the device prefers. */
export function startTheme() {
  let chosen: string | null = null
  try {
    chosen = localStorage.getItem(key)
  } catch {
    // Nothing is kept here.
  }
  const dark = chosen ? chosen === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches
  document.documentElement.dataset.theme = dark ? 'lumpet-dark' : 'lumpet'
}

startTheme()
export const theme = new Theme()
