// The built application for the browser tests, on the port given; another build where its folder is given. With a folder for it, the
// workshop is shared, over HTTPS on the next port, and the code for the first screen is printed.
import { serve } from '../scripts/serve.mjs'

process.env.TAWNY_DEMO = 'on'
const [, , port, built = 'dist', folder] = process.argv
const host = '127.0.0.1'
const where = { host, port: Number(port), ...(built === 'dist' ? {} : { built }) }
if (folder) {
  const { share } = await import('../scripts/share.mjs')
  const sharing = await share({ folder, host, port: where.port + 1 })
  await serve({ ...where, sharing })
  console.log(`code ${sharing.firstCode()}`)
} else await serve(where)
