import type { Prediction } from '../core/steel/predict'
import { counted } from './lists'
import { bandText } from './speaker'

/** How far a figure is to be trusted: a mark to see at a glance, and the sentence behind it. */
export interface Trust {
  readonly mark: string
  readonly says: string
}

/** Families of steel, as they are named in a sentence. */
const FAMILIES: Readonly<Record<Prediction['restsOn']['family'], string>> = {
  stainless: 'stainless steels',
  'stainless-lean': 'stainless steels lean in carbon or with nitrogen',
  'stainless-powder': 'stainless powder steels',
  'air-hardening': 'air-hardening tool steels',
  'vanadium-rich': 'vanadium-rich steels',
  'high-speed': 'high-speed steels',
  'low-alloy': 'low-alloy steels',
}

/** Families on which the model is off by most. */
const WEAKEST: ReadonlySet<Prediction['restsOn']['family']> = new Set(['vanadium-rich', 'stainless-lean'])

/** With fewer steels than this to try it on, an error is little more than a guess. */
const FEW_STEELS = 3

/** Says the basis of a predicted hardness: readings of this shop, the grade’s chart, or the model alone. */
export function trustOf({ shop, restsOn }: Pick<Prediction, 'shop' | 'restsOn'>): Trust {
  if (shop)
    return {
      mark: 'measured here',
      says:
        shop.readings > 0
          ? `It rests on ${counted(shop.readings, 'reading')} of this steel in your shop.`
          : 'It rests on your readings of other steels in the same oven.',
    }
  const { on, family, sdHrc, steels, recalled } = restsOn
  const error = bandText(sdHrc)
  if (on === 'chart')
    return {
      mark: recalled ? 'chart, from memory' : 'chart',
      says: `It rests on the grade’s tempering chart${
        recalled ? ', whose values are recalled and not yet looked up' : ''
      }. Away from the chart’s own route it was right within ${error} HRC 95 times in 100. Your own readings will narrow it.`,
    }
  return {
    mark: 'model',
    says: `No chart: it is worked out from the composition. On ${FAMILIES[family]} that were left out of the fit it was right within ${error} HRC 95 times in 100.${
      WEAKEST.has(family) ? ' Of all families the model knows these least: aim by readings of your own.' : ''
    }${
      steels < FEW_STEELS ? ` Only ${counted(steels, 'such steel')} could be tried: take it as a guess.` : ''
    } Your own readings will narrow it.`,
  }
}

/** The mark of a hardness that was read, or felt with files. */
export const measuredTrust = (by: 'readings' | 'files'): Trust =>
  by === 'readings'
    ? { mark: 'measured here', says: 'It was read with your tester.' }
    : { mark: 'by files', says: 'It was felt with files, and weighed with what was predicted.' }
