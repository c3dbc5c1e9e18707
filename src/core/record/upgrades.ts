import { newOven } from './oven-record'

type Stored = Record<string, unknown>

const isStored = (value: unknown): value is Stored => typeof value === 'object' && value !== null

/**
 * A workshop of version 2, with one oven by its size, as version 3 keeps it: a list of ovens, the one it had first. An
 * oven without a name gets one; batches refer to it by name, so a name it had is kept as it is.
 */
export function shopWithOvens(shop: Stored): Stored {
  if (!isStored(shop.oven)) return shop
  const { oven, ...rest } = shop
  const preset = oven.preset === 'small' || oven.preset === 'large' ? oven.preset : 'medium'
  const name = typeof oven.name === 'string' && oven.name !== '' ? oven.name : 'Hardening oven'
  const first = newOven('oven-1', name, preset)
  return {
    ...rest,
    ovens: [
      {
        ...first,
        maxC: typeof oven.maxC === 'number' ? oven.maxC : first.maxC,
        correctionC: typeof oven.correctionC === 'number' ? oven.correctionC : 0,
      },
      ...(shop.temperingOven === 'own' ? [newOven('oven-2', 'Tempering oven', 'small', 'tempering')] : []),
    ],
    hardeningOven: 'oven-1',
  }
}
