import { ROUTE_PARTS, type RoutePart } from '../shop/route-parts'
import { keyOf, partsOf, stepsOf } from './parts'
import type { StampedTable } from './tables'

type Plain = Readonly<Record<string, unknown>>

/** Returns a record with the value at a path, as it was found on joining, in the place of what is there; undefined takes the part out. */
export const withPart = <T extends object>(table: StampedTable, record: T, path: string, value: unknown): T => {
  const steps = stepsOf(path)
  const [list, groupId, route, part] = steps
  if (table === 'batches' && list === 'groups' && route === 'route' && ROUTE_PARTS.includes(part as RoutePart))
    return withRoutePart(record as Plain, groupId ?? '', part as RoutePart, value) as T
  return placed(record, steps, '', value) as T
}

function placed(into: unknown, [step, ...further]: readonly string[], name: string, value: unknown): unknown {
  if (step === undefined) return value
  const parts = partsOf(into, name)
  const next = placed(parts?.of.get(step), further, step, value)
  if (!Array.isArray(into)) {
    const { [step]: _, ...rest } = (into ?? {}) as Plain
    return next === undefined ? rest : { ...rest, [step]: next }
  }
  const at = into.findIndex(entry => keyOf(name, entry) === step)
  const entry = parts?.kind === 'names' && next !== undefined ? step : next
  if (at < 0) return entry === undefined ? into : [...into, entry]
  return entry === undefined ? into.toSpliced(at, 1) : into.with(at, entry)
}

/** A part of a route that one log left open is open; one that it set is set. */
function withRoutePart(batch: Plain, groupId: string, part: RoutePart, value: unknown): Plain {
  const is = typeof value === 'object' && value !== null && 'is' in value ? value.is : value
  const groups = (batch.groups as readonly (Plain & { id: string; route: Plain; fixed: readonly string[] })[]).map(
    group => {
      if (group.id !== groupId) return group
      const fixed = group.fixed.filter(one => one !== part)
      return is === undefined
        ? { ...group, fixed }
        : { ...group, route: { ...group.route, [part]: is }, fixed: [...fixed, part] }
    },
  )
  return { ...batch, groups }
}
