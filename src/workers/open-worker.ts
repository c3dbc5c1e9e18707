import { proxy, type Remote, wrap } from 'comlink'

/** A worker of its own, and what ends it. */
export interface OpenWorker<Door> {
  readonly door: Remote<Door>
  /** Rejects when the worker cannot be loaded: what is asked of it would wait for good. */
  readonly broken: Promise<never>
  readonly stop: () => void
}

export function openWorker<Door>(worker: Worker): OpenWorker<Door> {
  const broken = new Promise<never>((_, reject) => {
    worker.onerror = event => {
      worker.terminate()
      reject(new Error(event.message))
    }
  })
  broken.catch(() => undefined)
  return { door: wrap<Door>(worker), broken, stop: () => worker.terminate() }
}

/** A task in a worker of its own: cancelled by ending the worker, so that nothing of it goes on. */
export interface Task<T> {
  /** Rejects when the worker cannot be loaded; never settles after a cancel. */
  readonly done: Promise<T>
  readonly cancel: () => void
}

/** Runs one task of a worker and ends the worker with it. `progress` is told the share done, and nothing once the task is over. */
export function startTask<Door, T>(
  worker: Worker,
  progress: (share: number) => void,
  run: (door: Remote<Door>, progress: (share: number) => void) => Promise<T>,
): Task<T> {
  const { door, broken, stop } = openWorker<Door>(worker)
  let over = false
  const end = () => {
    over = true
    stop()
  }
  // The share comes by a port of its own, and its last word may be heard after the result.
  const told = proxy((share: number) => {
    if (!over) progress(share)
  })
  return { done: Promise.race([run(door, told), broken]).finally(end), cancel: end }
}
