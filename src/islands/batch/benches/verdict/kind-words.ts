import type { OptionKind } from '../../../../core/verdict/advise'

export const KIND: Readonly<Record<OptionKind, string>> = {
  accept: 'Accept',
  temper: 'Temper again',
  cold: 'Cold again',
  'anneal-and-reharden': 'Anneal and begin again',
  scrap: 'Scrap',
}
