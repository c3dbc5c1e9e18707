import { createContext, useContext } from 'react'
import { inShopUnits } from '../core/units/prose'
import type { System } from '../core/units/quantity'

const Units = createContext<System>('metric')
export const UnitsProvider = Units.Provider

/** Which units are shown: one setting of the workshop. Every field reads both. */
export const useSystem = (): System => useContext(Units)

/** A sentence of the core, in the workshop's units. */
export const Prose = ({ children }: { children: string }) => inShopUnits(children, useSystem())
