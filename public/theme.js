// Before the first paint: the theme the maker chose, so that nothing flashes.
try {
  const chosen = localStorage.getItem('tawny-ember-theme')
  if (chosen === 'light' || chosen === 'dark') document.documentElement.dataset.theme = chosen
} catch {
  // Storage may be blocked: the system's theme stays.
}
