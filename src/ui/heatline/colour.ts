import type { Phase } from '../../core/trace/timeline'
import { kelvinFromC } from '../../core/units/temperature'

export type Rgb = readonly [r: number, g: number, b: number]

const lobe = (nm: number, centre: number, below: number, above: number) =>
  Math.exp(-0.5 * ((nm - centre) / (nm < centre ? below : above)) ** 2)

/** CIE 1931 colour-matching functions. Source: Wyman, Sloan and Shirley (2013), JCGT 2(2), multi-lobe fit. */
const matching = (nm: number): Rgb => [
  1.056 * lobe(nm, 599.8, 37.9, 31) + 0.362 * lobe(nm, 442, 16, 26.7) - 0.065 * lobe(nm, 501.1, 20.4, 26.2),
  0.821 * lobe(nm, 568.8, 46.9, 40.5) + 0.286 * lobe(nm, 530.9, 16.3, 31.1),
  1.217 * lobe(nm, 437, 11.8, 36) + 0.681 * lobe(nm, 459, 26, 13.8),
]

/** The visible, nm, with how the eye takes each wavelength: the same for every temperature. */
const VISIBLE = Array.from({ length: 81 }, (_, i) => {
  const nm = 380 + 5 * i
  return { nm, matched: matching(nm) }
})

/** Second radiation constant hc/k, nm·K (CODATA). */
const C2_NM_K = 1.438776877e7

/** Tristimulus values of a black body, in arbitrary but common units. */
export function planckXyz(tempC: number): Rgb {
  const kelvin = kelvinFromC(tempC)
  const sum: [number, number, number] = [0, 0, 0]
  for (const { nm, matched } of VISIBLE) {
    const radiance = (nm / 560) ** -5 / (Math.exp(C2_NM_K / (nm * kelvin)) - 1)
    sum[0] += radiance * matched[0]
    sum[1] += radiance * matched[1]
    sum[2] += radiance * matched[2]
  }
  return sum
}

/** Linear sRGB of a light with luminance 1, out-of-gamut parts cut. Source: IEC 61966-2-1 matrix. */
function linearOf([X, Y, Z]: Rgb): Rgb {
  const channel = (a: number, b: number, c: number) => Math.max(0, (a * X + b * Y + c * Z) / Y)
  return [
    channel(3.2404542, -1.5371385, -0.4985314),
    channel(-0.969266, 1.8760108, 0.041556),
    channel(0.0556434, -0.2040259, 1.0572252),
  ]
}

const encode = (linear: number) =>
  Math.round(255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055))

export const hex = (rgb: Rgb) =>
  `#${rgb.map(part => Math.min(255, Math.max(0, part)).toString(16).padStart(2, '0')).join('')}`

/**
 * How the eye takes glow: brightness grows as radiance to this power (an eye adapts; after Stevens), and bright
 * channels saturate, which carries the hue from red through orange to yellow. The exposure sets 1066 °C.
 */
const RESPONSE = { power: 0.39, exposure: 1.4, veil: 0.03, atC: 1066 }
const referenceY = planckXyz(RESPONSE.atC)[1]

const STEEL_GREY: Rgb = [0x8d, 0x85, 0x7c]
const ICE: Rgb = [0x8f, 0xd0, 0xf2]
/** Where glow is first seen and where it alone is seen, °C. Draper point 525 °C (798 K). */
const GLOW_FROM_C = 400
const GLOW_WHOLE_C = 580

/** A colour from what each of its channels is. */
const eachChannel = (of: (channel: 0 | 1 | 2) => number): Rgb => [of(0), of(1), of(2)]

const mix = (a: Rgb, b: Rgb, part: number): Rgb => eachChannel(i => Math.round(a[i] + (b[i] - a[i]) * part))

/** Glow by whole degrees: a curve asks for the same ones hundreds of times, and between two the eye sees none. */
const glows = new Map<number, Rgb>()

function glowRgb(tempC: number): Rgb {
  const wholeC = Math.round(tempC)
  const known = glows.get(wholeC)
  if (known) return known
  const xyz = planckXyz(wholeC)
  const bright = RESPONSE.exposure * (xyz[1] / referenceY) ** RESPONSE.power
  const linear = linearOf(xyz)
  const glow = eachChannel(i => encode(1 - Math.exp(-bright * (linear[i] + RESPONSE.veil * bright))))
  glows.set(wholeC, glow)
  return glow
}

/** Oxide tints of simple steel by temper temperature, °C. Source: common practice, no published source. */
const OXIDE: readonly (readonly [c: number, rgb: Rgb])[] = [
  [150, STEEL_GREY],
  [205, [0xe9, 0xd4, 0x9a]],
  [235, [0xdc, 0xa6, 0x40]],
  [260, [0xb0, 0x65, 0x2a]],
  [280, [0x8d, 0x4a, 0x86]],
  [300, [0x4d, 0x63, 0xad]],
  [330, [0x7f, 0xa9, 0xc6]],
  [420, STEEL_GREY],
]

function oxideRgb(tempC: number): Rgb {
  const upper = OXIDE.findIndex(([c]) => c >= tempC)
  const a = OXIDE[upper - 1]
  const b = OXIDE[upper]
  return a && b ? mix(a[1], b[1], (tempC - a[0]) / (b[0] - a[0])) : STEEL_GREY
}

/** Colour of the metal: glow when hot, ice below zero, grey between; oxide tints only in a temper's hold. */
export function heatRgb(tempC: number, phase: Phase): Rgb {
  if (phase === 'temper' && tempC < 420) return oxideRgb(tempC)
  if (tempC < 0) return mix(STEEL_GREY, ICE, Math.min(1, -tempC / 40))
  if (tempC < GLOW_FROM_C) return STEEL_GREY
  const part = Math.min(1, (tempC - GLOW_FROM_C) / (GLOW_WHOLE_C - GLOW_FROM_C))
  return mix(STEEL_GREY, glowRgb(tempC), part)
}

export const heatColour = (tempC: number, phase: Phase): string => hex(heatRgb(tempC, phase))

const linear = (part: number) => (part <= 10.31475 ? part / 3294.6 : ((part / 255 + 0.055) / 1.055) ** 2.4)
const luminance = ([r, g, b]: Rgb) => 0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b)

/** Contrast of two colours, 1 to 21. Source: WCAG 2.2, relative luminance. */
export const contrast = (a: Rgb, b: Rgb): number => {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number]
  return (high + 0.05) / (low + 0.05)
}

const SOOT: Rgb = [0x1c, 0x17, 0x13]
const BONE: Rgb = [0xf3, 0xe9, 0xda]
/** WCAG 2.2 AAA for large text. */
const LEGIBLE = 4.5

/** The glow of a temperature as a figure on soot: lightened no more than it takes to be read. */
export function figureColour(tempC: number): string {
  if (tempC < GLOW_WHOLE_C) return hex(BONE)
  const glow = glowRgb(tempC)
  for (let part = 0; part < 1; part += 0.05) {
    const mixed = mix(glow, BONE, part)
    if (contrast(mixed, SOOT) >= LEGIBLE) return hex(mixed)
  }
  return hex(BONE)
}
