import { useEffect, useRef, useState } from 'react'
import type { LinePort } from '../../../../devices/line-port'
import { openLocalPort } from '../../../../devices/local-port'
import { hasSerial, openSerialPort } from '../../../../devices/serial-port'
import { createHardnessTester, readHardness } from '../../../../simulators/hardness-tester'

interface Props {
  /** True hardness under the simulated tester's cone, HRC. */
  readonly underItHrc: number
  readonly onReading: (hrc: number) => void
}

/** Takes a reading from a tester on the line: the simulated one that ships, or one on a cable where the browser has Web Serial. */
export function TesterButton({ underItHrc, onReading }: Props) {
  const port = useRef<{ readonly line: LinePort; readonly simulated: boolean } | null>(null)
  const [kind, setKind] = useState<'none' | 'simulated' | 'cable'>('none')
  const [trouble, setTrouble] = useState<string | null>(null)
  // Another page may want the cable.
  useEffect(() => () => void port.current?.line.close(), [])
  const connect = async (way: 'simulated' | 'cable') => {
    try {
      const line =
        way === 'simulated' ? openLocalPort('Simulated tester', createHardnessTester().handle) : await openSerialPort()
      port.current = { line, simulated: way === 'simulated' }
      setKind(way)
      setTrouble(null)
    } catch (error) {
      setTrouble(`No tester: ${error instanceof Error ? error.message : 'none was chosen'}.`)
    }
  }
  const take = async () => {
    const { line, simulated } = port.current ?? {}
    if (!line) return
    try {
      if (simulated) await line.send(`TRUE ${underItHrc.toFixed(2)}`)
      const answer = await line.send('READ?')
      const hrc = readHardness(answer)
      if (hrc === null) setTrouble(`The tester says: ${answer.replace(/^ERR /, '')}.`)
      else {
        setTrouble(null)
        onReading(hrc)
      }
    } catch {
      setTrouble('The tester does not answer. Look at the cable, then connect it again.')
      setKind('none')
    }
  }
  return (
    <div className="flex flex-wrap items-center gap-2">
      {kind === 'none' ? (
        <>
          <button type="button" className="btn" onClick={() => void connect('simulated')}>
            Simulated tester
          </button>
          {hasSerial() && (
            <button type="button" className="btn" onClick={() => void connect('cable')}>
              Connect a tester on a cable …
            </button>
          )}
        </>
      ) : (
        <button type="button" className="btn" onClick={() => void take()}>
          Take a reading{kind === 'simulated' ? ' (simulated)' : ''}
        </button>
      )}
      {trouble && (
        <p role="alert" className="text-small text-bad">
          {trouble}
        </p>
      )}
    </div>
  )
}
