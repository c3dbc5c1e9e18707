import { SETUP_STEPS, type SetupStep } from '../../data/setup'
import type { Workshop } from './workshop'

/** A workshop with a step of its set-up said by the maker. */
export const withSaid = (shop: Workshop, step: SetupStep): Workshop =>
  shop.said.includes(step) ? shop : { ...shop, said: [...shop.said, step] }

/**
 * Returns the set-up steps that are not answered yet, in the order they are asked; none for a demo workshop. Prices that were entered
 * in the Workshop are answered.
 */
export const unsaidOf = ({ said, isDemo, prices }: Workshop): SetupStep[] =>
  isDemo ? [] : SETUP_STEPS.filter(step => !said.includes(step) && !(step === 'prices' && prices !== undefined))
