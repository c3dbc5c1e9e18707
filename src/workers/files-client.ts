import { type Remote, wrap } from 'comlink'
import type { FilesDoor } from './files.worker'

/** Workshop files are read and written in a worker of their own: the page stays free, and stopping it leaves nothing half done. */
export interface FilesWorker {
  readonly door: Remote<FilesDoor>
  /** Rejects when the worker cannot be loaded. */
  readonly broken: Promise<never>
  readonly stop: () => void
}

export function startFiles(): FilesWorker {
  const worker = new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' })
  const broken = new Promise<never>((_, reject) => {
    worker.onerror = event => reject(new Error(event.message))
  })
  broken.catch(() => undefined)
  return { door: wrap<FilesDoor>(worker), broken, stop: () => worker.terminate() }
}
