import { afterEach, describe, expect, it, vi } from 'vitest'
import { createRandom } from '../core/numeric/random'
import { tries } from '../testing/endure'
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
    await settle()
    // The second goes out when the first is answered.
    expect(written).toEqual(['PROG 1\n'])
    say('O')
    await settle()
    say('K\r\n')
    expect(await first).toBe('OK')
    await settle()
    say('ERR no st')
    say('eps\n')
    expect(await second).toBe('ERR no steps')
    expect(written).toEqual(['PROG 1\n', 'RUN\n'])
  })

  it('takes a reading that comes by itself for no answer, and one that was asked for as the answer', async () => {
    const { port, say } = cable()
    const heard: string[] = []
    port.onLine(line => heard.push(line))
    const answer = port.send('RUN')
    await settle()
    say(`${READ}\nOK\n${READ}\n`)
    expect(await answer).toBe('OK')
    await settle()
    expect(heard).toEqual([READ, READ])
    const asked = port.send('READ?')
    await settle()
    say(`${READ}\n`)
    expect(await asked).toBe(READ)
    expect(heard).toHaveLength(2)
  })

  it('gives up on a device that says nothing, and a late answer is not the next one’s', async () => {
    vi.useFakeTimers()
    const { port, written, say } = cable()
    const silent = expect(port.send('PROG 2')).rejects.toThrow('did not answer')
    await vi.advanceTimersByTimeAsync(3100)
    await silent
    const next = port.send('RUN')
    await vi.advanceTimersByTimeAsync(1)
    // The answer to PROG comes now: it is not RUN's. What the device is asked for first tells where its answers stand.
    say('OK\n')
    await vi.advanceTimersByTimeAsync(5000)
    expect(written).toEqual(['PROG 2\n', 'ID?\n'])
    say('ID oven 1\n')
    await vi.advanceTimersByTimeAsync(1)
    say('ERR no steps\n')
    await vi.advanceTimersByTimeAsync(1)
    expect(await next).toBe('ERR no steps')
  })

  it('gives an answer to the command it belongs to or to none, however late, torn or unasked lines come', async () => {
    vi.useFakeTimers()
    for (let seed = 1; seed <= tries(40, 10_000); seed++) {
      const random = createRandom(seed)
      const { port, written, say } = cable()
      let [read, busyUntilMs] = [0, 0]
      /** The device answers each command by its number, in order, at once, slowly, too late, or never. */
      const answer = async (from: number) => {
        for (const command of written.slice(from).map(line => line.trim())) {
          const reply = command === 'ID?' ? 'ID oven 1' : `ERR ${command}`
          if (random.uniform() < 0.15) continue
          const text = `${reply}\r\n`
          const slow = random.uniform() < 0.3 ? 3500 * random.uniform() + 200 : 5
          // A device answers in the order it was asked.
          busyUntilMs = Math.max(busyUntilMs, Date.now() + slow)
          const at = busyUntilMs - Date.now()
          const cut = Math.floor(random.uniform() * text.length)
          setTimeout(() => [text.slice(0, cut), text.slice(cut)].forEach(say), at)
          if (random.uniform() < 0.5) setTimeout(() => say(`${READ}\n`), Math.floor(at) - 1)
        }
      }
      const sends = Array.from({ length: 5 }, (_, i) =>
        port.send(`PROG ${i + 1}`).then(
          reply => expect(reply, `seed ${seed}`).toBe(`ERR PROG ${i + 1}`),
          () => undefined,
        ),
      )
      for (let ms = 0; ms < 120_000; ms += 1000) {
        await answer(read)
        read = written.length
        await vi.advanceTimersByTimeAsync(1000)
      }
      await Promise.all(sends)
    }
  })
})
