import type { StationName } from '../data/stations'

/** The whole job on a sheet: what is done at each station, in the order of the work. Temperatures in braces. */
export const WALL: Readonly<Record<StationName, readonly string[]>> = {
  choose: ['Name steel and target.', 'Take the suggested route, or drag the point on the map.'],
  prepare: ['Mark every blade; drill, stamp and round inside corners now.', 'Degrease. Leave enough at the edge.'],
  wrap: ['Cut and fold as the plan shows.', 'Roll the seams flat. Count the packets.'],
  heat: [
    'Key the programme exactly as shown.',
    'Thin blades in front, thick at the back, tang toward you. Power off while the door is open.',
    'The soak counts from when the blade is at heat.',
  ],
  plates: [
    'One blade at a time, as the pull list says.',
    'Close the vice at once, air on. Out when it can be held in a bare hand.',
  ],
  inspect: ['As many out as in.', 'Look for bends, cracks and dark scale. Try a file.', 'Straighten only while warm.'],
  cold: ['Straight after the quench, doors open, lid loose.', 'Warm up in still air; wipe off the frost.'],
  temper: [
    'Start within the hour.',
    'The hold counts from when the blade is at heat.',
    'Cool to room temperature, then again.',
  ],
  measure: ['Check the tester on its block.', 'Three readings per blade, three diameters apart, on a flat.'],
  verdict: [
    'Accept, temper again, or start again: each with its chance.',
    'A doubtful reading: measure more before more heat.',
  ],
  finish: ['Fresh belts, water within reach.', 'Never hotter than the last temper.'],
  prove: ['Test beside a blade of known hardness, one angle at a time.', 'Chips: softer. Rolls: harder.'],
}
