/** Kinds of cost of a batch. */
export const COST_KINDS = ['steel', 'protection', 'power', 'coolant', 'belts', 'work'] as const
export type CostKind = (typeof COST_KINDS)[number]
/** Where the hours go. */
export const WORK_TASKS = ['prepare', 'wrap', 'run', 'temper', 'finish'] as const
export type WorkTask = (typeof WORK_TASKS)[number]

/** Minutes of hands, where the shop has not said better. Common practice, no published source. */
export const TASK_MIN = {
  /** A blade: degreased, marked, measured. */
  preparePerBlade: 8,
  /** A blade of the hot run: loading, pull, press, count; and the run itself: setting up, watching. */
  runPerBlade: 5,
  runAside: 25,
  /** A temper: in, out, straightening. */
  temper: 12,
  /** A blade: scale off, bevels, surface, edge. */
  finishPerBlade: 50,
} as const

/** Electricity of one temper of about two hours in a bench oven, kWh, and belts for a blade. Common practice, no published source. */
export const TEMPER_KWH = 1.5
export const BELTS_PER_BLADE = 3

/** How far a quote may be off by the hours alone, as a share of the work. Common practice, no published source. */
export const QUOTE_WORK_SHARE = 0.2
