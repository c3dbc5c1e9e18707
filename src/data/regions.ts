/** Regional defaults, by ISO 3166 code. Currencies: ISO 4217; units: CLDR. Both from memory. */
export const FAHRENHEIT_REGIONS: ReadonlySet<string> = new Set(['US', 'BS', 'BZ', 'KY', 'LR', 'PW', 'FM', 'MH'])

const EURO = 'AT BE CY DE EE ES FI FR GR HR IE IT LT LU LV MT NL PT SI SK'.split(' ')

export const REGION_CURRENCIES: Readonly<Record<string, string>> = {
  ...Object.fromEntries(EURO.map(region => [region, 'EUR'])),
  US: 'USD',
  GB: 'GBP',
  CA: 'CAD',
  AU: 'AUD',
  NZ: 'NZD',
  CH: 'CHF',
  SE: 'SEK',
  NO: 'NOK',
  DK: 'DKK',
  IS: 'ISK',
  PL: 'PLN',
  CZ: 'CZK',
  HU: 'HUF',
  RO: 'RON',
  ZA: 'ZAR',
  JP: 'JPY',
  KR: 'KRW',
  CN: 'CNY',
  IN: 'INR',
  BR: 'BRL',
  MX: 'MXN',
  AR: 'ARS',
  TR: 'TRY',
}
