import type { DBCore, DBCoreTransaction } from 'dexie'

/** Tables that the answers about the shop's log rest on. */
export const LOG_TABLES = ['batches', 'blades', 'readings', 'shop'] as const

/** Where the stamp stands in the table `meta`: another one with every change of the log, so that the same stamp means the same log. */
export const LOG_STAMP = 'log-stamp'

const isOfLog = (table: string): boolean => (LOG_TABLES as readonly string[]).includes(table)

/** A storage layer that stamps the log anew in every transaction that writes to it, so that both are there, or neither. */
export function stampingLog(core: DBCore): DBCore {
  const stamped = new WeakSet<DBCoreTransaction>()
  const stamp = (trans: DBCoreTransaction) => {
    stamped.add(trans)
    return core.table('meta').mutate({ type: 'put', trans, values: [{ key: LOG_STAMP, value: crypto.randomUUID() }] })
  }
  return {
    ...core,
    transaction: (tables, mode, options) =>
      core.transaction(
        mode === 'readwrite' && tables.some(isOfLog) ? [...new Set([...tables, 'meta'])] : tables,
        mode,
        options,
      ),
    table: name => {
      const table = core.table(name)
      if (!isOfLog(name)) return table
      return {
        ...table,
        mutate: request =>
          stamped.has(request.trans) ? table.mutate(request) : stamp(request.trans).then(() => table.mutate(request)),
      }
    },
  }
}
