import type { Batch, HEATS_BEFORE } from '../shop/batch'
import { type BatchBlade, timesHardened } from './tray'

export type HeatBeforeKind = (typeof HEATS_BEFORE)[number]

/** Blades hardened before are annealed; a stress relief is for the others. */
export const isOfHeat = (blade: Pick<BatchBlade, 'record'>, kind: HeatBeforeKind): boolean =>
  timesHardened(blade) > 1 === (kind === 'anneal')

/** The newest time a blade went into such a heat, and when it came out; null: it did not. */
export const heatBeforeOf = ({ heatsBefore }: Pick<Batch, 'heatsBefore'>, kind: HeatBeforeKind, bladeId: string) =>
  heatsBefore?.findLast(heat => heat.kind === kind && heat.bladeIds.includes(bladeId)) ?? null

/** Some blades went into a heat before their hardening, now. */
export const putIntoHeat = (
  batch: Batch,
  heat: { readonly kind: HeatBeforeKind; readonly bladeIds: readonly string[] },
  nowIso: string,
): Batch => ({
  ...batch,
  heatsBefore: [
    ...(batch.heatsBefore ?? []),
    { kind: heat.kind, bladeIds: [...heat.bladeIds], inAt: nowIso, outAt: null },
  ],
})

/** They came out of it, now; what was never put in is out since now as well. */
export function takenFromHeat(
  batch: Batch,
  heat: { readonly kind: HeatBeforeKind; readonly bladeIds: readonly string[] },
  nowIso: string,
): Batch {
  const isIn = (id: string) => heatBeforeOf(batch, heat.kind, id)?.outAt === null
  const rest = heat.bladeIds.filter(id => !isIn(id))
  const known = rest.length > 0 ? putIntoHeat(batch, { ...heat, bladeIds: rest }, nowIso) : batch
  return {
    ...known,
    heatsBefore: known.heatsBefore?.map(one =>
      one.kind === heat.kind && one.outAt === null && one.bladeIds.some(id => heat.bladeIds.includes(id))
        ? { ...one, outAt: nowIso }
        : one,
    ),
  }
}
