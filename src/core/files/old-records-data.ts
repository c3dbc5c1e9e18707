import { FOIL } from '../../data/foil'
import { newBladeRecord } from '../batch/tray-edit'
import { usualOvenOf } from '../equipment/ovens'
import { newGroup } from '../new-batch/new-batch'
import type { BatchRecord } from '../shop/batch'
import type { Blade, Line } from '../shop/blade'
import type { Reading } from '../shop/reading'
import type { PlannedRoute } from '../shop/route'
import { serialGiver } from '../shop/serial'
import type { Workshop } from '../shop/workshop'
import { usualCold } from '../steel/route'
import type { WorkshopData } from './exchange'
import type { OldRecord } from './old-records'
import { emptyData } from './pieces'

/** Where nothing was noted: a blade of usual size, and the hold of a temper. Common practice, no published source. */
const USUAL_SIZE = { lengthMm: 250, widthMm: 40, thicknessMm: 3, bevels: 'pre-ground' } as const
const USUAL_HOLD_MIN = 120
/** Readings of a day are at its noon, one after another. */
const NOON = 'T12:00:00.000Z'

interface Here {
  readonly shop: Workshop
  /** Serials in use. */
  readonly serials: readonly string[]
  readonly newId: () => string
}

/**
 * Old notes as batches of a log: rows of one day and one name are a batch, rows of one steel and route in it a group. What was not
 * noted stands at what is usual for the steel in this shop, its hold of a temper at two hours.
 */
export function recordsAsData(records: readonly OldRecord[], here: Here): WorkshopData {
  const batches: BatchRecord[] = []
  const blades: Blade[] = []
  const readings: Reading[] = []
  const nextSerial = serialGiver(here.shop.serialPattern, here.serials)
  for (const own of batchesOfRecords(records)) {
    const made = batchOf(own, here, nextSerial)
    batches.push(made.record)
    blades.push(...made.blades)
    readings.push(...made.readings)
  }
  return { ...emptyData(here.shop), batches, blades, readings }
}

/** Notes of one day and one name are a batch. */
export const batchesOfRecords = (records: readonly OldRecord[]): Some[] =>
  partedBy(records, ({ date, batch }) => `${date} ${batch}`)

/** Returns the key of a batch of old notes in the log: read again, it is not added again. */
export const batchKeyOf = ({ name, createdAt }: Pick<BatchRecord, 'name' | 'createdAt'>): string =>
  `${createdAt} ${name}`

/** At least one. */
type Some = readonly [OldRecord, ...OldRecord[]]

function partedBy(records: readonly OldRecord[], keyOf: (record: OldRecord) => string): Some[] {
  const parts = new Map<string, [OldRecord, ...OldRecord[]]>()
  for (const record of records) {
    const part = parts.get(keyOf(record))
    if (part) part.push(record)
    else parts.set(keyOf(record), [record])
  }
  return [...parts.values()]
}

const routeKey = ({ grade, austenitizeC, soakMin, coldC, tempersC }: OldRecord): string =>
  JSON.stringify([grade.id, austenitizeC, soakMin, coldC, tempersC])

function batchOf(own: Some, { shop, newId }: Here, nextSerial: (year: number) => string) {
  const [first] = own
  const at = `${first.date}${NOON}`
  const oven = usualOvenOf(shop)
  const [id, lines, blades, readings] = [newId(), [] as Line[], [] as Blade[], [] as Reading[]]
  const groups = partedBy(own, routeKey).map(of => {
    const [one] = of
    const usual = newGroup(newId(), one.grade, shop)
    const group = newGroup(usual.id, one.grade, shop, { route: routeOf(one, usual.route) })
    for (const record of of) {
      const line: Line = {
        ...USUAL_SIZE,
        id: newId(),
        groupId: group.id,
        mark: record.mark || `L${record.line}`,
        ...(record.thicknessMm === null ? {} : { thicknessMm: record.thicknessMm }),
      }
      const serial = nextSerial(Number(record.date.slice(0, 4)))
      const blade: Blade = { ...newBladeRecord(newId(), id, line.id, 1), serial }
      lines.push(line)
      blades.push(blade)
      const stage =
        group.route.tempers.length > 0
          ? (`temper-${group.route.tempers.length}` as Reading['stage'])
          : group.route.cold
            ? 'after-cold'
            : 'as-quenched'
      readings.push(
        ...record.hrc.map(hrc => ({ id: newId(), batchId: id, bladeId: blade.id, stage, hrc, at, deletedAt: null })),
      )
    }
    return group
  })
  const record: BatchRecord = {
    id,
    rev: 0,
    name: first.batch,
    createdAt: at,
    updatedAt: at,
    deletedAt: null,
    groups,
    lines,
    envelope: { ...FOIL.envelope },
    ovenId: oven.id,
    ovenName: oven.name,
    countedOut: null,
    note: [...new Set(own.map(({ note }) => note).filter(note => note !== ''))].join('; ').slice(0, 400),
  }
  return { record, blades, readings }
}

const routeOf = ({ austenitizeC, soakMin, coldC, tempersC }: OldRecord, usual: PlannedRoute): PlannedRoute => ({
  ...usual,
  austenitizeC,
  soakMin: soakMin ?? usual.soakMin,
  cold: coldC === null ? null : usualCold(coldC),
  tempers: tempersC.map(atC => ({ atC, holdMin: USUAL_HOLD_MIN })),
})
