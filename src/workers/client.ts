import { type Remote, wrap } from 'comlink'
import type { Result } from '../core/codes/result'
import type { LocalAnswer, LocalQuestionName, LocalRequest } from '../core/contract/questions/local'
import type { CoreDoor } from './core.worker'

let door: Remote<CoreDoor> | null = null

/** Asks the core in its worker: the same questions and shapes as over HTTP. The worker is started on first use. */
export async function ask<N extends LocalQuestionName>(
  name: N,
  request: LocalRequest<N>,
): Promise<Result<LocalAnswer<N>>> {
  door ??= wrap<CoreDoor>(new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }))
  return (await door.ask(name, request)) as Result<LocalAnswer<N>>
}
