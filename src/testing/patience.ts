// A busy machine must not fail a test: what is awaited is awaited for long, and a test that passes takes no longer by it.
if (typeof document !== 'undefined') {
  const { configure } = await import('@testing-library/react')
  configure({ asyncUtilTimeout: 45_000 })
}

export {}
