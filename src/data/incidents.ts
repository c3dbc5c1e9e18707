/** Question about an incident: which blades, how many seconds or minutes. */
export type IncidentAsks = 'blades' | 'seconds' | 'minutes'

/**
 * Effect of an incident: a blade is out of every later step, or stays in and is looked at; the next pull waits; the
 * oven had no power, or its door stood open; one pair of hands is left; the cold is short.
 */
export type IncidentDoes = 'aside' | 'look' | 'wait' | 'no-power' | 'door-open' | 'alone' | 'cold-short'

interface IncidentKind {
  readonly asks: readonly IncidentAsks[]
  readonly does: IncidentDoes
  /** Default until somebody enters a value. */
  readonly usual: number
}

/** Incidents in a hot shop, in the order they are offered. Usual figures: common practice, no published source. */
export const INCIDENTS = {
  leaked: { asks: ['blades'], does: 'look', usual: 0 },
  torn: { asks: ['blades'], does: 'look', usual: 0 },
  stuck: { asks: ['blades', 'seconds'], does: 'look', usual: 20 },
  'vice-late': { asks: ['blades', 'seconds'], does: 'look', usual: 15 },
  bent: { asks: ['blades'], does: 'look', usual: 0 },
  cracked: { asks: ['blades'], does: 'aside', usual: 0 },
  dropped: { asks: ['blades'], does: 'look', usual: 0 },
  missing: { asks: ['blades'], does: 'aside', usual: 0 },
  'set-aside': { asks: ['blades'], does: 'aside', usual: 0 },
  'plates-hot': { asks: ['minutes'], does: 'wait', usual: 3 },
  'door-open': { asks: ['minutes'], does: 'door-open', usual: 1 },
  'power-cut': { asks: ['minutes'], does: 'no-power', usual: 10 },
  'controller-error': { asks: ['minutes'], does: 'no-power', usual: 5 },
  'coolant-out': { asks: [], does: 'cold-short', usual: 0 },
  'helper-gone': { asks: [], does: 'alone', usual: 0 },
} as const satisfies Record<string, IncidentKind>

export type Incident = keyof typeof INCIDENTS
export const INCIDENT_NAMES = Object.keys(INCIDENTS) as readonly Incident[]

/** Why a run is called off. */
export const STOP_REASONS = ['done-for-today', 'oven', 'blades', 'danger', 'other'] as const
export type StopReason = (typeof STOP_REASONS)[number]

/** Conditions to make safe before a run is left. */
export const SAFE_STATE = ['power', 'door', 'gas', 'hot-blades'] as const
export type SafePoint = (typeof SAFE_STATE)[number]
