import type { StationName } from '../data/stations'

/** A look round in seven stops along the Heat Line. */
export const TOUR: readonly { readonly station: StationName; readonly says: string }[] = [
  {
    station: 'choose',
    says: 'The line above is the whole job: temperature over time. Here the target becomes a route. Drag the point on the map and watch the hardness.',
  },
  {
    station: 'prepare',
    says: 'Every blade of the batch, drawn to one scale. Its thickness decides soak and quench; its mark and serial stay with it.',
  },
  {
    station: 'wrap',
    says: 'Foil packets and how to cut them from the roll with the least waste. Labels and the cut list are under Print.',
  },
  {
    station: 'heat',
    says: 'Where each packet stands in the oven, what you key into the controller, and when each blade is as hot as the oven.',
  },
  {
    station: 'plates',
    says: 'The pull list: which blade comes out when, how fast it cools between the plates, and how warm they get.',
  },
  {
    station: 'temper',
    says: 'Which blades go in together, at what, and what each should read afterwards. Play the plan above to see the whole day.',
  },
  {
    station: 'verdict',
    says: 'Readings become a decision: accept, temper again, or start again, each with its chance and its cost. Run, at the top right, guides you through the hot part.',
  },
]
