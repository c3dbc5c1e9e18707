import { type Figure, figure } from '../codes/figure'
import type { Estimate } from '../codes/result'
import type { TargetHrc } from '../rockwell/target'
import { chance } from './stage-reading'

/** Returns the probability that a hardness known as a normal estimate lies within a target, 0..1. */
export const chanceInTarget = (hrc: Estimate, target: TargetHrc): Figure =>
  figure('chance-in-target', chance(hrc, target), 'share', { min: target.min, max: target.max })
