const root = document.getElementById('root')
if (root) {
  // each part of the program is read in a task of its own, so that none of them is long
  await import('react-dom/client')
  await import('./ui/GlobalStyle')
  // the browser reads its data on languages when it is first asked; the buttons below would ask
  Intl.DateTimeFormat.supportedLocalesOf([navigator.language])
  await import('./ui/Button')
  await import('./ui/Choice')
  const { start } = await import('./app/start')
  start(root)
}

// top-level await needs a module
export {}
