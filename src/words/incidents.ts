import type { IncidentEvent } from '../core/run/live-events'
import type { Batch } from '../core/shop/batch'
import { INCIDENTS, type Incident, type SafePoint, type StopReason } from '../data/incidents'
import { marksOfBlades } from './lists'
import { secondsText } from './speaker'

interface IncidentWords {
  readonly name: string
  /** Question about it, beside the blades. */
  readonly asks: string
  /** Consequence, and what to do. */
  readonly after: string
}

/** Incidents of a hot shop, in the words of the one who calls them. */
export const INCIDENT_WORDS: Readonly<Record<Incident, IncidentWords>> = {
  leaked: {
    name: 'Packet leaked',
    asks: '',
    after: 'It stays in. Look at its colour and scale when the foil comes off, and grind the soft skin away.',
  },
  torn: {
    name: 'Foil torn',
    asks: '',
    after: 'Quench it at once, as it is. Expect scale where the foil was open.',
  },
  stuck: {
    name: 'Stuck in its foil',
    asks: 'How long until it was between the plates?',
    after: 'It cooled in the foil for that time. Read its hardness by itself.',
  },
  'vice-late': {
    name: 'Vice closed late',
    asks: 'How long did it stand in air before the vice was shut?',
    after: 'It cooled in air for that time. Read its hardness by itself, and look for a bend.',
  },
  bent: {
    name: 'Bent',
    asks: '',
    after:
      'Straighten it in the first half minute out of the plates, or between the tempers with clamps. Never force it cold.',
  },
  cracked: {
    name: 'Cracked',
    asks: '',
    after: 'It is set aside and left out of every later step. Handle it with gloves: it can snap.',
  },
  dropped: {
    name: 'Dropped',
    asks: '',
    after:
      'Leave it where it lies until it is dark, then lift it with tongs. It stays in the batch: look for bends and cracks.',
  },
  missing: {
    name: 'Blade missing',
    asks: '',
    after: 'It is left out of every later step. Look for it on the floor and in the oven: it may be hot.',
  },
  'set-aside': {
    name: 'Set a blade aside',
    asks: '',
    after: 'It is left out of every later step.',
  },
  'plates-hot': {
    name: 'Plates too hot',
    asks: 'How long should the next pull wait?',
    after: 'The next pull waits. The blades in the oven soak on: their clocks show by how much.',
  },
  'door-open': {
    name: 'Door was left open',
    asks: 'How long was it open?',
    after: 'The clocks of the blades in the oven are worked out anew by the oven’s model.',
  },
  'power-cut': {
    name: 'Power cut',
    asks: 'How long was it off?',
    after:
      'The clocks of the blades in the oven are worked out anew. A blade that fell below its heat soaks again from there.',
  },
  'controller-error': {
    name: 'Controller error',
    asks: 'How long did the oven not heat?',
    after: 'Read a second thermometer before you trust the display again. The clocks are worked out anew.',
  },
  'coolant-out': {
    name: 'Dry ice or nitrogen ran out',
    asks: '',
    after: 'Take the blades out and go on to the temper. Cold again later gains less: the retained austenite settles.',
  },
  'helper-gone': {
    name: 'Helper gone',
    asks: '',
    after: 'The pull list is that of one pair of hands from now on: the pulls come further apart.',
  },
}

export const STOP_WORDS: Readonly<Record<StopReason, string>> = {
  'done-for-today': 'Enough for today',
  oven: 'The oven or its controller failed',
  blades: 'The blades are spoilt',
  danger: 'It is not safe to go on',
  other: 'Another reason',
}

export const SAFE_WORDS: Readonly<Record<SafePoint, string>> = {
  power: 'Oven off, at its switch',
  door: 'Door shut, nothing that burns near it',
  gas: 'Gas and air off, nobody near dry ice or nitrogen in a closed room',
  'hot-blades': 'Hot blades where nobody touches them',
}

const lasted = (seconds: number) => (seconds >= 60 ? `${Math.round(seconds / 60)} min` : `${secondsText(seconds)} s`)

/** Says the incident logged just now, its blade, and its consequence. */
export const happenedWords = (event: IncidentEvent, batch: Pick<Batch, 'lines' | 'blades' | 'groups'>): string =>
  `${incidentText(event, batch)}. ${INCIDENT_WORDS[event.incident].after}`

/** An incident as it stands in the log: what, which blades, how long. */
export function incidentText(event: IncidentEvent, batch: Pick<Batch, 'lines' | 'blades' | 'groups'>): string {
  const which = event.bladeIds.length > 0 ? `: ${marksOfBlades(batch, event.bladeIds)}` : ''
  const asks: readonly string[] = INCIDENTS[event.incident].asks
  const long = event.stillOff ? ', still off' : asks.some(one => one !== 'blades') ? `, ${lasted(event.seconds)}` : ''
  return `${INCIDENT_WORDS[event.incident].name}${which}${long}`
}
