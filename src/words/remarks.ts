/** Usual remarks in a hot shop, to be tapped with a glove on. */
export const USUAL_REMARKS = [
  'The oven climbs slower than it should',
  'The display wanders',
  'Smoke or a smell from the oven',
  'The packet came out bright',
  'Scale on the foil',
  'The plates feel warm',
  'The blade rang true',
  'A mark is hard to read',
] as const
