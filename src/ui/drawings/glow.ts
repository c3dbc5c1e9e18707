import type { Whereabouts } from '../../core/trace/cursor-time'

/** How the blades look at the moment that is shown: where they are, and the colour of their heat. */
export interface Glow {
  readonly where: Whereabouts
  readonly colour: string
}
