import { readFile, writeFile } from 'node:fs/promises'
import { fileURLToPath } from 'node:url'
import { filesBelow } from './files-below.mjs'

/** Takes the folder of the machine it was built on out of what is shipped. */
export const noPaths = () => {
  let root = ''
  return {
    name: 'no-paths',
    hooks: {
      'astro:config:done': ({ config }) => {
        root = fileURLToPath(config.root)
      },
      'astro:build:done': async ({ dir }) => {
        for (const file of filesBelow(fileURLToPath(new URL('../server/', dir)))) {
          const text = await readFile(file, 'utf8')
          if (text.includes(root)) await writeFile(file, text.replaceAll(root, '/tawny-ember/'))
        }
      },
    },
  }
}
