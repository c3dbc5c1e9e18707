import { saveShop } from '../store/records'
import { SelectField } from '../ui/PlainFields'
import { useShopNow } from './shop-context'

/** Asked first: what most shops count in. */
const FIRST = ['EUR', 'USD', 'GBP', 'CAD', 'AUD', 'NZD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'ZAR', 'JPY']

const names = new Intl.DisplayNames(['en'], { type: 'currency' })
const others = Intl.supportedValuesOf('currency').filter(code => !FIRST.includes(code))
const OPTIONS = [...FIRST, ...others].map(code => [code, `${names.of(code) ?? code} (${code})`] as const)

/** Asks for the currency of prices, once for the whole workshop. */
export function CurrencyField() {
  const { currency } = useShopNow()
  return (
    <SelectField
      label="Currency of all prices"
      value={currency ?? ''}
      options={currency === undefined ? [['', 'choose once'] as const, ...OPTIONS] : OPTIONS}
      onCommit={code => void (code && saveShop(shop => ({ ...shop, currency: code })))}
    />
  )
}
