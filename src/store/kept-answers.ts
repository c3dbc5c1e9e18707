import Dexie, { type Table } from 'dexie'
import type { Answered, QuestionName, Request } from '../core/contract/questions'

/**
 * The last answer to a question that a page waits for, so that on the next visit it is drawn before a worker has started and read the
 * log. It is worked out anew all the same: what differs is put right a moment later.
 */
interface KeptAnswer {
  readonly key: string
  /** The file of the worker that answered, which has another name in each version: only the version that wrote an answer reads it. */
  readonly by: string
  /** What was asked, as text. */
  readonly asked: string
  readonly answer: unknown
  readonly at: number
}

/** As many are kept. */
const MOST = 60

/** In a database of its own: it is nobody's work, stands in no file, and may be thrown away at any time. */
class KeptAnswers extends Dexie {
  declare answers: Table<KeptAnswer, string>

  constructor() {
    super('tawny-ember-kept')
    this.version(1).stores({ answers: 'key, at' })
  }
}

const kept = new KeptAnswers()

/** Questions of which an answer is kept, and of what: one for each. */
const ABOUT: { readonly [N in QuestionName]?: (request: Request<N>) => string } = {
  batch: ({ batch }) => batch.id,
  days: () => '',
  lately: () => '',
}

const keyOf = <N extends QuestionName>(name: N, request: Request<N>): string | null => {
  const about = ABOUT[name]
  return about ? `${name} ${about(request)}` : null
}

const fileOf = (url: string): string => url.slice(url.lastIndexOf('/') + 1)

/** The answer that was kept to this very question, by the version whose worker this is; null where there is none, or the browser keeps nothing. */
export async function keptAnswer<N extends QuestionName>(
  name: N,
  request: Request<N>,
  worker: string,
): Promise<Answered<N> | null> {
  const key = keyOf(name, request)
  if (key === null) return null
  try {
    const found = await kept.answers.get(key)
    return found?.by === fileOf(worker) && found.asked === JSON.stringify(request)
      ? (found.answer as Answered<N>)
      : null
  } catch {
    return null
  }
}

/** Keeps an answer; whether the browser does is of no matter. */
export async function keepAnswer<N extends QuestionName>(
  name: N,
  request: Request<N>,
  answer: Answered<N>,
  worker: string,
): Promise<void> {
  const key = keyOf(name, request)
  if (key === null || !answer.ok) return
  try {
    await kept.answers.put({ key, by: fileOf(worker), asked: JSON.stringify(request), answer, at: Date.now() })
    const over = (await kept.answers.count()) - MOST
    if (over > 0) await kept.answers.bulkDelete(await kept.answers.orderBy('at').limit(over).primaryKeys())
  } catch {
    // It is worked out anew the next time.
  }
}

/** Throws all of them away: they tell of what was deleted. */
export const forgetAnswers = (): Promise<void> => kept.answers.clear().catch(() => undefined)
