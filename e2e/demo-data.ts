import { mkdir, readFile, writeFile } from 'node:fs/promises'
import { dirname } from 'node:path'
import type { Page } from '@playwright/test'

/** A database as it is laid down in a browser: its tables with their indexes and rows. */
interface Laid {
  readonly version: number
  readonly tables: readonly {
    readonly name: string
    readonly keyPath: string
    readonly indexes: readonly {
      readonly name: string
      readonly keyPath: string | string[]
      readonly unique: boolean
      readonly multiEntry: boolean
    }[]
    readonly rows: readonly unknown[]
  }[]
}

const DATABASE = 'tawny-ember'
const DEMO_DATA = 'test-results/demo-data.json'
/** A page of the application's address on which nothing of it runs. */
const NOTHING_RUNS = '/theme.js'

/** Keeps the demo workshop that a page has laid down. */
export async function keepDemo(page: Page): Promise<void> {
  const laid = await page.evaluate(async name => {
    const settled = <T>(request: IDBRequest<T>) =>
      new Promise<T>((resolve, reject) => {
        request.onsuccess = () => resolve(request.result)
        request.onerror = () => reject(request.error)
      })
    const db = await settled(indexedDB.open(name))
    const read = db.transaction([...db.objectStoreNames])
    const tables = await Promise.all(
      [...db.objectStoreNames].map(async table => {
        const store = read.objectStore(table)
        const indexes = [...store.indexNames].map(index => {
          const { name, keyPath, unique, multiEntry } = store.index(index)
          return { name, keyPath, unique, multiEntry }
        })
        return { name: table, keyPath: String(store.keyPath), indexes, rows: await settled(store.getAll()) }
      }),
    )
    return { version: db.version, tables }
  }, DATABASE)
  await mkdir(dirname(DEMO_DATA), { recursive: true })
  await writeFile(DEMO_DATA, JSON.stringify(laid))
}

/** Lays the demo workshop down in an empty browser, by the page that the test goes on with. */
export async function layDownDemo(page: Page): Promise<void> {
  const text = await readFile(DEMO_DATA, 'utf8')
  await page.goto(NOTHING_RUNS)
  await page.evaluate(
    async ({ name, text }) => {
      const laid: Laid = JSON.parse(text)
      const done = <T>(request: IDBRequest<T>) =>
        new Promise<T>((resolve, reject) => {
          request.onsuccess = () => resolve(request.result)
          request.onerror = () => reject(request.error)
        })
      const open = indexedDB.open(name, laid.version)
      open.onupgradeneeded = () => {
        for (const { name, keyPath, indexes, rows } of laid.tables) {
          const store = open.result.createObjectStore(name, { keyPath })
          for (const { name, keyPath, ...kind } of indexes) store.createIndex(name, keyPath, kind)
          for (const row of rows) store.put(row)
        }
      }
      ;(await done(open)).close()
    },
    // As one text: each value by itself would be checked and wrapped on its way.
    { name: DATABASE, text },
  )
}
