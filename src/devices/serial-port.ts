import { createListeners, type LinePort } from './line-port'

/** The part of Web Serial that is used; browsers that have it give more. */
interface SerialDevice {
  readonly readable: ReadableStream<Uint8Array> | null
  readonly writable: WritableStream<Uint8Array> | null
  open(options: { baudRate: number }): Promise<void>
  close(): Promise<void>
}
interface SerialDoor {
  requestPort(): Promise<SerialDevice>
}

const doorOf = (from: Navigator): SerialDoor | null => (from as Navigator & { serial?: SerialDoor }).serial ?? null

/** Whether this browser can talk to a device on a cable. */
export const hasSerial = (): boolean => typeof navigator !== 'undefined' && doorOf(navigator) !== null

const BAUD = 9600
/** A device that says nothing for so long is taken to be gone, ms. */
const SILENT_MS = 3000
/** After an answer that did not come, the cable has to be quiet for so long before anything else is asked, ms. */
const DRAIN_MS = 4000

/** Asks the person for a serial device and speaks the line protocol with it, 9600 baud, 8N1. */
export async function openSerialPort(): Promise<LinePort> {
  const door = doorOf(navigator)
  if (!door) throw new Error('this browser has no access to serial devices')
  const device = await door.requestPort()
  await device.open({ baudRate: BAUD })
  return speakOver(device, 'Controller on a cable')
}

const wait = (ms: number) => new Promise(resolve => setTimeout(resolve, ms))

/** Lines that only ever answer one command, by how they begin. */
const KINDS = [
  { begins: 'READ ', of: 'READ?' },
  { begins: 'ID ', of: 'ID?' },
] as const

/** A command that waits for its answer. */
interface Asked {
  readonly line: string
  readonly answer: (line: string) => void
}

/**
 * Speaks the line protocol over any pair of byte streams. Commands go out one at a time: the line that comes next is the answer, but for a
 * READ line, which comes by itself unless it was asked for. After an answer that did not come the cable is let run dry, then the device is asked who
 * it is, and everything up to that answer is let go: a late line never counts for another command.
 */
export function speakOver(device: Pick<SerialDevice, 'readable' | 'writable' | 'close'>, name: string): LinePort {
  const listeners = createListeners()
  let asked: Asked | null = null
  let isAdrift = false
  let spokeMs = 0
  let last: Promise<unknown> = Promise.resolve()
  const reader = device.readable?.getReader()
  const writer = device.writable?.getWriter()

  const take = (line: string) => {
    // Readings come by themselves, however quiet it is.
    if (!line.startsWith('READ ')) spokeMs = Date.now()
    const kind = KINDS.find(({ begins }) => line.startsWith(begins))
    const isAnswer = asked !== null && (kind ? asked.line === kind.of : !isAdrift)
    if (isAnswer) asked?.answer(line)
    else if (kind?.of === 'READ?' || (asked === null && !isAdrift)) listeners.tell(line)
  }
  const pump = async () => {
    const decoder = new TextDecoder()
    let rest = ''
    for (;;) {
      const part = await reader?.read()
      if (!part || part.done) return
      rest += decoder.decode(part.value, { stream: true })
      const lines = rest.split('\n')
      rest = lines.pop() ?? ''
      for (const line of lines.map(l => l.trim()).filter(l => l !== '')) take(line)
    }
  }
  void pump().catch(() => undefined)

  const ask = (line: string) =>
    new Promise<string>((resolve, reject) => {
      const end = () => {
        clearTimeout(timer)
        asked = null
      }
      const timer = setTimeout(() => {
        end()
        isAdrift = true
        reject(new Error('the device did not answer'))
      }, SILENT_MS)
      asked = {
        line: line.trim(),
        answer: reply => {
          end()
          resolve(reply)
        },
      }
      writer?.write(new TextEncoder().encode(`${line}\n`)).catch(error => {
        end()
        reject(error)
      })
    })
  /** Asks, after what was asked before; first finds the way back where an answer was missed. */
  const inTurn = async (line: string): Promise<string> => {
    if (isAdrift) {
      for (let left = DRAIN_MS; left > 0; left = spokeMs + DRAIN_MS - Date.now()) await wait(left)
      await ask('ID?')
      isAdrift = false
    }
    return ask(line)
  }
  return {
    name,
    send(line) {
      const answer = last.then(() => inTurn(line))
      last = answer.catch(() => undefined)
      return answer
    },
    onLine: listener => listeners.add(listener),
    async close() {
      await reader?.cancel().catch(() => undefined)
      writer?.releaseLock()
      await device.close().catch(() => undefined)
    },
  }
}
