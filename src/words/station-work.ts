import type { StationName } from '../data/stations'

/** Work of each station, in one line for whoever is about to go there. */
export const STATION_WORK: Readonly<Record<StationName, string>> = {
  choose: 'Steel, route and target.',
  prepare: 'How many blades there are, how thick, and what is done before the heat.',
  wrap: 'Foil packets, and how they are cut from the roll.',
  heat: 'What is keyed, where each packet stands, and when it is hot.',
  plates: 'How fast the blades cool, and in which order they are pulled.',
  inspect: 'Straight, whole and counted.',
  cold: 'How cold and how long, how much coolant, and the air in the room.',
  temper: 'Which blades go in together, at what, and for how long.',
  measure: 'Three readings a blade.',
  verdict: 'Finish, temper again or harden again, with the reasons.',
  finish: 'Scale, holes, bevels, surface, edge; and what it cost.',
  prove: 'Edge tests, and what they say about the next batch.',
}
