import { z } from 'zod'

// Zod's compiled validators use eval, which the content security policy refuses.
z.config({ jitless: true })

export const between = (min: number, max: number) => z.number().min(min).max(max)

/** Bounds of what the shop can mean; a value outside is a slip of the keys. Shared by fields, files and HTTP. */
export const BOUNDS = {
  austenitizeC: { min: 700, max: 1300 },
  temperC: { min: 50, max: 750 },
  coldC: { min: -200, max: 10 },
  soakMin: { min: 0.5, max: 600 },
  holdMin: { min: 1, max: 6000 },
  delayMin: { min: 0, max: 100_000 },
  hrc: { min: 20, max: 70 },
  bladeLengthMm: { min: 30, max: 900 },
  bladeWidthMm: { min: 5, max: 150 },
  bladeThicknessMm: { min: 0.5, max: 12 },
  bladeCount: { min: 1, max: 60 },
} as const

export const bounded = (name: keyof typeof BOUNDS) => between(BOUNDS[name].min, BOUNDS[name].max)

export const id = z.string().min(1).max(64)
export const text = (longest: number) => z.string().max(longest)
export const instant = z.iso.datetime()
