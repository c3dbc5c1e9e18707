import X from 'lucide-react/icons/x'
import { useMemo } from 'react'
import type { Recipe } from '../../core/shop/recipe'
import type { ComparedRoute } from '../../core/steel/compare-routes'
import { toughnessTendency } from '../../core/steel/toughness'
import { ovenHoursOf } from '../../core/trace/oven-time'
import { formatQuantity, formatTemperature, type System } from '../../core/units/quantity'
import type { Grade } from '../../data/grades'
import { useSay } from '../../ui/Units'
import { Working } from '../../ui/Working'
import { cautionWords } from '../../words/cautions'
import { versionShort } from '../../words/recipes'
import { bandText, hrcText, percentText } from '../../words/speaker'
import { toughnessText } from '../../words/steels'
import { useAnswer } from '../../workers/use-answer'
import type { DraftRoute, RecipeRoute } from './recipe-edit'
import { useRecipeLine } from './use-recipe-line'

interface Props {
  readonly drafts: readonly DraftRoute[]
  readonly compared: readonly ComparedRoute[]
  readonly activeKey: string
  readonly system: System
  readonly onActive: (key: string) => void
  readonly onRemove: (key: string) => void
}

/** Up to three routes side by side: what each gives, and what each costs. */
export function CompareTable({ drafts, compared, activeKey, system, onActive, onRemove }: Props) {
  const say = useSay()
  const isOfOneSteel = new Set(drafts.map(({ grade }) => grade.id)).size === 1
  const t = (c: number) => formatTemperature(c, system)
  const rows: readonly (readonly [label: string, cell: (route: ComparedRoute) => React.ReactNode])[] = [
    ['Soak', r => `${t(r.route.austenitizeC)}, ${Math.round(r.route.soakMin)} min`],
    ['Cold', r => (r.route.cold ? formatQuantity(r.route.cold.toC, 'temperature', system) : 'none')],
    [
      'Temper',
      r =>
        r.route.tempers
          .map(x => t(x.atC))
          .filter((x, i, all) => all.indexOf(x) === i)
          .join(', ') || 'none',
    ],
    [
      'HRC',
      r => (
        <>
          <span className="figure text-figure-small">{hrcText(r.prediction.finalHrc.mean)}</span>{' '}
          {bandText(r.prediction.finalHrc.sd)} <Working of={`Hardness of ${r.name}`} lines={r.prediction.working} />
        </>
      ),
    ],
    [
      'Without your readings',
      r =>
        r.prediction.shop ? `${hrcText(r.prediction.chartHrc.mean)} ${bandText(r.prediction.chartHrc.sd)}` : 'the same',
    ],
    ['Retained austenite', r => percentText(r.prediction.retainedAustenite.final)],
    [
      'Chromium in solution',
      r =>
        `${r.prediction.austenite.Cr.toFixed(1)} %${r.prediction.corrosion.temperPenalty > 0 ? `, ${percentText(r.prediction.corrosion.temperPenalty)} robbed` : ''}`,
    ],
    ['Toughness (0 to 10)', r => toughnessText(toughnessTendency(r.prediction))],
    [
      'Oven time',
      r => {
        const draft = drafts.find(({ key }) => key === r.name)
        return draft && <OvenTime route={draft.route} grade={draft.grade} />
      },
    ],
    // The whole log is looked through for it: only where routes are compared.
    ...(drafts.length > 1
      ? [
          [
            'Measured',
            (r: ComparedRoute) => {
              const from = drafts.find(({ key }) => key === r.name)?.from
              return from ? <Measured {...from} /> : '—'
            },
          ] as const,
        ]
      : []),
    ...(compared.some(r => r.prediction.cautions.length > 0)
      ? [
          [
            'Warnings',
            (r: ComparedRoute) =>
              r.prediction.cautions
                .slice(0, 1)
                .map(one => cautionWords(one, say))
                .join() || 'nothing',
          ] as const,
        ]
      : []),
  ]
  return (
    <table className="sheet table-fixed text-small">
      <thead>
        <tr>
          <th className="w-24">
            <span className="sr-only">Figure</span>
          </th>
          {drafts.length === 0 && <th className="!font-normal text-left text-ink-2">Computing the figures …</th>}
          {drafts.map(d => (
            <th key={d.key} scope="col">
              <span className="flex items-center gap-1">
                <button
                  type="button"
                  aria-pressed={d.key === activeKey}
                  className="min-h-row text-left text-ink"
                  onClick={() => onActive(d.key)}
                >
                  <strong className={d.key === activeKey ? 'text-ember' : undefined}>{d.key}</strong> {d.label}
                  {!isOfOneSteel && <span className="block font-normal">{d.grade.name}</span>}
                </button>
                {d.key !== 'A' && (
                  <button
                    type="button"
                    className="grid h-9 w-7 place-items-center"
                    aria-label={`Remove ${d.key}`}
                    onClick={() => onRemove(d.key)}
                  >
                    <X size={14} aria-hidden="true" />
                  </button>
                )}
              </span>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([label, cell]) => (
          <tr key={label}>
            <th scope="row" className="w-24 !border-rule !py-1 align-top">
              {label}
            </th>
            {compared.map(route => (
              <td key={route.name} className="!py-1 align-top">
                {cell(route)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** Shows what came of a version of a recipe where it was used and measured. */
function Measured({ recipe, number }: { recipe: Recipe; number: number }) {
  const outcomes = useAnswer(
    'recipe-versions',
    useMemo(() => ({ recipe }), [recipe]),
  )
  const found = outcomes?.ok ? outcomes.value.find(one => one.number === number) : null
  return <>{found ? versionShort(found) : outcomes ? 'not yet' : '…'}</>
}

/** How long the plan above it takes the oven, its climb and its tempers included. */
function OvenTime({ route, grade }: { route: RecipeRoute; grade: Grade }) {
  const line = useRecipeLine(route, grade)
  return line?.ok ? <>{ovenHoursOf(line.value).toFixed(1)} h</> : null
}
