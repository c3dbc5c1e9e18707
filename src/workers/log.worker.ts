import { expose } from 'comlink'
import Papa from 'papaparse'
import { fail, ok, type Result } from '../core/codes/result'
import { encodingOf, TELLING_BYTES } from '../core/files/encoding'
import { createLogReader, type ReadLog } from '../core/files/oven-log/read-log'
import type { LogLayout } from '../core/files/oven-log/recognise'
import { fitOven, type OvenFitResult } from '../core/oven/fit/fit-oven'
import { type LogPoint, thinLog } from '../core/oven/log-points'
import type { DetailedOven } from '../core/oven/oven-model'

/** Points a stored log keeps: a minute each for more than a day, with every dip between. */
const KEPT_POINTS = 3000

/** A log as the page has it: what was recognised, what was skipped, and the thinned points. */
export interface LogReport extends Omit<ReadLog, 'minutes' | 'celsius'> {
  readonly samples: number
  readonly points: readonly LogPoint[]
}

const door = {
  /** Reads a file piece by piece, whatever its size; `layout` sets right what would be recognised. */
  read: async (file: File, layout: LogLayout | null, progress: (share: number) => void): Promise<Result<LogReport>> => {
    const beginning = await file
      .slice(0, TELLING_BYTES)
      .arrayBuffer()
      .catch(() => new ArrayBuffer(0))
    const encoding = encodingOf(new Uint8Array(beginning))
    return new Promise(resolve => {
      const reader = createLogReader(layout)
      Papa.parse<string[]>(file, {
        encoding,
        skipEmptyLines: false,
        chunk: results => {
          reader.push(results.data)
          progress(file.size > 0 ? Math.min(1, results.meta.cursor / file.size) : 1)
        },
        complete: () => {
          const read = reader.finish()
          if (!read.ok) return resolve(read)
          const { minutes, celsius, ...rest } = read.value
          resolve(ok({ ...rest, samples: minutes.length, points: thinLog(minutes, celsius, KEPT_POINTS) }))
        },
        error: () => resolve(fail('unreadable-file', {})),
      })
    })
  },
  fit: (oven: DetailedOven, points: readonly LogPoint[], progress: (share: number) => void): Result<OvenFitResult> =>
    fitOven(oven, points, progress),
}

export type LogDoor = typeof door
expose(door)
