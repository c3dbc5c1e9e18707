import Dexie, { type Table } from 'dexie'
import type { Answered, QuestionName, Request } from '../core/contract/questions'

/**
 * An answer as it was last worked out, so that on the next visit it is drawn before a worker has started and read the log. Where the
 * log was not changed since, it is the answer, and no worker is asked.
 */
interface KeptAnswer {
  readonly key: string
  /** The file of the worker that answered, which has another name in each version: only the version that wrote an answer reads it. */
  readonly by: string
  /** Request as text. */
  readonly asked: string
  /** Subject of the request, so that its last answer can be found; most questions have none. */
  readonly about?: string
  /** The stamp of the log that was answered from; null where it had none, or where the answer rests on the request alone. */
  readonly stamp: string | null
  readonly answer: unknown
  readonly at: number
}

/** Answer found for a question on a later visit. */
export interface FoundAnswer<N extends QuestionName> {
  readonly answer: Answered<N>
  readonly stamp: string | null
}

/** The same, with what was asked then: the question that is asked now, or one about the same thing as it was before. */
export interface AnswerBefore<N extends QuestionName> extends FoundAnswer<N> {
  readonly asked: string
}

/** Questions that a page cannot be drawn without are drawn from the last answer about the same subject, though it may have changed since. */
const SUBJECTS: { readonly [N in QuestionName]?: (request: Request<N>) => string } = {
  batch: ({ batch }) => batch.id,
  measured: ({ batch, groupId }) => `${batch.id} ${groupId}`,
}

const aboutOf = (name: QuestionName, subject: string): string => `${name} ${subject}`

function subjectOf<N extends QuestionName>(name: N, request: Request<N>): { readonly about?: string } {
  const subject = SUBJECTS[name]
  return subject ? { about: aboutOf(name, subject(request)) } : {}
}

/** As many are kept, each with no more characters than this: the whole log told anew is read sooner than it is kept. */
const MOST = 300
const LONGEST = 250_000

/** In a database of its own: it is nobody's work, stands in no file, and may be thrown away at any time. */
class KeptAnswers extends Dexie {
  declare answers: Table<KeptAnswer, string>

  constructor() {
    super('tawny-ember-kept')
    this.version(1).stores({ answers: 'key, at' })
    this.version(2).stores({ answers: 'key, at, stamp' })
    this.version(3).stores({ answers: 'key, at, stamp, about' })
  }
}

const kept = new KeptAnswers()

/** A short name of a text: what was asked is compared as well, so that two of one name are never taken for each other. */
function nameOf(text: string): string {
  let hash = 0
  for (let i = 0; i < text.length; i++) hash = (Math.imul(hash, 31) + text.charCodeAt(i)) | 0
  return (hash >>> 0).toString(36)
}

const keyOf = (name: QuestionName, asked: string): string => `${name} ${nameOf(asked)}`

const fileOf = (url: string): string => url.slice(url.lastIndexOf('/') + 1)

/**
 * The answer that was kept to this very question, else the last one about the same thing, by the version whose worker this is; null
 * where there is none, or the browser keeps nothing.
 */
export async function keptAnswer<N extends QuestionName>(
  name: N,
  request: Request<N>,
  worker: string,
): Promise<AnswerBefore<N> | null> {
  const asked = JSON.stringify(request)
  const { about } = subjectOf(name, request)
  try {
    const same = await kept.answers.get(keyOf(name, asked))
    const found = same?.asked === asked ? same : about && (await newestAbout(about))
    return found && found.by === fileOf(worker)
      ? { answer: found.answer as Answered<N>, stamp: found.stamp, asked: found.asked }
      : null
  } catch {
    return null
  }
}

const newestAbout = async (about: string): Promise<KeptAnswer | undefined> =>
  (await kept.answers.where('about').equals(about).sortBy('at')).at(-1)

/** Whether anything is kept of a thing, by the version whose worker this is. */
export const isTold = async (name: QuestionName, subject: string, worker: string): Promise<boolean> =>
  (await newestAbout(aboutOf(name, subject)).catch(() => undefined))?.by === fileOf(worker)

/** Whether anything was answered from the log as it stands: then a page whose log was not changed may need no worker at all. */
export const isAnyKeptOf = (stamp: string): Promise<boolean> =>
  kept.answers
    .where('stamp')
    .equals(stamp)
    .count()
    .then(
      n => n > 0,
      () => false,
    )

/** Keeps an answer; whether the browser does is of no matter. */
export async function keepAnswer<N extends QuestionName>(
  name: N,
  request: Request<N>,
  { answer, stamp }: FoundAnswer<N>,
  worker: string,
): Promise<void> {
  if (!answer.ok || JSON.stringify(answer).length > LONGEST) return
  const asked = JSON.stringify(request)
  try {
    const told = { by: fileOf(worker), asked, stamp, answer, at: Date.now() }
    await kept.answers.put({ key: keyOf(name, asked), ...told, ...subjectOf(name, request) })
    const over = (await kept.answers.count()) - MOST
    if (over > 0) await kept.answers.bulkDelete(await kept.answers.orderBy('at').limit(over).primaryKeys())
  } catch {
    // It is worked out anew the next time.
  }
}

/** Throws all of them away: they tell of what was deleted. */
export const forgetAnswers = (): Promise<void> => kept.answers.clear().catch(() => undefined)
