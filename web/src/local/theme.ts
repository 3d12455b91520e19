import { keepText, readText } from './storage'

/** The theme is this browser's own choice: light, dark, or as the system says. */
export type Theme = 'auto' | 'light' | 'dark'

const key = 'fribbet-theme'
const systemDark = window.matchMedia('(prefers-color-scheme: dark)')

export const chosenTheme = () => (readText(key) as Theme | null) ?? 'auto'

export function applyTheme() {
  const theme = chosenTheme()
  const dark = theme === 'dark' || (theme === 'auto' && systemDark.matches)
  document.documentElement.dataset.bsTheme = dark ? 'dark' : 'light'
}

export function chooseTheme(theme: Theme) {
  keepText(key, theme)
  applyTheme()
}

systemDark.addEventListener('change', applyTheme)
