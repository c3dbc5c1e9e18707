/** 0 °C in kelvin (exact by definition, SI Brochure). */
export const ZERO_C_IN_K = 273.15

/** @example kelvinFromC(0) // 273.15 */
export const kelvinFromC = (celsius: number): number => celsius + ZERO_C_IN_K

/** @example fFromC(1065.5556) // 1950 */
export const fFromC = (celsius: number): number => celsius * 1.8 + 32

/** @example cFromF(1950) // 1065.56 */
export const cFromF = (fahrenheit: number): number => (fahrenheit - 32) / 1.8

/** Returns the function that converts a temperature difference from kelvin to the degrees of a system of units. */
export const differenceIn = (system: 'metric' | 'imperial') => (k: number) => (system === 'metric' ? k : k * 1.8)

/** Returns the function that converts a temperature difference from the degrees of a system of units to kelvin. */
export const kelvinFrom = (system: 'metric' | 'imperial') => (degrees: number) =>
  system === 'metric' ? degrees : degrees / 1.8
