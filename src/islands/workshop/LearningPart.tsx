import { NOTHING } from '../../core/codes/said'
import { gradesWith } from '../../core/steel/grades'
import { useOwnGrades } from '../../store/hooks'
import { SelectField } from '../../ui/PlainFields'
import { Problems } from '../../ui/Problems'
import { learntWords, strangeWords } from '../../words/learning'
import { useAnswer } from '../../workers/use-answer'
import { useShopNow } from '../shop-context'
import type { EditShop } from './edit-shop'

interface Props {
  readonly edit: EditShop
}

/** Whether the shop's own readings correct its predictions, and whether that helps. */
export function LearningPart({ edit }: Props) {
  const shop = useShopNow()
  const answer = useAnswer('learn', NOTHING)
  const fit = answer?.ok ? answer.value : undefined
  const own = useOwnGrades() ?? []
  const nameOf = (id: string) => gradesWith(own).find(g => g.id === id)?.name ?? 'a grade that is gone'
  return (
    <>
      <SelectField
        label="Your own readings"
        value={shop.learning === false ? 'off' : 'on'}
        options={[
          ['on', 'correct the charts where that helps'],
          ['off', 'are kept, but correct nothing'],
        ]}
        onCommit={v => edit({ learning: v === 'on' })}
      />
      {answer === undefined && <p className="text-note text-ink-2">Reading the log …</p>}
      {fit === null && (
        <p className="text-note text-ink-2">
          There is nothing to learn from yet: log readings at a batch’s Measure bench.
        </p>
      )}
      {fit && (
        <table className="sheet text-small">
          <caption className="text-left text-note text-ink-2">
            Error on batches left out of the learning, HRC (typical)
          </caption>
          <thead>
            <tr>
              <th>Steel</th>
              <th>Readings</th>
              <th>Without yours</th>
              <th>With yours</th>
            </tr>
          </thead>
          <tbody>
            {[
              ['all', fit.heldOut] as const,
              ...Object.entries(fit.byGrade).map(([id, held]) => [nameOf(id), held] as const),
            ].map(([name, held]) => (
              <tr key={name}>
                <td className="!py-1">{name}</td>
                <td className="!py-1">{held.readings}</td>
                <td className="!py-1">{held.chart.toFixed(2)}</td>
                <td className={`!py-1 ${held.shop < held.chart ? 'font-semibold' : ''}`}>{held.shop.toFixed(2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {answer && !answer.ok && <Problems of={answer.problems} />}
      {fit?.strange.map(one => (
        <p key={one.gradeId} className="text-small text-warn">
          {strangeWords(one, nameOf(one.gradeId))}
        </p>
      ))}
      {fit && <p className="text-note text-ink-2">{learntWords(fit)}</p>}
    </>
  )
}
