import type { Workshop } from '../../../../core/record/schemas'
import { formatBoth } from '../../../../core/units/quantity'
import { costOf, toughnessOf } from '../../../../core/verdict/worth'
import { Prose } from '../../../../ui/Units'
import { hrcText, percentText } from '../bench-props'
import { KIND } from './kind-words'
import type { Option } from './take-option'

interface Props {
  readonly options: readonly Option[]
  readonly onTake: (option: Option) => void
  readonly shop: Workshop
  readonly measuredHrc: number
}

const costWords = (option: Option, shop: Workshop) => {
  const cost = costOf(option.kind, shop.prices)
  return cost ? `, costs ${cost.toFixed(0)}` : ''
}
const toughWords = (option: Option, measuredHrc: number) => {
  const tough = toughnessOf(option, measuredHrc)
  return tough ? `; ${tough}` : ''
}

/** What can be done, best first, each with what it gives, costs and risks, and why. */
export function Options({ options, onTake, shop, measuredHrc }: Props) {
  return (
    <ol className="mt-2">
      {options.map((option, i) => (
        <li
          key={option.kind}
          className="grid gap-x-4 gap-y-1 border-t border-rule py-2 sm:grid-cols-[minmax(0,1fr)_auto]"
        >
          <div className="min-w-0">
            <h3 className={i === 0 ? 'text-[16px]' : 'text-[14px]'}>
              {KIND[option.kind]}
              {option.temper && `, ${formatBoth(option.temper.atC, shop.units)} for ${option.temper.holdMin / 60} h`}
            </h3>
            <p className="text-[13px]">
              <Prose>{option.why}</Prose>
            </p>
            <p className="text-[12.5px] text-ink-2">
              {option.kind === 'scrap'
                ? ''
                : `Should read ${hrcText(option.hrc.mean)} ± ${hrcText(1.96 * option.hrc.sd)} HRC; in target ${percentText(option.inTargetProbability)}; ${option.hours} h${costWords(option, shop)}; risk ${option.risk}${toughWords(option, measuredHrc)}.`}
            </p>
          </div>
          <button
            type="button"
            className={`btn self-start ${i === 0 ? 'btn-ember' : ''}`}
            onClick={() => onTake(option)}
          >
            {option.kind === 'temper' || option.kind === 'cold' ? 'Write it in' : 'Decide this'}
          </button>
        </li>
      ))}
    </ol>
  )
}
