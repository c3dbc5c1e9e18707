import { createServer } from 'vite'
import { ROOT } from './bootstrap.mjs'

/** The core’s TypeScript, loaded as it stands: for scripts that write what it says. */
export async function loadCore() {
  const server = await createServer({
    root: ROOT,
    configFile: false,
    server: { middlewareMode: true },
    appType: 'custom',
  })
  return { load: path => server.ssrLoadModule(path), close: () => server.close() }
}
