// npm start: installs what is missing, builds what changed, serves on a free local port.
//   npm start -- --shared    shares the workshop with other screens of the local network, over HTTPS
//   npm start -- --empty     an empty workshop for a browser that has none yet, instead of the demo
//   npm start -- --another-port   begin at another port, though the usual one is taken: another port is another, empty workshop
//   PORT=5000 npm start      another first port; HOST to listen elsewhere than on this machine alone
import { ensureBuild, ensurePackages } from './bootstrap.mjs'
import { portToUse } from './ports.mjs'

ensurePackages()
ensureBuild()

const giveUp = message => {
  console.error(message)
  process.exit(1)
}
const host = process.env.HOST ?? '127.0.0.1'
const port = await portToUse(host, { another: process.argv.includes('--another-port') }).catch(error =>
  giveUp(error.message),
)
process.env.TAWNY_DEMO = process.argv.includes('--empty') ? 'off' : 'on'
// Its packages are there only now.
const { serve } = await import('./serve.mjs')
const address = `http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}/`
if (process.argv.includes('--shared')) {
  const { share } = await import('./share.mjs')
  const sharing = await share().catch(error => giveUp(error.message))
  await serve({ host, port, sharing })
  console.log(`Tawny Ember is at ${address}`)
  sharing.tell(address)
} else {
  await serve({ host, port })
  console.log(`Tawny Ember is at ${address}`)
}
