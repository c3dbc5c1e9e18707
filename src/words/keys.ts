/** Keys that work in a view, as they are listed for the person: what is pressed, and what it does. */
export interface KeyHint {
  readonly keys: readonly string[]
  readonly does: string
}

const EVERYWHERE: readonly KeyHint[] = [
  { keys: ['Ctrl K', '/'], does: 'Find a batch, blade, steel, recipe, oven or action' },
  { keys: ['Ctrl Z'], does: 'Undo what was done last on this page' },
  { keys: ['Ctrl Shift Z', 'Ctrl Y'], does: 'Redo what was undone' },
  { keys: ['?'], does: 'Show these keys' },
]

const BATCH: readonly KeyHint[] = [
  { keys: ['←', '→'], does: 'Go to the station before or after' },
  { keys: ['S'], does: 'Show the next steel of the batch' },
  { keys: ['R'], does: 'Go to the field of readings at Measure' },
  { keys: ['P'], does: 'Play the plan along the Heat Line, or pause it' },
]

const MEASURE: readonly KeyHint[] = [
  { keys: ['N'], does: 'Show the next blade' },
  { keys: ['Enter'], does: 'In the field of readings: record them and go to the next blade' },
]

const HEAT_LINE: readonly KeyHint[] = [
  { keys: ['← →', 'Page ↑ ↓'], does: 'On the chosen moment of the Heat Line: a minute, or a quarter of an hour' },
  { keys: ['Esc'], does: 'Leave the chosen moment' },
]

const RUN: readonly KeyHint[] = [
  { keys: ['Space'], does: 'Confirm the present step; held: something happened' },
  { keys: ['X'], does: 'Something happened' },
  { keys: ['Z'], does: 'Take back what was done last' },
  { keys: ['+'], does: 'Add a minute to the present wait' },
  { keys: ['L'], does: 'Log a remark' },
  { keys: ['V'], does: 'Spoken cues on or off' },
  { keys: [',', '.'], does: 'Practice slower or faster' },
  { keys: ['Esc'], does: 'Leave the run; its clocks go on' },
]

/** The keys of the view at an address, most particular first. */
export function keysAt(path: string): readonly KeyHint[] {
  if (path.startsWith('/run/') || path.startsWith('/practice/'))
    return [...RUN, { keys: ['?'], does: 'Show these keys' }]
  if (path.endsWith('/measure')) return [...MEASURE, ...BATCH, ...HEAT_LINE, ...EVERYWHERE]
  if (path.startsWith('/batch/')) return [...BATCH, ...HEAT_LINE, ...EVERYWHERE]
  return EVERYWHERE
}
