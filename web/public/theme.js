// Before the first paint, so that the page never flashes in the wrong theme.
try {
  var theme = JSON.parse(localStorage.getItem('bold-ballast.settings') || '{}').theme
  if (theme === 'light' || theme === 'dark') document.documentElement.dataset.theme = theme
} catch {
  // Storage may be closed to us; the system's theme then stands.
}
