import { transfer } from 'comlink'
import { fail, ok, type Result } from '../core/codes/result'
import type { CodeDoor } from './code.worker'
import { openWorker } from './open-worker'

/** Looks for codes in a worker of its own: one look at a large picture takes longer than a page may stand still. */
export interface CodeReader {
  /** The bytes of the first code in a picture, which it takes over; null where there is none. Errors: 'worker-failed'. */
  readonly codeIn: (picture: ImageBitmap) => Promise<Result<Uint8Array | null>>
  readonly stop: () => void
}

export function startCodeReader(): CodeReader {
  const { door, broken, stop } = openWorker<CodeDoor>(
    new Worker(new URL('./code.worker.ts', import.meta.url), { type: 'module' }),
  )
  return {
    codeIn: picture =>
      Promise.race([door.codeIn(transfer(picture, [picture])), broken]).then(
        bytes => ok(bytes),
        () => fail('worker-failed', {}),
      ),
    stop,
  }
}
