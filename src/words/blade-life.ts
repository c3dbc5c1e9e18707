import type { LifeEvent } from '../core/logbook/blade-life'
import { stateName } from './blade-state'
import { testWords } from './edge-tests'
import { INCIDENT_WORDS } from './incidents'
import { plainStepTitle } from './run'
import { hrcText, type Speaker } from './speaker'
import { stageName } from './stages'
import { decisionWords } from './verdict'

/** Something of a blade's life, in a line. */
export function lifeWords(event: LifeEvent, mark: string, say: Speaker): string {
  switch (event.kind) {
    case 'begun':
      return 'Laid on the tray'
    case 'step':
      return `${plainStepTitle(event.step, mark, say.system)}${event.corrected ? ', time corrected by hand' : ''}`
    case 'incident':
      return INCIDENT_WORDS[event.incident].name
    case 'measured':
      return `${hrcText(event.hrc)} HRC ${stageName(event.stage)} (readings ${event.readings.join(', ')})`
    case 'decided': {
      const { what, why } = decisionWords(event.decision, say)
      return why ? `${what} ${why}` : what
    }
    case 'tested':
      return testWords(event.test, say)
    case 'came-to': {
      const { is, why, to } = event.state
      return `${stateName(is)}${to ? ` to ${to}` : ''}${why ? `: ${why}` : ''}`
    }
  }
}
