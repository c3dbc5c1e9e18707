import type { LogDoor } from './log.worker'
import { startTask, type Task } from './open-worker'

const logWorker = () => new Worker(new URL('./log.worker.ts', import.meta.url), { type: 'module' })

type ReadArgs = Parameters<LogDoor['read']>
type FitArgs = Parameters<LogDoor['fit']>

export const startReading = (
  file: ReadArgs[0],
  layout: ReadArgs[1],
  progress: ReadArgs[2],
): Task<Awaited<ReturnType<LogDoor['read']>>> =>
  startTask<LogDoor, Awaited<ReturnType<LogDoor['read']>>>(logWorker(), progress, (door, told) =>
    door.read(file, layout, told),
  )

export const startFit = (
  oven: FitArgs[0],
  points: FitArgs[1],
  progress: FitArgs[2],
): Task<ReturnType<LogDoor['fit']>> =>
  startTask<LogDoor, ReturnType<LogDoor['fit']>>(logWorker(), progress, (door, told) => door.fit(oven, points, told))
