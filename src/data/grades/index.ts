import type { Grade } from './grade'
import { LOW_ALLOY } from './low-alloy'
import { POWDER } from './powder'
import { STAINLESS } from './stainless'
import { TOOL_STEELS } from './tool-steel'

export type * from './grade'
export { CORROSION_CLASSES, ELEMENTS, GRADE_FAMILIES, QUENCH_NEEDS } from './grade'

/** Grades shipped with the application. Every figure names its source; 'from memory' is a recalled value. */
export const GRADES: readonly Grade[] = [...STAINLESS, ...POWDER, ...TOOL_STEELS, ...LOW_ALLOY]
