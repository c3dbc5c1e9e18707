import type { Whereabouts } from '../../core/job/moment'

/** How the blades look at the moment that is shown: where they are, and the colour of their heat. */
export interface Glow {
  readonly where: Whereabouts
  readonly colour: string
}
