import type { Composition, CompositionRange, CorrosionClass, Element, Grade } from './grade'
import { FULL_ANNEAL, MEMORY, PRACTICE, STRESS_RELIEF } from './sources'

/** Half the usual width of a mill's range about the nominal: a share of it, and at the least so much, wt%. */
const WIDTH: Readonly<Partial<Record<Element, readonly [share: number, least: number]>>> = {
  C: [0.05, 0.04],
  N: [0.25, 0.02],
  Cr: [0.04, 0.4],
  Mo: [0.1, 0.1],
  V: [0.08, 0.1],
  W: [0.1, 0.1],
  Nb: [0.15, 0.05],
  Ni: [0.1, 0.1],
  Co: [0.1, 0.1],
}

/** A mill's range about a nominal composition, wt%: silicon and manganese up to 1, or a quarter over the nominal. */
export function usualRange(nominal: Composition): CompositionRange {
  const upTo = (value = 0) => [0, Math.max(1, Number((1.25 * value).toFixed(2)))] as const
  const range: Partial<Record<Element, readonly [number, number]>> = { Si: upTo(nominal.Si), Mn: upTo(nominal.Mn) }
  for (const [element, value] of Object.entries(nominal) as [Element, number][]) {
    const width = WIDTH[element]
    if (!width) continue
    const half = Math.max(width[0] * value, width[1])
    range[element] = [Number(Math.max(0, value - half).toFixed(2)), Number((value + half).toFixed(2))]
  }
  return range
}

export const USUAL_RANGE = `nominal ${MEMORY}; range by the usual width of a mill`
const WINDOW = `usual practice for steel of this composition, ${MEMORY}`

interface Brief {
  readonly name: string
  readonly nominal: Composition
  /** Coolest, usual and hottest soak, °C. */
  readonly soakC: readonly [number, number, number]
  readonly soakMin?: readonly [number, number]
  readonly temperC: readonly [number, number]
  readonly hrc: readonly [number, number]
  readonly corrosion: CorrosionClass
  readonly cold?: Grade['cold']
  readonly note: string
}

const COLD: Grade['cold'] = { advice: 'worth it', why: 'A point or two: much austenite is left after a hot soak.' }
const TEMPERS_DO: Grade['cold'] = {
  advice: 'no use',
  why: 'Its tempers near {540C} turn the austenite that is left; cold only matters before low tempers.',
}

/** An air-hardening grade from what sets it apart; plates harden it, and the rest is as for any high-alloy steel. */
export const airHardening = ({
  name,
  nominal,
  soakC,
  soakMin = [15, 30],
  temperC,
  hrc,
  corrosion,
  cold = COLD,
  note,
  made = 'powder',
  family = 'stainless',
}: Brief & Partial<Pick<Grade, 'made' | 'family'>>): Grade => ({
  id: name,
  name,
  alsoNamed: [],
  family,
  made,
  nominal: { ...nominal, Si: nominal.Si ?? 0.5, Mn: nominal.Mn ?? 0.4 },
  range: usualRange(nominal),
  compositionSource: USUAL_RANGE,
  austenitize: { minC: soakC[0], defaultC: soakC[1], maxC: soakC[2], source: WINDOW },
  soak: { minMin: soakMin[0], maxMin: soakMin[1], source: PRACTICE },
  equalise: [{ atC: 790, holdMin: 10 }],
  temper: { minC: temperC[0], maxC: temperC[1], source: WINDOW },
  quench: { slowest800to500S: 90, needs: 'plates', source: `air-hardening to several millimetres, ${MEMORY}` },
  cold,
  chart: null,
  a1: { c: 830, source: MEMORY },
  anneal: FULL_ANNEAL,
  stressRelief: STRESS_RELIEF,
  corrosionClass: corrosion,
  usualTarget: { minHrc: hrc[0], maxHrc: hrc[1] },
  note,
})

const HIGH_ALLOY = { family: 'high-alloy', cold: TEMPERS_DO, corrosion: 'rusts' } as const

/** Steels of atomised powder: finer carbide than their ingot kin, named by composition. No chart: by the model, until read here. */
export const POWDER: readonly Grade[] = [
  airHardening({
    name: 'X105CrMo14-4 powder',
    nominal: { C: 1.05, Cr: 14, Mo: 4 },
    soakC: [1040, 1065, 1090],
    temperC: [150, 260],
    hrc: [60, 62],
    corrosion: 'kitchen',
    note: 'The ingot grade with finer carbide: takes a thinner edge and grinds more evenly.',
  }),
  airHardening({
    name: 'X145CrVMo14-4-2',
    nominal: { C: 1.45, Cr: 14, V: 4, Mo: 2 },
    soakC: [1040, 1066, 1120],
    temperC: [150, 260],
    hrc: [59.5, 61.5],
    corrosion: 'kitchen',
    note: 'Wears well at the edge; slow on the grinder once hard.',
  }),
  airHardening({
    name: 'X138CrVMo14-3-2',
    nominal: { C: 1.38, Cr: 14, V: 3, Mo: 2, Nb: 0.5 },
    soakC: [1040, 1066, 1120],
    temperC: [150, 260],
    hrc: [59, 61],
    corrosion: 'kitchen',
    note: 'A tougher, easier cousin of the 4 % vanadium grade.',
  }),
  airHardening({
    name: 'X148CrVMo16-3-2',
    nominal: { C: 1.48, N: 0.15, Cr: 16, V: 3, Mo: 2, Nb: 0.5 },
    soakC: [1040, 1066, 1120],
    temperC: [150, 260],
    hrc: [59.5, 61.5],
    corrosion: 'kitchen',
    note: 'More chromium and some nitrogen: stands water better for the same edge.',
  }),
  airHardening({
    name: 'X160CrMoV16-1',
    nominal: { C: 1.6, Cr: 16, Mo: 1, V: 0.4 },
    soakC: [1040, 1070, 1100],
    temperC: [150, 260],
    hrc: [60, 62],
    corrosion: 'careful',
    note: 'Much chromium carbide in a fine powder; wears well and holds less chromium free than its name says.',
  }),
  airHardening({
    name: 'X170CrVMo18-3-1',
    nominal: { C: 1.7, Cr: 18, V: 3, Mo: 1, Si: 0.8, Mn: 0.3 },
    soakC: [1050, 1080, 1110],
    temperC: [150, 260],
    hrc: [59, 61],
    corrosion: 'kitchen',
    note: 'Wears very well and stays stainless; cold adds a point.',
  }),
  airHardening({
    name: 'X190CrVMo20-4-1',
    nominal: { C: 1.9, Cr: 20, V: 4, Mo: 1, W: 0.6, Si: 0.7, Mn: 0.3 },
    soakC: [1080, 1120, 1170],
    temperC: [150, 260],
    hrc: [59.5, 61.5],
    corrosion: 'kitchen',
    note: 'The richest of the stainless powders: long wear, little toughness to spare. Needs a hot oven and foil that stands it.',
  }),
  airHardening({
    name: 'X115CrVMoNb11-4-2-2',
    nominal: { C: 1.15, N: 0.2, Cr: 10.7, V: 4, Mo: 2, Nb: 2 },
    soakC: [1065, 1120, 1175],
    temperC: [150, 230],
    hrc: [60.5, 62.5],
    corrosion: 'kitchen',
    note: 'Its carbides are all hard and fine: no chromium carbide is left at {1120C}, so little chromium does much.',
  }),
  airHardening({
    name: 'X230CrVMo14-9-1',
    nominal: { C: 2.3, Cr: 14, V: 9, Mo: 1 },
    soakC: [1066, 1120, 1175],
    temperC: [150, 260],
    hrc: [58, 60.5],
    corrosion: 'careful',
    note: 'Wear above all; hard to grind, and the model knows its like least.',
  }),
  airHardening({
    ...HIGH_ALLOY,
    name: 'X80CrVMo8-3-1',
    nominal: { C: 0.8, Cr: 7.5, V: 2.75, Mo: 1.3, Si: 0.9 },
    soakC: [1024, 1066, 1120],
    temperC: [510, 560],
    hrc: [57.5, 60],
    note: 'Very tough: for choppers and big blades. Three tempers near {540C}.',
  }),
  airHardening({
    ...HIGH_ALLOY,
    name: 'X110CrVMoW8-2-2-1',
    nominal: { C: 1.1, Cr: 7.5, V: 2.4, Mo: 1.6, W: 1.15, Si: 0.9 },
    soakC: [1010, 1066, 1120],
    temperC: [510, 560],
    hrc: [60, 62],
    note: 'Tough and wearing, between tool and high-speed steel. Three tempers near {540C}.',
  }),
  airHardening({
    ...HIGH_ALLOY,
    name: 'X140CrVMo5-4-4',
    nominal: { C: 1.4, Cr: 4.7, V: 3.7, Mo: 3.5 },
    soakC: [1020, 1090, 1150],
    temperC: [510, 560],
    hrc: [60.5, 63],
    note: 'Tough for its wear; rusts quickly. Three tempers near {525C}.',
  }),
  airHardening({
    ...HIGH_ALLOY,
    name: 'X245VCrMo10-5-1',
    nominal: { C: 2.45, V: 9.75, Cr: 5.25, Mo: 1.3, Si: 0.9, Mn: 0.5 },
    soakC: [1066, 1121, 1177],
    temperC: [510, 565],
    hrc: [60, 63],
    note: 'A third of its hardness is vanadium carbide: cuts abrasive things for very long, and hardly lets itself be ground.',
  }),
  airHardening({
    ...HIGH_ALLOY,
    name: 'HS6-5-3 powder',
    nominal: { C: 1.28, Cr: 4.1, Mo: 5, W: 6.4, V: 3.1, Mn: 0.3 },
    soakC: [1050, 1150, 1180],
    soakMin: [5, 15],
    temperC: [540, 600],
    hrc: [62.5, 65.5],
    note: 'High-speed steel: three tempers near {560C}, and an oven that reaches {1150C}.',
  }),
]
