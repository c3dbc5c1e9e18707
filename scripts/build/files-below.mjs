import { readdirSync } from 'node:fs'
import { join } from 'node:path'

/** Every file in a folder and the folders in it, as paths in a settled order. */
export const filesBelow = folder =>
  readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter(entry => entry.isFile())
    .map(entry => join(entry.parentPath ?? entry.path, entry.name))
    .sort()
