import { createServer } from 'node:net'

const isFree = (port, host) =>
  new Promise(resolve => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })

/** The first free port from one on; what was stepped over is said. */
export async function freePort(from, host) {
  for (let port = from; port < from + 100; port++) {
    if (await isFree(port, host)) {
      if (port !== from) console.log(`Port ${from} is taken; using ${port}.`)
      return port
    }
  }
  throw new Error(`No free port between ${from} and ${from + 99}.`)
}
