import type { BladeState } from '../../data/blade-states'
import { type Happened, happenedTo } from '../batch/blade-incidents'
import { standing, stateOf } from '../batch/blade-state'
import { bladesOf, routeOfBlade } from '../batch/tray'
import { measuredBladesOf } from '../hardness/measured-blades'
import { readingsOf } from '../hardness/readings-of'
import { loadsOf } from '../load/loads'
import type { LoggedHeat } from '../oven/logged-soak'
import type { Batch, BatchGroup } from '../shop/batch'
import type { OvenLog } from '../shop/oven-log'
import type { Picture } from '../shop/picture'
import type { Reading } from '../shop/reading'
import type { Stage } from '../shop/route'
import type { Run } from '../shop/run'
import type { Workshop } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import type { ShopExperience } from '../steel/predict'
import { loggedHeatOf, loggedRoute } from '../trace/logged-heat'

/** One blade's certificate, as it is printed and as a file beside it. */
export interface Certificate {
  readonly format: 'tawny-ember-certificate'
  readonly version: 5
  readonly shop: string
  readonly issuedAt: string
  readonly blade: string
  readonly serial: string
  readonly batch: string
  /** Whether it is finished, or was sold since; else the paper is of work in hand. */
  readonly finished: boolean
  /** Standard designation, and the maker's name for the bar. */
  readonly grade: string
  readonly lot: string | null
  readonly sizeMm: { readonly length: number; readonly width: number; readonly thickness: number }
  readonly oven: string
  readonly route: {
    readonly austenitizeC: number
    readonly soakMin: number
    readonly cold: { readonly toC: number; readonly holdMin: number } | null
    readonly tempers: readonly { readonly atC: number; readonly holdMin: number }[]
  }
  /** Temperatures at the blade by the ovens' logs: its heat up to its own pull, and tempers as the thickest of its group; null if not logged. */
  readonly measured: {
    readonly heat: MeasuredHold | null
    readonly tempers: readonly (MeasuredHold | null)[]
  }
  /** Steps of the run that hardened it and of those after, with their instants; empty if none was run. */
  readonly happened: Happened['steps']
  /** Incidents in those runs. */
  readonly incidents: Happened['incidents']
  /** Measured soak by its run's clock, min; null if no run followed it. */
  readonly soakedMin: number | null
  readonly hardness: readonly {
    readonly stage: Stage
    /** As the tester showed them, with the correction of a round face. */
    readonly readings: readonly number[]
    readonly roundFace: boolean
    readonly hrc: number
    readonly u95: number
    readonly corrected: boolean
    readonly uncheckedTester: boolean
  }[]
  readonly target: { readonly min: number; readonly max: number }
  /** Of the last stage measured; null where none was. */
  readonly inTargetProbability: number | null
  /** Pictures printed with it: each by what it is of and the digest of its file, so that a paper cannot be given another. */
  readonly pictures: readonly CertifiedPicture[]
}

export interface CertifiedPicture {
  readonly of: Picture['of']
  readonly at: string
  readonly note: string
  /** SHA-256 of the JPEG's bytes, hexadecimal. */
  readonly sha256: string
}

const FINISHED: ReadonlySet<BladeState> = new Set(['finished', 'sold'])

/** A hold as it was logged: the blade's mean within 5 °C of what was asked or above it, and how long. */
export interface MeasuredHold {
  readonly meanC: number
  readonly heldMin: number
}

/** Everything a certificate is drawn up from. */
export interface CertificateSources {
  readonly batch: Batch
  readonly shop: Workshop
  readonly readings: readonly Reading[]
  readonly runs: readonly Run[]
  readonly logs: readonly OvenLog[]
  /** Returns the correction by the shop's readings of other batches for a group, or null for none. */
  readonly experienceOf: (group: BatchGroup) => ShopExperience | null
  /** Those that are wished on the paper. */
  readonly pictures: readonly (CertifiedPicture & Pick<Picture, 'bladeId'>)[]
}

/** Certificates of every blade of a batch that stands, in the order of the tray: none of one that is cracked, lost or scrapped. */
export function certificatesOf(sources: CertificateSources, issuedAt: string): Certificate[] {
  const { batch, shop, readings, runs, logs, pictures, experienceOf } = sources
  const measured = new Map(
    batch.groups.map(group => [
      group.id,
      measuredBladesOf(batch, group, { readings, tester: shop.tester, experience: experienceOf(group) }),
    ]),
  )
  const tempers = new Map(batch.groups.map(group => [group.id, measuredTempers(logs, batch, group, shop)]))
  const late = minAfterFirstPull(batch, shop, runs)
  return standing(bladesOf(batch)).map((blade): Certificate => {
    const { group, line } = blade
    const route = routeOfBlade(blade)
    const grade = gradeOf(group)
    const hardness = (measured.get(group.id)?.[blade.id] ?? []).map(found => ({
      found,
      own: readingsOf([blade], found.stage, { readings }),
    }))
    const happened = happenedTo(blade.id, runs)
    return {
      format: 'tawny-ember-certificate',
      version: 5,
      finished: FINISHED.has(stateOf(blade.record)),
      shop: shop.name,
      issuedAt,
      blade: blade.mark,
      serial: blade.serial,
      batch: batch.name,
      grade: group.gradeName,
      lot: group.lot ?? null,
      sizeMm: { length: line.lengthMm, width: line.widthMm, thickness: line.thicknessMm },
      oven: shop.ovens.find(oven => oven.id === batch.ovenId)?.name ?? batch.ovenName,
      route: {
        austenitizeC: route.austenitizeC,
        soakMin: route.soakMin,
        cold: route.cold && { toC: route.cold.toC, holdMin: route.cold.holdMin },
        tempers: route.tempers.map(({ atC, holdMin }) => ({ atC, holdMin })),
      },
      measured: {
        heat: grade ? measuredHeat(loggedHeatOf(blade, late.get(blade.id) ?? 0, { logs, batch, grade, shop })) : null,
        tempers: tempers.get(group.id) ?? [],
      },
      happened: happened.steps,
      incidents: happened.incidents,
      soakedMin: blade.record.soakedMin ?? null,
      hardness: hardness.map(({ found, own }) => ({
        stage: found.stage,
        readings: own.map(r => r.hrc),
        roundFace: own.some(r => r.roundFace !== undefined),
        hrc: Math.round(found.hrc * 10) / 10,
        u95: Math.round(found.u95 * 10) / 10,
        corrected: found.summary?.correctedBy === 'block',
        uncheckedTester: found.unchecked,
      })),
      target: group.target,
      inTargetProbability: hardness.at(-1)?.found.inTargetProbability ?? null,
      pictures: pictures
        .filter(picture => picture.bladeId === blade.id)
        .map(({ of, at, note, sha256 }) => ({ of, at, note, sha256 })),
    }
  })
}

const hold = (meanC: number, heldMin: number): MeasuredHold => ({
  meanC: Math.round(meanC),
  heldMin: Math.round(heldMin),
})

const measuredHeat = (heat: LoggedHeat | null): MeasuredHold | null =>
  heat?.doseC == null ? null : hold(heat.doseC, heat.atHeatMin)

function measuredTempers(
  logs: readonly OvenLog[],
  batch: Batch,
  group: BatchGroup,
  shop: Workshop,
): Certificate['measured']['tempers'] {
  const grade = gradeOf(group)
  if (!grade) return []
  return loggedRoute(logs, batch, group, grade, shop).tempers.map(
    after => after && hold(after.dose.atC, after.atHeatMin),
  )
}

/** How long after the first of its load each blade was pulled, min, by what its runs confirmed. */
function minAfterFirstPull(batch: Batch, shop: Workshop, runs: readonly Run[]): ReadonlyMap<string, number> {
  const pulledAt = (bladeId: string) =>
    happenedTo(bladeId, runs).steps.find(({ step }) => step.kind === 'pull')?.at ?? null
  return new Map(
    loadsOf(batch, shop.units).flatMap(({ blades }) => {
      const pulls = blades.flatMap(({ id }) => {
        const at = pulledAt(id)
        return at === null ? [] : [[id, Date.parse(at)] as const]
      })
      const first = Math.min(...pulls.map(([, at]) => at))
      return pulls.map(([id, at]) => [id, (at - first) / 60_000] as const)
    }),
  )
}
