import { correctionAt } from '../../core/oven/correction'
import { newOven } from '../../core/shop/defaults'
import { formatDifference } from '../../core/units/quantity'
import { SelectField } from '../../ui/PlainFields'
import { powerText } from '../../words/speaker'
import { newId } from '../batch/edit'
import { useShopNow } from '../shop-context'
import type { EditShop } from './edit-shop'

interface Props {
  readonly edit: EditShop
}

const ASKED_C = 1065
const MOST = 12
const SAME_OVEN = 'same'

/** The ovens of the shop, each a page of its own. */
export function OvensPart({ edit }: Props) {
  const shop = useShopNow()
  const hardening = shop.ovens.filter(oven => oven.use === 'hardening')
  const add = (use: 'hardening' | 'tempering') => {
    const count = shop.ovens.filter(oven => oven.use === use).length
    const name = `${use === 'hardening' ? 'Hardening' : 'Tempering'} oven${count > 0 ? ` ${count + 1}` : ''}`
    const oven = newOven(newId(), name, use === 'hardening' ? 'medium' : 'small', use)
    void edit(s => ({
      ovens: [...s.ovens, oven],
      // The first oven for tempering is there to be used.
      ...(use === 'tempering' && s.temperingOvenId === null ? { temperingOvenId: oven.id } : {}),
    }))
  }
  return (
    <>
      <ul className="border-b border-rule">
        {shop.ovens.map(oven => (
          <li key={oven.id} className="border-t border-rule">
            <a className="flex min-h-touch flex-wrap items-center gap-x-3 hover:text-ember" href={`/oven/${oven.id}`}>
              <span className="link font-semibold">{oven.name || 'without a name'}</span>
              <span className="flex-1 text-note text-ink-2">
                {oven.use}, {powerText(oven.powerW)}
              </span>
              <span className="text-note text-ink-2">
                keyed {formatDifference(correctionAt(oven, oven.use === 'hardening' ? ASKED_C : 200), shop.units)}
              </span>
            </a>
          </li>
        ))}
      </ul>
      {hardening.length > 1 && (
        <SelectField
          label="A new batch is hardened in"
          value={shop.hardeningOvenId}
          options={hardening.map(oven => [oven.id, oven.name] as const)}
          onCommit={hardeningOvenId => edit({ hardeningOvenId })}
        />
      )}
      <SelectField
        label="Tempering"
        value={shop.temperingOvenId ?? SAME_OVEN}
        options={[
          ...shop.ovens.filter(oven => oven.use === 'tempering').map(oven => [oven.id, `in ${oven.name}`] as const),
          [SAME_OVEN, 'in the hardening oven'],
        ]}
        onCommit={id => edit({ temperingOvenId: id === SAME_OVEN ? null : id })}
      />
      {shop.ovens.length < MOST && (
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn" onClick={() => add('hardening')}>
            Add a hardening oven
          </button>
          <button type="button" className="btn" onClick={() => add('tempering')}>
            Add a tempering oven
          </button>
        </div>
      )}
      <p className="text-note text-ink-2">Mains wiring is for a licensed electrician.</p>
    </>
  )
}
