import { costOf, toughnessOf } from '../../../../core/advice/option-cost'
import type { FirstReason } from '../../../../core/advice/order'
import { sameTemper } from '../../../../core/batch/added-temper'
import type { Temper } from '../../../../core/shop/route'
import type { Workshop } from '../../../../core/shop/workshop'
import { formatTemperature } from '../../../../core/units/quantity'
import { Warnings } from '../../../../ui/Bench'
import { useSay } from '../../../../ui/Units'
import { firstWords, nothingHelps, stepsOf, TOUGHNESS_WORDS, whyWords } from '../../../../words/advice'
import { bandText, holdText, hrcText, percentText, type Speaker } from '../../../../words/speaker'
import { optionText, TAKE_WORDS } from '../../../../words/verdict'
import { useBench } from '../../bench-context'
import type { Option } from './take-option'

interface Props {
  readonly options: readonly Option[]
  readonly first: FirstReason | null
  readonly onTake: (option: Option) => void
  readonly measuredHrc: number
  /** Whether what was measured is kept as it is. */
  readonly accepted: boolean
  /** The temper that was decided on and waits in the route; null where none does. */
  readonly waiting: Temper | null
  readonly onTakeOut: () => void
}

const costWords = (option: Option, shop: Workshop, say: Speaker) => {
  const cost = costOf(option.kind, shop.prices)
  return cost ? `, costs ${say.roundMoney(cost)}` : ''
}
const toughWords = (option: Option, measuredHrc: number) => {
  const tough = toughnessOf(option, measuredHrc)
  return tough ? `; ${TOUGHNESS_WORDS[tough]}` : ''
}

interface TakeProps {
  readonly option: Option
  readonly isFirst: boolean
  readonly isTaken: boolean
  readonly onTake: (option: Option) => void
}

const Take = ({ option, isFirst, isTaken, onTake }: TakeProps) => (
  <button
    type="button"
    className={`btn self-start ${isFirst ? 'btn-ember' : ''}`}
    disabled={isTaken}
    onClick={() => onTake(option)}
  >
    {isTaken ? (option.kind === 'accept' ? 'Accepted' : 'Added') : TAKE_WORDS[option.kind]}
  </button>
)

/** Lists the options, best first, each with result, cost, risk and reason. */
export function Options({ options, first, onTake, measuredHrc, accepted, waiting, onTakeOut }: Props) {
  const { shop } = useBench()
  const say = useSay()
  const hopeless = nothingHelps(options)
  const isTaken = (option: Option) => sameTemper(option.temper, waiting) || (accepted && option.kind === 'accept')
  return (
    <>
      {waiting && (
        <p className="mt-2 flex flex-wrap items-center gap-3 border-l-3 border-ember pl-3">
          <span>
            {formatTemperature(waiting.atC, shop.units)} for {holdText(waiting.holdMin)} is in the route and waits at
            Temper.
          </span>
          <button type="button" className="btn" onClick={onTakeOut}>
            Take it out
          </button>
        </p>
      )}
      {hopeless && <Warnings lines={[{ code: 'nothing-helps', message: hopeless }]} />}
      <ol className="mt-2">
        {options.map((option, i) => (
          <li
            key={`${option.kind} ${option.temper?.atC}`}
            className="grid gap-x-4 gap-y-1 border-t border-rule py-2 sm:grid-cols-[minmax(0,1fr)_auto]"
          >
            <div className="min-w-0">
              <h3 className={i === 0 ? 'text-lead' : 'text-body'}>{optionText(option, say)}</h3>
              <p className="text-small">{whyWords(option, say)}</p>
              {i === 0 && option.kind === 'anneal-and-reharden' && (
                <p className="text-small text-ink-2">{stepsOf(option, say).join(' ')}</p>
              )}
              {i === 0 && first && <p className="text-small">{firstWords(option, first)}</p>}
              <p className="text-note text-ink-2">
                {option.kind === 'scrap'
                  ? ''
                  : `Expected ${hrcText(option.hrc.mean)} ${bandText(option.hrc.sd)} HRC; chance that it is within target ${percentText(option.inTargetProbability)}; ${option.hours} h${costWords(option, shop, say)}; risk ${option.risk}${toughWords(option, measuredHrc)}.`}
              </p>
            </div>
            <Take option={option} isFirst={i === 0 && !accepted} isTaken={isTaken(option)} onTake={onTake} />
          </li>
        ))}
      </ol>
    </>
  )
}
