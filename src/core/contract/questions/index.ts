import { advise } from './advise'
import { cold } from './cold'
import { foil } from './foil'
import { oven } from './oven'
import { predict } from './predict'
import { quench } from './quench'
import { rockwell } from './rockwell'

/** Every question served over HTTP, by the name of its path. */
export const QUESTIONS = { predict, quench, foil, oven, cold, rockwell, advise } as const
