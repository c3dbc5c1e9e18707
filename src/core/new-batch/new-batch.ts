import { FOIL } from '../../data/foil'
import type { Grade } from '../../data/grades'
import { routeWish } from '../advice/shop-can'
import { newBladeRecord } from '../batch/tray-edit'
import { usualOvenOf } from '../equipment/ovens'
import { quenchSecondsOf } from '../load/quench-seconds'
import type { Batch, BatchGroup } from '../shop/batch'
import { ROUTE_PARTS } from '../shop/route-parts'
import type { Workshop } from '../shop/workshop'
import { planFor } from '../steel/grades'
import { suggestRoute } from '../steel/suggest'
import { usualTargetOf } from '../steel/usual'

/** A blade of a thickness alone, before there is one on the tray. */
const USUAL_LINE = { id: '', mark: '', lengthMm: 250, widthMm: 40, bevels: 'pre-ground' } as const

/** Parts of a new steel of a batch that differ from the suggestion. */
export interface OwnPlan extends Partial<Pick<BatchGroup, 'target' | 'route' | 'recipeId' | 'lot'>> {
  /** The thickest of its blades, mm. */
  readonly thicknessMm?: number
}

/**
 * A steel as it joins a batch: its usual target and the route that is suggested for it, which follows its blades; or a route of the
 * maker's own, which stays as it is.
 */
export function newGroup(
  id: string,
  grade: Grade,
  shop: Workshop,
  { target = usualTargetOf(grade), route, recipeId = null, lot, thicknessMm }: OwnPlan = {},
): BatchGroup {
  const wish = routeWish(grade, shop, { target, ...(thicknessMm === undefined ? {} : { thicknessMm }) })
  const lines = thicknessMm === undefined ? [] : [{ ...USUAL_LINE, groupId: id, thicknessMm }]
  const cooledS = quenchSecondsOf({ lines }, { id }, { grade, shop, fromC: grade.austenitize.defaultC })
  return {
    id,
    ...planFor(grade),
    ...(lot === undefined ? {} : { lot }),
    target,
    route: route ?? suggestRoute(grade, wish.target, wish.can, { seconds800to500: cooledS }),
    fixed: route ? [...ROUTE_PARTS] : [],
    recipeId,
    symptom: null,
    decisions: [],
  }
}

/**
 * A batch planned as another was: its steels with targets and routes, its lines with as many blades, its envelope and entry. Nothing
 * of what became of the other's blades comes along.
 */
export function batchLike(other: Batch, newId: () => string, name: string, nowIso: string): Batch {
  const id = newId()
  const groupIds = new Map(other.groups.map(group => [group.id, newId()]))
  const lineIds = new Map(other.lines.map(line => [line.id, newId()]))
  const { foilLayout: _, foilCutAt: __, foilCutM: ______, unplaced: ___, ...rest } = other
  return {
    ...rest,
    id,
    rev: 0,
    name,
    createdAt: nowIso,
    updatedAt: nowIso,
    deletedAt: null,
    groups: other.groups.map(({ trialOf, ...group }) => ({
      ...group,
      // A trial is tried again only with its control.
      ...(trialOf !== undefined && groupIds.has(trialOf) ? { trialOf: groupIds.get(trialOf) } : {}),
      id: groupIds.get(group.id) ?? group.id,
      symptom: null,
      decisions: [],
    })),
    lines: other.lines.map(line => ({
      ...line,
      id: lineIds.get(line.id) ?? line.id,
      groupId: groupIds.get(line.groupId) ?? line.groupId,
    })),
    blades: other.lines.flatMap(line =>
      other.blades
        .filter(blade => blade.lineId === line.id && blade.removedAt === null)
        .map((_blade, i) => newBladeRecord(newId(), id, lineIds.get(line.id) ?? line.id, i + 1)),
    ),
    countedOut: null,
    note: '',
  }
}

/**
 * A batch planned as another was, with one steel of it alone, aimed at another hardness: what its route should be for that is left to
 * be suggested.
 */
export function batchAimedAt(
  other: Batch,
  groupId: string,
  target: BatchGroup['target'],
  { newId, name, nowIso }: { readonly newId: () => string; readonly name: string; readonly nowIso: string },
): Batch {
  const lines = other.lines.filter(line => line.groupId === groupId)
  const lineIds = new Set(lines.map(line => line.id))
  const alone = {
    ...other,
    groups: other.groups.filter(group => group.id === groupId),
    lines,
    blades: other.blades.filter(blade => lineIds.has(blade.lineId)),
  }
  const like = batchLike(alone, newId, name, nowIso)
  return { ...like, groups: like.groups.map(group => ({ ...group, target, fixed: [], recipeId: null })) }
}

/** A batch with a first steel and no blades yet, planned for the shop's usual oven. */
export function newBatch(
  ids: { batch: string; group: string },
  name: string,
  grade: Grade,
  shop: Workshop,
  nowIso: string,
  own: OwnPlan = {},
): Batch {
  const oven = usualOvenOf(shop)
  return {
    id: ids.batch,
    rev: 0,
    name,
    createdAt: nowIso,
    updatedAt: nowIso,
    deletedAt: null,
    groups: [newGroup(ids.group, grade, shop, own)],
    lines: [],
    blades: [],
    ovenId: oven.id,
    ovenName: oven.name,
    envelope: { ...FOIL.envelope },
    countedOut: null,
    note: '',
  }
}
