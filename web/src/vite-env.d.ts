/// <reference types="vite/client" />

interface Window {
  /** public/theme.js */
  applyTheme: (chosen: string) => void
}
