import { foilFor } from '../core/foil/foil-type'
import { halfWidth95 } from '../core/numeric/coverage'
import type { Recipe } from '../core/shop/recipe'
import type { PlannedRoute } from '../core/shop/route'
import type { Prediction } from '../core/steel/predict'
import { usualSoakMin } from '../core/steel/usual'
import type { Grade } from '../data/grades'
import { cautionWords } from './cautions'
import { coldWhyWords } from './marked'
import { problemWords } from './problems'
import type { Speaker } from './speaker'

/** Thicknesses a card gives the soak for, mm. */
export const CARD_THICKNESSES_MM = [2, 3, 4, 5] as const

export const CARD_CAUTION =
  'Face shield, gauntlets, nothing that burns within reach; cold only with air moving. Local codes, the supplier’s safety sheet and licensed trades come first.'

/** One line of a card: what is done, at what, and for how long or what it should read. */
export type RecipeStep = readonly [what: string, at: string, then: string]

const band = (e: { readonly mean: number; readonly sd: number } | null | undefined): string =>
  e ? `${e.mean.toFixed(1)} ± ${(halfWidth95(e.sd)).toFixed(1)}` : ''

/** A recipe step by step, temperatures in both scales. */
export const recipeSteps = (grade: Grade, route: PlannedRoute, { hrc }: Prediction, say: Speaker): RecipeStep[] => [
  ...grade.equalise.map(
    (e, i): RecipeStep => [`Preheat ${i + 1}`, say.keyed(e.atC), `${say.minutes(e.holdMin)}, until even`],
  ),
  ['Soak', say.keyed(route.austenitizeC), `${say.minutes(route.soakMin)} once the blade is there`],
  [
    'Quench',
    'plates, clamped at once',
    `${say.bare(800)} to ${say.t(500)} within ${grade.quench.slowest800to500S} s; reads ${band(hrc.asQuenched)}`,
  ],
  ...(route.cold
    ? [
        [
          'Cold',
          say.keyed(route.cold.toC),
          `${say.minutes(route.cold.holdMin)}, straight after the quench; reads ${band(hrc.afterCold)}`,
        ] as const,
      ]
    : []),
  ...route.tempers.map(
    (t, i): RecipeStep => [
      `Temper ${i + 1}`,
      say.keyed(t.atC),
      `${say.minutes(t.holdMin)}, then cool to room; reads ${band(hrc.afterTempers[i])}`,
    ],
  ),
]

/** Notes beside the steps, a sentence each. */
export function recipeNotes(grade: Grade, route: PlannedRoute, p: Prediction, say: Speaker): string[] {
  const foil = foilFor(route.austenitizeC)
  return [
    foil.ok ? `Foil type ${foil.value.name}.` : foil.problems.map(found => problemWords(found, say)).join(' '),
    `Cold: ${grade.cold.advice}. ${coldWhyWords(grade, say)}`,
    `${Math.round(p.retainedAustenite.final * 100)} % retained austenite, ${p.austenite.Cr.toFixed(1)} % chromium in solution.`,
    `Grinding must stay below ${say.keyed(route.tempers.at(-1)?.atC ?? 150)}.`,
    ...p.cautions.map(c => cautionWords(c, say)),
  ]
}

interface Card {
  readonly recipe: Recipe
  readonly grade: Grade
  readonly prediction: Prediction
}

/** Escapes the signs of Markdown. */
const plain = (text: string): string => text.replace(/[\\`*_{}[\]<>#|~]/g, sign => `\\${sign}`).replace(/\s+/g, ' ')

/** The card of a recipe's newest version as Markdown: the same words as on paper. */
export function recipeMarkdown({ recipe, grade, prediction: p }: Card, say: Speaker): string {
  const latest = recipe.versions.at(-1)
  if (!latest) throw new RangeError('a recipe without a version')
  const { route } = latest
  const row = (cells: readonly string[]) => `| ${cells.map(plain).join(' | ')} |`
  return [
    `# ${plain(recipe.name)}`,
    '',
    `${plain([grade.name, ...grade.alsoNamed].join(', '))}, version ${latest.number}, ${latest.at.slice(0, 10)}.`,
    `${band(p.finalHrc)} HRC, target ${recipe.target.min} to ${recipe.target.max}.`,
    '',
    row(['Step', 'At', 'For, and what it should read (HRC)']),
    '| --- | --- | --- |',
    ...recipeSteps(grade, route, p, say).map(row),
    '',
    row(['Thickness', 'Soak']),
    '| --- | --- |',
    ...CARD_THICKNESSES_MM.map(mm => row([say.length(mm), say.minutes(usualSoakMin(grade, mm))])),
    '',
    ...recipeNotes(grade, route, p, say).map(note => `- ${plain(note)}`),
    '',
    `This version: ${plain(latest.why)}`,
    '',
    `> ${CARD_CAUTION}`,
    '',
  ].join('\n')
}
