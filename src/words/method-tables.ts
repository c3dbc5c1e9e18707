import { type Calibration, type HeldOut, rms } from '../core/calibrate/calibrate'
import type { FamilyError } from '../core/calibrate/error-model'
import { chartedHrc, modelFigure } from '../core/calibrate/model-figure'
import { MODEL_FAMILIES, STEEL_FACTS, type SteelFact } from '../data/steel-facts'
import { FITTED } from '../data/steel-fitted'

const DIGITS: Readonly<Record<SteelFact['figure'], number>> = {
  hrc: 1,
  retained: 2,
  carbon: 2,
  chromium: 1,
  carbide: 3,
}

const FIGURES: Readonly<Record<SteelFact['figure'], string>> = {
  hrc: 'HRC',
  retained: 'retained austenite',
  carbon: '% C in solution',
  chromium: '% Cr in solution',
  carbide: 'carbide',
}

const signed = (value: number, digits: number) => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(digits)}`
const plain = (value: number | null, digits: number) => (value === null ? '' : value.toFixed(digits))

const routeText = ({ austenitizeC, soakMin, coldToC, tempersC }: SteelFact) =>
  [
    `${austenitizeC} °C ${soakMin} min`,
    ...(coldToC === null ? [] : [`cold ${coldToC} °C`.replace('-', '−')]),
    tempersC.map(c => `${c} °C`).join(' + ') || 'untempered',
  ].join(', ')

const table = (head: readonly string[], rows: readonly (readonly string[])[]) =>
  [head, head.map(() => '---'), ...rows].map(cells => `| ${cells.join(' | ')} |`).join('\n')

/** Every stated figure beside what the model says now, as the Markdown table of docs/method.md; chart points left out. */
export const factTable = (): string =>
  table(
    ['steel', 'route', 'figure', 'stated', 'model', 'off', 'on its chart', 'use', 'source'],
    STEEL_FACTS.filter(fact => !fact.onChart).map(fact => {
      const digits = DIGITS[fact.figure]
      const model = modelFigure(fact)
      return [
        fact.steel,
        routeText(fact),
        FIGURES[fact.figure],
        String(fact.stated),
        model.toFixed(digits),
        signed(model - fact.stated, digits),
        plain(chartedHrc(fact), 1),
        fact.use,
        fact.source,
      ]
    }),
  )

const errorRow = (name: string, inSample: number | null, error: FamilyError): string[] => [
  name,
  `${error.figures} of ${error.steels} steel${error.steels === 1 ? '' : 's'}`,
  plain(inSample, 2),
  error.rmsHrc.toFixed(2),
  error.sdHrc.toFixed(2),
  `${Math.round(100 * error.held)} %`,
  error.widthHrc.toFixed(1),
]

const errorsOf = (rows: readonly HeldOut[]) => rows.map(({ fact, model }) => model - fact.stated)

/** Returns a calibration's errors as Markdown: by family, by steel left out, and the frozen set apart. */
export function heldOutTables(calibration: Calibration, inSampleOf: (fact: SteelFact) => number): string {
  const hardness = STEEL_FACTS.filter(fact => fact.figure === 'hrc')
  const inSample = (family: string) =>
    rms(hardness.filter(f => f.use === 'fit' && f.family === family).map(f => inSampleOf(f) - f.stated))
  const byFamily = table(
    [
      'family',
      'figures',
      'fitted, RMS HRC',
      'left out, RMS HRC',
      'near a known figure, 1 σ HRC',
      '90 % band holds',
      'its width, HRC',
    ],
    [
      ...MODEL_FAMILIES.map(family => errorRow(family, inSample(family), calibration.errors.families[family])),
      errorRow('a grade on its own chart, off the chart’s route', null, calibration.errors.charted),
    ],
  )
  const steels = [...new Set(hardness.filter(f => f.use === 'fit').map(f => f.steel))]
  const bySteel = table(
    ['steel left out', 'family', 'figures', 'RMS HRC', 'mean HRC'],
    steels.map(steel => {
      const rows = calibration.heldOut.filter(
        ({ fact }) => fact.steel === steel && fact.figure === 'hrc' && fact.use === 'fit',
      )
      const errors = errorsOf(rows)
      return [
        steel,
        rows[0]?.fact.family ?? '',
        String(errors.length),
        rms(errors).toFixed(2),
        signed(errors.reduce((a, b) => a + b, 0) / errors.length, 2),
      ]
    }),
  )
  const frozen = hardness.filter(f => f.use === 'frozen')
  const off = frozen.map(f => inSampleOf(f) - f.stated)
  return [
    byFamily,
    bySteel,
    `One step away from what is known adds ${calibration.errors.farHrc.toFixed(2)} HRC in quadrature.`,
    `Frozen set: ${frozen.length} figures of ${new Set(frozen.map(f => f.steel)).size} steels, RMS ${rms(off).toFixed(2)} HRC, largest ${Math.max(...off.map(Math.abs)).toFixed(1)}.`,
  ].join('\n\n')
}

/** The source of `src/data/steel-fitted.ts`: constants and the errors the bands are drawn with. */
export function fittedSource({ constants, errors, known }: Calibration): string {
  const lines = (entries: readonly (readonly [string, string])[]) =>
    entries.map(([name, value]) => `  ${/^[a-z]+$/i.test(name) ? name : `'${name}'`}: ${value},`)
  return [
    '// Written by `npm run calibrate`: not by hand.',
    '',
    '/** Fitted constants of STEEL_MODEL, by their place in it. */',
    'export const FITTED = {',
    ...lines(Object.keys(FITTED).map(name => [name, String(Reflect.get(constants, name))] as const)),
    '}',
    '',
    '/** The model’s own error on steels it has not seen, near a figure it has: one standard deviation, HRC, and what it rests on. */',
    'export const HELD_OUT = {',
    ...lines(
      Object.entries({ ...errors.families, charted: errors.charted }).map(
        ([name, { sdHrc, figures, steels }]) =>
          [name, `{ sdHrc: ${sdHrc}, figures: ${figures}, steels: ${steels} }`] as const,
      ),
    ),
    '} as const',
    '',
    '/** Further error for each step away from the nearest known figure, in quadrature, HRC. */',
    `export const FAR_HRC = ${errors.farHrc}`,
    '',
    '/** Figures the constants were fitted to: C, Cr, Mo + W/2, V, N, austenitize °C, tempering parameter. */',
    'export const KNOWN: readonly (readonly [number, number, number, number, number, number, number])[] = [',
    ...[...new Set(known.map(place => place.map(value => Number(value.toPrecision(4))).join(', ')))].map(
      place => `  [${place}],`,
    ),
    ']',
    '',
  ].join('\n')
}
