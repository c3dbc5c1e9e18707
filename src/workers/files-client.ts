import type { FilesDoor } from './files.worker'
import { type OpenWorker, openWorker } from './open-worker'

/** Workshop files are read and written in a worker of their own: the page stays free, and stopping it leaves nothing half done. */
export type FilesWorker = OpenWorker<FilesDoor>

export const startFiles = (): FilesWorker =>
  openWorker(new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' }))
