import Dexie, { type DBCore } from 'dexie'
import { STAMPED_TABLES, type StampedTable } from '../core/joining/tables'
import { isShared } from './shared-mark'

/** Tables as they are called in the database and in a file. */
const STORED_AS: Readonly<Partial<Record<StampedTable, string>>> = { grades: 'ownGrades' }
const STAMPED = new Map(STAMPED_TABLES.map(table => [STORED_AS[table] ?? table, table]))

/** Joined by their events, and stamped by those. */
const RUNS = 'runs'

type Stamping = typeof import('./stampedly')
/** Stamps what changed of a record: no page needs it for anything it shows first. */
let stamping: Stamping | null = null
export const fetchStamping = (): Promise<Stamping> =>
  import('./stampedly').then(fetched => {
    stamping = fetched
    return fetched
  })

/** Transactions that write what came from another screen, with its stamps, and whether further screens are to have it from here. */
const joins = new WeakMap<object, boolean>()
/** Leaves the writes of a transaction unstamped: what writes them brings the stamps along. `isNews`: to the screens that share the workshop. */
export const bringsItsStamps = (transaction: object, isNews = true): void => void joins.set(transaction, isNews)

/**
 * A storage layer that stamps each changed part of a record in the transaction that changes it, so that logs of two screens can be
 * joined part by part. A version's own upgrades are the same on every screen and are not stamped.
 */
export function stampingEdits(core: DBCore): DBCore {
  return {
    ...core,
    transaction: (tables, mode, options) =>
      core.transaction(
        mode === 'readwrite' && tables.some(name => STAMPED.has(name) || name === RUNS)
          ? [...new Set([...tables, 'stamps', 'meta'])]
          : tables,
        mode,
        options,
      ),
    table: name => {
      const table = core.table(name)
      const stamped = STAMPED.get(name)
      if (!stamped && name !== RUNS) return table
      return {
        ...table,
        mutate: request => {
          const { trans } = request
          const isJoined = joins.has(trans) || !stamped
          // Rows are cleared as a whole only where a log is replaced.
          if (
            request.type === 'deleteRange' ||
            joins.get(trans) === false ||
            (isJoined && !isShared()) ||
            (trans as IDBTransaction).mode === 'versionchange'
          )
            return table.mutate(request)
          const mutate = () => table.mutate(request)
          const withStamps = (by: Stamping) =>
            isJoined || !stamped
              ? by.sending(core, stamped ?? RUNS, request, mutate)
              : by.stampedly(core, stamped, name, request, mutate)
          // A write that comes before what writes was fetched holds its transaction open meanwhile.
          const done = stamping ? withStamps(stamping) : Dexie.waitFor(fetchStamping()).then(withStamps)
          return done as ReturnType<typeof table.mutate>
        },
      }
    },
  }
}
