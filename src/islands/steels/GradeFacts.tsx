import { foilFor } from '../../core/foil/foil-type'
import { usualSoakMin } from '../../core/steel/usual'
import { formatQuantity, formatTemperature } from '../../core/units/quantity'
import type { CorrosionClass, Grade, QuenchNeed } from '../../data/grades'
import { useSay } from '../../ui/Units'
import { coldWhyWords } from '../../words/marked'
import { problemWords } from '../../words/problems'
import { useShopNow } from '../shop-context'

const QUENCH_WORDS: Readonly<Record<QuenchNeed, string>> = {
  plates: 'plates do it',
  'medium-oil': 'needs an oil bath; plates are too slow',
  'fast-oil': 'needs a fast oil; plates are far too slow',
}
const RUST_WORDS: Readonly<Record<CorrosionClass, string>> = {
  sea: 'stands salt water, rinsed now and then',
  kitchen: 'stands a wet kitchen',
  careful: 'spots if left wet',
  rusts: 'rusts unless oiled or dried',
}
const THICKNESSES_MM = [2, 3, 4, 5]

/** Every figure of a grade's sheet, each with where it is from. */
export function GradeFacts({ grade }: { grade: Grade }) {
  const say = useSay()
  const shop = useShopNow()
  const both = (c: number) => formatTemperature(c, shop.units)
  const time = (min: number) => formatQuantity(min, 'duration', shop.units)
  const foil = foilFor(grade.austenitize.maxC)
  const { anneal, chart } = grade
  const rows: readonly (readonly [name: string, value: string, source: string])[] = [
    [
      'Composition, wt%',
      Object.entries(grade.nominal)
        .map(([element, percent]) => {
          const range = grade.range[element as keyof typeof grade.range]
          return `${element} ${percent}${range ? ` (${range[0]} to ${range[1]})` : ''}`
        })
        .join(', '),
      grade.compositionSource,
    ],
    [
      'Preheat',
      grade.equalise.map(e => `${both(e.atC)} for ${e.holdMin} min`).join(', ') || 'none needed',
      'common practice, no published source',
    ],
    [
      'Austenitize',
      `${both(grade.austenitize.minC)} to ${both(grade.austenitize.maxC)}, usually ${both(grade.austenitize.defaultC)}`,
      grade.austenitize.source,
    ],
    [
      'Soak by thickness',
      `${THICKNESSES_MM.map(mm => `${formatQuantity(mm, 'length', shop.units)} ${usualSoakMin(grade, mm)} min`).join(', ')}, once the blade is there`,
      grade.soak.source,
    ],
    [
      'Quench',
      `${say.bare(800)} to ${say.t(500)} within ${grade.quench.slowest800to500S} s: ${QUENCH_WORDS[grade.quench.needs]}`,
      grade.quench.source,
    ],
    ['Cold', `${grade.cold.advice}: ${coldWhyWords(grade, say)}`, 'the model, and common practice'],
    ['Temper', `${both(grade.temper.minC)} to ${both(grade.temper.maxC)}`, grade.temper.source],
    [
      'Tempering chart',
      chart
        ? `${chart.points.map(([c, hrc]) => `${formatQuantity(c, 'temperature', shop.units)} ${hrc}`).join(', ')}; from ${both(chart.reference.austenitizeC)}, ${chart.reference.soakMin} min, ${chart.reference.coldToC === null ? 'no cold' : `cold ${both(chart.reference.coldToC)}`}, ${chart.reference.temperCount} × ${time(chart.reference.temperHoldMin)}`
        : 'none: from composition alone, so the band is wider',
      chart?.source ?? 'model',
    ],
    ['Magnet, A1', `${both(grade.a1.c)}: austenite begins; it loses its magnetism at about this`, grade.a1.source],
    [
      'Anneal',
      `${both(anneal.atC)} for ${time(anneal.holdMin)}, wrapped, then ${say.perHour(anneal.coolCPerH)} to ${both(anneal.downToC)}, oven off`,
      anneal.source,
    ],
    [
      'Stress relief',
      `${both(grade.stressRelief.atC)} for ${time(grade.stressRelief.holdMin)}, before hardening, if machined hard`,
      grade.stressRelief.source,
    ],
    [
      'Foil',
      foil.ok
        ? `type ${foil.value.name} to the top of its window`
        : foil.problems.map(found => problemWords(found, say)).join(' '),
      'common practice, no published source',
    ],
    ['Rust', RUST_WORDS[grade.corrosionClass], 'common practice, no published source'],
    ['Made as', grade.made === 'powder' ? 'atomised powder: fine carbides' : 'ingot', grade.compositionSource],
  ]
  return (
    <table className="sheet mt-4">
      <tbody>
        {rows.map(([name, value, source]) => (
          <tr key={name}>
            <th scope="row" className="w-36 !border-rule align-top">
              {name}
            </th>
            <td>
              {value}
              <span className="block text-note text-ink-2 italic">{source}</span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
