import { afterEach, describe, expect, it, vi } from 'vitest'
import { speakOver } from './serial-port'

afterEach(() => vi.useRealTimers())

/** A cable with the far end in the test's hand. */
function cable() {
  const written: string[] = []
  let say: (text: string) => void = () => undefined
  const readable = new ReadableStream<Uint8Array>({
    start(controller) {
      say = text => controller.enqueue(new TextEncoder().encode(text))
    },
  })
  const writable = new WritableStream<Uint8Array>({
    write(bytes) {
      written.push(new TextDecoder().decode(bytes))
    },
  })
  const port = speakOver({ readable, writable, close: async () => undefined }, 'Cable')
  return { port, written, say: (text: string) => say(text) }
}
const READ = 'READ t=1 pv=20 sp=0 step=0 out=0.00 door=SHUT fault=NONE'
const settle = () => new Promise(resolve => setTimeout(resolve, 5))

describe('lines over a cable', () => {
  it('puts torn bytes together and answers in the order asked', async () => {
    const { port, written, say } = cable()
    const [first, second] = [port.send('PROG 1'), port.send('RUN')]
    say('O')
    await settle()
    say('K\r\nERR no st')
    say('eps\n')
    expect(await first).toBe('OK')
    expect(await second).toBe('ERR no steps')
    expect(written).toEqual(['PROG 1\n', 'RUN\n'])
  })

  it('takes a reading that comes by itself for no answer, and one that was asked for as the answer', async () => {
    const { port, say } = cable()
    const heard: string[] = []
    port.onLine(line => heard.push(line))
    const answer = port.send('RUN')
    say(`${READ}\nOK\n${READ}\n`)
    expect(await answer).toBe('OK')
    await settle()
    expect(heard).toEqual([READ, READ])
    const asked = port.send('READ?')
    say(`${READ}\n`)
    expect(await asked).toBe(READ)
    expect(heard).toHaveLength(2)
  })

  it('gives up on a device that says nothing, and a late answer is not the next one’s', async () => {
    vi.useFakeTimers()
    const { port } = cable()
    const silent = expect(port.send('ID?')).rejects.toThrow('did not answer')
    await vi.advanceTimersByTimeAsync(3100)
    await silent
  })
})
