import type { ExternalToast } from 'sonner'
import { createSubscribable } from '../core/subscribable'

interface Message {
  readonly text: string
  readonly isError: boolean
  readonly options: ExternalToast | undefined
}

/** Messages that were not shown yet: what shows them is fetched with the first. */
export const waitingMessages = createSubscribable<readonly Message[]>([])

const say = (text: string, isError: boolean, options?: ExternalToast) =>
  waitingMessages.set([...waitingMessages.get(), { text, isError, options }])

/** Says something at the edge of the page for some seconds. */
export const toast = Object.assign((text: string, options?: ExternalToast) => say(text, false, options), {
  error: (text: string, options?: ExternalToast) => say(text, true, options),
})
