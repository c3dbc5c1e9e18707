import { isContinuing } from '../core/continuing'
import { createSubscribable, type Subscribable } from '../core/subscribable'

/** Result of applying one side of a step: done, changed elsewhere since, or refused by the browser. */
export type Applied = 'done' | 'changed-elsewhere' | 'refused'

/** Something done on this page that can be taken back, and done again. */
export interface Step {
  /** Its name for the person. */
  readonly label: string
  readonly undo: () => Promise<Applied>
  readonly redo: () => Promise<Applied>
}

/** Result of undoing or redoing, with the reason if nothing was: no step, changed elsewhere since, or refused. */
export type Undone =
  | { readonly done: true; readonly way: 'undo' | 'redo'; readonly label: string }
  | { readonly done: false; readonly way: 'undo' | 'redo'; readonly why: 'none' | 'refused' }
  | { readonly done: false; readonly way: 'undo' | 'redo'; readonly why: 'changed-elsewhere'; readonly label: string }

interface History {
  readonly done: readonly Step[]
  readonly undone: readonly Step[]
}

/** Steps this page has done, newest last, and those undone. */
const history = createSubscribable<History>({ done: [], undone: [] })
export const pageHistory: Subscribable<History> = history
const MOST_STEPS = 200

/** Steps noted while several things are done as one; null while none is. */
let gathered: Step[] | null = null

/** Notes what was just done. What was undone before can then no longer be done again. */
export function remember(step: Step): void {
  if (gathered) {
    gathered.push(step)
    return
  }
  history.set({ done: [...history.get().done, step].slice(-MOST_STEPS), undone: [] })
}

/** A change of one thing from one state to another: `apply` writes a state where the other still stands. */
export interface Change<T> {
  /** Key of the changed thing: continued changes of one thing, such as a drag, are one step. */
  readonly key: string
  readonly label: string
  readonly before: T
  readonly after: T
  readonly apply: (to: T, from: T) => Promise<Applied>
}

const changes = new WeakMap<Step, Change<unknown>>()

/** Notes a change; `goesOn`: it goes on from the one before, of the same thing and name, and is one step with it. */
export function rememberChange<T>(change: Change<T>, goesOn = isContinuing()): void {
  const last = history.get().done.at(-1)
  const was = last && (changes.get(last) as Change<T> | undefined)
  const isOne = goesOn && was?.key === change.key && was.label === change.label
  const whole = isOne ? { ...change, before: was.before } : change
  const step: Step = {
    label: whole.label,
    undo: () => whole.apply(whole.before, whole.after),
    redo: () => whole.apply(whole.after, whole.before),
  }
  changes.set(step, whole as Change<unknown>)
  if (isOne) history.set({ ...history.get(), done: history.get().done.slice(0, -1) })
  remember(step)
}

/** Does several things that are taken back together. */
export async function asOne<T>(label: string, act: () => Promise<T>): Promise<T> {
  gathered = []
  try {
    return await act()
  } finally {
    const steps = gathered
    gathered = null
    if (steps.length > 0)
      remember({ label, undo: () => inTurn([...steps].reverse(), 'undo'), redo: () => inTurn(steps, 'redo') })
  }
}

async function inTurn(steps: readonly Step[], way: 'undo' | 'redo'): Promise<Applied> {
  let worst: Applied = 'done'
  for (const step of steps) {
    const applied = await step[way]()
    if (applied !== 'done') worst = applied
  }
  return worst
}

/** The newest step; undefined where nothing was done on this page. */
export const newestStep = (): Step | undefined => history.get().done.at(-1)

/** Edits that are being written: they are done for who made them, though no step stands for them yet. */
const underway = new Set<Promise<unknown>>()

/** Counts an edit as done while it is still being written, so that what is taken back meanwhile is that edit. */
export function whileWritten<T>(edit: Promise<T>): Promise<T> {
  underway.add(edit)
  const ended = () => underway.delete(edit)
  edit.then(ended, ended)
  return edit
}

/** Takes a step back: the newest, or one of those before it. What is just being written is waited for. */
export async function undoStep(chosen?: Step): Promise<Undone> {
  await Promise.allSettled(underway)
  const step = chosen ?? newestStep()
  const { done, undone } = history.get()
  if (!step || !done.includes(step)) return { done: false, way: 'undo', why: 'none' }
  history.set({ done: done.filter(other => other !== step), undone })
  const applied = await step.undo()
  if (applied === 'done') history.set({ ...history.get(), undone: [...history.get().undone, step] })
  return outcomeOf(applied, 'undo', step)
}

/** Does again what was undone last. */
export async function redoLast(): Promise<Undone> {
  const { done, undone } = history.get()
  const step = undone.at(-1)
  if (!step) return { done: false, way: 'redo', why: 'none' }
  history.set({ done, undone: undone.slice(0, -1) })
  const applied = await step.redo()
  if (applied === 'done') history.set({ ...history.get(), done: [...history.get().done, step] })
  return outcomeOf(applied, 'redo', step)
}

const outcomeOf = (applied: Applied, way: 'undo' | 'redo', { label }: Step): Undone =>
  applied === 'done'
    ? { done: true, way, label }
    : applied === 'refused'
      ? { done: false, way, why: 'refused' }
      : { done: false, way, why: 'changed-elsewhere', label }

/** Nothing done on this page is known any more: everything stored was replaced. */
export const forgetHistory = (): void => history.set({ done: [], undone: [] })
