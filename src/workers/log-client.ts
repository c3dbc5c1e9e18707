import { proxy, type Remote, wrap } from 'comlink'
import type { LogDoor } from './log.worker'

/** A task in a worker of its own: cancelled by ending the worker, so that nothing of it goes on. */
export interface Task<T> {
  readonly done: Promise<T>
  readonly cancel: () => void
}

/** Starts a task on the log worker. `done` never settles after a cancel. */
function startTask<T>(run: (door: Remote<LogDoor>) => Promise<T>): Task<T> {
  const worker = new Worker(new URL('./log.worker.ts', import.meta.url), { type: 'module' })
  const done = run(wrap<LogDoor>(worker)).finally(() => worker.terminate())
  return { done, cancel: () => worker.terminate() }
}

type ReadArgs = Parameters<LogDoor['read']>
type FitArgs = Parameters<LogDoor['fit']>

export const startReading = (file: ReadArgs[0], layout: ReadArgs[1], progress: ReadArgs[2]) =>
  startTask(door => door.read(file, layout, proxy(progress)) as ReturnType<LogDoor['read']>)

export const startFit = (oven: FitArgs[0], points: FitArgs[1], progress: FitArgs[2]) =>
  startTask(door => door.fit(oven, points, proxy(progress)) as Promise<ReturnType<LogDoor['fit']>>)
