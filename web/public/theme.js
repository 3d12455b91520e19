// Before the first sight, and again whenever the choice or the system changes: the page in its theme.
function applyTheme() {
  let chosen = null
  try {
    chosen = localStorage.getItem('fribbet-theme')
  } catch {
    // no storage here
  }
  const dark = chosen === 'dark' || (chosen !== 'light' && matchMedia('(prefers-color-scheme: dark)').matches)
  document.documentElement.dataset.bsTheme = dark ? 'dark' : 'light'
}
applyTheme()
