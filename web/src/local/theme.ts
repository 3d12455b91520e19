import { usePreferredDark } from '@vueuse/core'
import { ref, watch } from 'vue'
import { keepText, readText } from './storage'

/** The theme is this browser's own choice: light, dark, or as the system says. */
export type Theme = 'auto' | 'light' | 'dark'

const key = 'fribbet-theme'
const chosen = ref((readText(key) as Theme | null) ?? 'auto')

export const chosenTheme = () => chosen.value

/**
 * Shows the page in another theme as soon as another is chosen, here or in the system; at first public/theme.js did.
 */
export const followTheme = () =>
  watch([chosen, usePreferredDark()], () => window.applyTheme(chosen.value), { flush: 'sync' })

export function chooseTheme(theme: Theme) {
  keepText(key, theme)
  chosen.value = theme
}
