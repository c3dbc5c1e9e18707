import { STEFAN_BOLTZMANN } from '../../data/thermal'
import { kelvinFromC } from '../units/temperature'

/** Heat transfer without plates, W/m²K, and how much of a black body's glow leaves. Textbook values, from memory. */
export const MEDIA = {
  'still-air': { h: 8, emissivity: 0.8 },
  'fan-air': { h: 45, emissivity: 0.8 },
  oil: { h: 1000, emissivity: 0 },
} as const

/** Foil reflects glow back: what is left of it. Calibrated on the reference of blades in foil in still air. */
const FOIL_SHARE = 0.36

/** What a face loses without plates, W/m². Oil wets the blade itself: no foil. */
export function airLoss(c: number, medium: keyof typeof MEDIA, wrapped: boolean, ambientC: number): number {
  const { h, emissivity } = MEDIA[medium]
  const glow =
    emissivity * (wrapped ? FOIL_SHARE : 1) * STEFAN_BOLTZMANN * (kelvinFromC(c) ** 4 - kelvinFromC(ambientC) ** 4)
  return h * (c - ambientC) + glow
}
