// Before the first sight, and again whenever the choice or the system changes: the page in its theme.
function keptTheme() {
  try {
    return localStorage.getItem('fribbet-theme')
  } catch {
    return null // no storage here
  }
}
function applyTheme(chosen = keptTheme()) {
  const dark = chosen === 'dark' || (chosen !== 'light' && matchMedia('(prefers-color-scheme: dark)').matches)
  document.documentElement.dataset.bsTheme = dark ? 'dark' : 'light'
}
applyTheme()
