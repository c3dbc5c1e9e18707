// The built application for the browser tests, on the port given; another build where its folder is given.
import { serve } from '../scripts/serve.mjs'

process.env.TAWNY_DEMO = 'on'
const [, , port, built] = process.argv
await serve({ host: '127.0.0.1', port: Number(port), built })
