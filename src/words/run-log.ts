import type { Batch } from '../core/shop/batch'
import type { RunEvent, RunStep } from '../core/shop/run'
import { incidentText, STOP_WORDS } from './incidents'
import { stepWords } from './run'
import type { Speaker } from './speaker'

/** A line of a run's log: what was done, said or read. */
export function eventText(event: RunEvent, step: RunStep | null, batch: Batch, say: Speaker): string {
  switch (event.kind) {
    case 'confirm':
      return step ? stepWords(step, batch, say.system).action : ''
    case 'add-minutes':
      return `${event.minutes} min more`
    case 'remark':
      return `Remark: ${event.text}`
    case 'shows':
      return `The display showed ${say.t(event.c)}`
    case 'incident':
      return incidentText(event, batch)
    case 'stop':
      return `Called off: ${STOP_WORDS[event.reason]}`
    case 'take-back':
      return 'Taken back'
  }
}
