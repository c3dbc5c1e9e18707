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

/** Asks the person for a serial device and speaks the line protocol with it, 9600 baud, 8N1. */
export async function openSerialPort(): Promise<LinePort> {
  const door = doorOf(navigator)
  if (!door) throw new Error('this browser has no access to serial devices')
  const device = await door.requestPort()
  await device.open({ baudRate: BAUD })
  return speakOver(device, 'Controller on a cable')
}

/** The line protocol over any pair of byte streams: answers go to who asked, READ lines that nobody asked for to the listeners. */
export function speakOver(device: Pick<SerialDevice, 'readable' | 'writable' | 'close'>, name: string): LinePort {
  const listeners = createListeners()
  const waiting: ((line: string) => void)[] = []
  const reader = device.readable?.getReader()
  const writer = device.writable?.getWriter()
  const take = (line: string, asked: boolean) => {
    const answer = asked ? waiting.shift() : undefined
    if (answer) answer(line)
    else listeners.tell(line)
  }
  let readAsked = 0
  const pump = async () => {
    const decoder = new TextDecoder()
    let rest = ''
    for (;;) {
      const part = await reader?.read()
      if (!part || part.done) return
      rest += decoder.decode(part.value, { stream: true })
      const lines = rest.split('\n')
      rest = lines.pop() ?? ''
      for (const line of lines.map(l => l.trim()).filter(l => l !== '')) {
        // A READ line answers READ? alone; between times it came by itself.
        const ofItself = line.startsWith('READ ') && readAsked === 0
        if (line.startsWith('READ ') && readAsked > 0) readAsked--
        take(line, !ofItself)
      }
    }
  }
  void pump().catch(() => undefined)
  return {
    name,
    send(line) {
      return new Promise((resolve, reject) => {
        const timer = setTimeout(() => {
          const at = waiting.indexOf(answer)
          if (at >= 0) waiting.splice(at, 1)
          reject(new Error('the device did not answer'))
        }, SILENT_MS)
        const answer = (reply: string) => {
          clearTimeout(timer)
          resolve(reply)
        }
        waiting.push(answer)
        if (line.trim() === 'READ?') readAsked++
        writer?.write(new TextEncoder().encode(`${line}\n`)).catch(reject)
      })
    },
    onLine: listener => listeners.add(listener),
    async close() {
      await reader?.cancel().catch(() => undefined)
      writer?.releaseLock()
      await device.close().catch(() => undefined)
    },
  }
}
