// The built application for the browser tests, on the port given.
process.env.HOST = '127.0.0.1'
process.env.PORT = process.argv[2]
process.env.TAWNY_DEMO = 'on'
await import('../dist/server/entry.mjs')
