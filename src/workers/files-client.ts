import type { Remote } from 'comlink'
import { fail, type Result } from '../core/codes/result'
import type { ToldShare } from '../core/files/pieces'
import type { FilesDoor } from './files.worker'
import { type OpenWorker, openWorker, startTask, type Task } from './open-worker'

/** Workshop files are read and written in a worker of their own: the page stays free, and stopping it leaves nothing half done. */
export type FilesWorker = OpenWorker<FilesDoor>

export const startFiles = (): FilesWorker => openWorker(filesWorker())

const filesWorker = () => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' })

/** One task of a worker of files, which ends with it; `told` hears the share done. */
export const startFilesTask = <T>(
  told: ToldShare,
  run: (door: Remote<FilesDoor>, told: ToldShare) => Promise<T>,
): Task<T> => startTask<FilesDoor, T>(filesWorker(), told, run)

/** A list of readings or a drawing is small: what takes longer is none, s. */
const MOST_S = 20

/**
 * Asks something of a worker of files, for so long as a small file may take; the worker is to be stopped where it answers nothing.
 * Errors: 'file-too-slow', 'worker-failed'.
 */
export async function inTime<T>(
  { door, broken }: FilesWorker,
  read: (door: Remote<FilesDoor>) => Promise<Result<T>>,
): Promise<Result<T>> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const slow = new Promise<Result<T>>(resolve => {
    timer = setTimeout(() => resolve(fail('file-too-slow', { seconds: MOST_S })), MOST_S * 1000)
  })
  try {
    return await Promise.race([read(door), broken, slow])
  } catch {
    return fail('worker-failed', {})
  } finally {
    clearTimeout(timer)
  }
}

/** A small file on its way through a worker of its own, which ends with it. */
export interface FileReading<T> {
  /** Null where it was stopped. Errors: those of the reader, 'file-too-slow', 'worker-failed'. */
  readonly done: Promise<Result<T> | null>
  readonly stop: () => void
}

export function readFile<T>(read: (door: Remote<FilesDoor>) => Promise<Result<T>>): FileReading<T> {
  const worker = startFiles()
  let stop: () => void = () => undefined
  const stopped = new Promise<null>(resolve => {
    stop = () => resolve(null)
  })
  return { done: Promise.race([inTime(worker, read), stopped]).finally(worker.stop), stop }
}
