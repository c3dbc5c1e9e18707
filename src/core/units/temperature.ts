/** 0 °C in kelvin (exact by definition, SI Brochure). */
export const ZERO_C_IN_K = 273.15

/** @example kelvinFromC(0) // 273.15 */
export const kelvinFromC = (celsius: number): number => celsius + ZERO_C_IN_K

/** @example fFromC(1065.5556) // 1950 */
export const fFromC = (celsius: number): number => celsius * 1.8 + 32

/** @example cFromF(1950) // 1065.56 */
export const cFromF = (fahrenheit: number): number => (fahrenheit - 32) / 1.8
