import { useCallback, useEffect, useRef, useState } from 'react'
import {
  type ControllerCommand,
  type ControllerReading,
  readReading,
  writeCommand,
} from '../../../../core/oven/line-protocol'
import type { LinePort } from '../../../../devices/line-port'

/** Samples kept while listening: three hours at one a second, then one in two, and so on. */
const MOST_SAMPLES = 10_000

export interface HeardController {
  readonly reading: ControllerReading | null
  readonly trouble: string | null
  readonly samples: readonly (readonly [min: number, c: number])[]
  readonly send: (commands: readonly ControllerCommand[]) => Promise<boolean>
}

/** A controller over a port: its readings as they come, what was heard, and how to speak to it. */
export function useController(port: LinePort | null): HeardController {
  const [reading, setReading] = useState<ControllerReading | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const samples = useRef<(readonly [number, number])[]>([])
  useEffect(() => {
    if (!port) return
    samples.current = []
    const stop = port.onLine(line => {
      const heard = readReading(line)
      if (!heard) return
      setReading(heard)
      const last = samples.current.at(-1)
      // A programme begun anew starts the clock again: so does the log.
      if (last && heard.atS / 60 < last[0]) samples.current = []
      if (heard.shownC !== null && heard.atS / 60 > (samples.current.at(-1)?.[0] ?? -1))
        samples.current.push([heard.atS / 60, heard.shownC])
      if (samples.current.length > MOST_SAMPLES) samples.current = samples.current.filter((_, i) => i % 2 === 0)
    })
    return () => {
      stop()
      void port.close()
    }
  }, [port])
  const send = useCallback(
    async (commands: readonly ControllerCommand[]) => {
      if (!port) return false
      try {
        for (const command of commands) {
          const reply = await port.send(writeCommand(command))
          if (reply.startsWith('ERR')) {
            setTrouble(`The controller refused: ${reply.slice(4)}.`)
            return false
          }
        }
        setTrouble(null)
        return true
      } catch {
        setTrouble('The controller does not answer. Look at the cable and the power, then connect again.')
        return false
      }
    },
    [port],
  )
  return { reading, trouble, samples: samples.current, send }
}
