import { createContext, useContext, useMemo } from 'react'
import type { System } from '../core/units/quantity'
import { type Speaker, speakerOf } from '../words/speaker'

const Units = createContext<System>('metric')
export const UnitsProvider = Units.Provider

const Currency = createContext<string | undefined>(undefined)
/** The shop's currency, a code of ISO 4217; none until it was asked. */
export const CurrencyProvider = Currency.Provider

/** Which units are shown: one setting of the workshop. Every field reads both. */
export const useSystem = (): System => useContext(Units)

/** Says quantities in the workshop's units. */
export function useSay(): Speaker {
  const system = useSystem()
  const currency = useContext(Currency)
  return useMemo(() => speakerOf(system, currency), [system, currency])
}
