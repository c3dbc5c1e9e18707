import { nextSerials, USUAL_SERIALS } from './serial'

type Stored = Record<string, unknown>

/** Everything a workshop of version 4 held, table by table. */
export interface StoredWorkshop {
  readonly shop: Stored
  readonly batches: readonly Stored[]
  readonly readings: readonly Stored[]
  readonly recipes: readonly Stored[]
  readonly runs: readonly Stored[]
  readonly grades: readonly Stored[]
  readonly logs: readonly Stored[]
}

const isStored = (value: unknown): value is Stored =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const rowsOf = (value: unknown): Stored[] => (Array.isArray(value) ? value.filter(isStored) : [])
const textOf = (value: unknown): string => (typeof value === 'string' ? value : '')
const without = (row: Stored, ...keys: readonly string[]): Stored =>
  Object.fromEntries(Object.entries(row).filter(([key]) => !keys.includes(key)))

/** A grade of the maker's own was known by its name; the name, marked as such, is its id from here on. */
const ownGradeId = (name: string) => `own:${name}`.slice(0, 120)

/** A grade planned for: by its own sheet where it carries one, else by the shipped grade of that name. */
function withGradeId(row: Stored): Stored {
  const name = textOf(row.gradeName)
  if (!isStored(row.sheet)) return { ...row, gradeId: name }
  const id = ownGradeId(name)
  return { ...row, gradeId: id, sheet: { ...row.sheet, id } }
}

/**
 * Version 4 knew blades, ovens and grades by their names; version 5 knows them by ids. Every line of the tray becomes its blades,
 * each a record with a serial, and what hung on a mark hangs on the blade that had it. What pointed nowhere, or at two blades at
 * once, is kept under the mark it had, unplaced: nothing is guessed.
 * @param origin whose workshop it is from here on
 */
export function workshopWithIds(
  old: StoredWorkshop,
  origin: string,
): StoredWorkshop & { readonly blades: readonly Stored[] } {
  const shop = shopWithIds(old.shop, origin)
  const serials = new Map<number, string[]>()
  const blades: Stored[] = []
  const marks = new Map<string, BatchMarks>()
  const oldestFirst = [...old.batches].sort((a, b) => textOf(a.createdAt).localeCompare(textOf(b.createdAt)))
  for (const batch of oldestFirst) {
    const own = bladesOfBatch(batch)
    const year = Number(textOf(batch.createdAt).slice(0, 4)) || 2000
    const used = serials.get(year) ?? []
    const fresh = nextSerials(USUAL_SERIALS, year, used.slice(-1), own.length)
    serials.set(year, [...used, ...fresh])
    own.forEach(({ record }, i) => {
      blades.push({ ...record, serial: fresh[i] })
    })
    marks.set(textOf(batch.id), marksOf(own))
  }
  return {
    shop,
    blades,
    batches: old.batches.map(batch => batchWithIds(batch, shop)),
    readings: old.readings.map(reading => readingWithIds(reading, marks.get(textOf(reading.batchId)))),
    recipes: old.recipes.map(withGradeId),
    runs: old.runs.map(run => runWithIds(run, marks.get(textOf(run.batchId)))),
    grades: old.grades.map(sheet => ({ ...sheet, id: ownGradeId(textOf(sheet.name)) })),
    logs: old.logs,
  }
}

function shopWithIds(shop: Stored, origin: string): Stored {
  const ovens = rowsOf(shop.ovens)
  const tempering = shop.temperingOven === 'own' ? ovens.find(oven => oven.use === 'tempering') : undefined
  return {
    ...without(shop, 'hardeningOven', 'temperingOven', 'block'),
    origin,
    serialPattern: USUAL_SERIALS,
    hardeningOvenId: shop.hardeningOven ?? ovens[0]?.id,
    temperingOvenId: tempering?.id ?? null,
    tester: isStored(shop.tester) ? shop.tester : testerOf(shop.block),
  }
}

/** The one check the first versions kept, of a day they did not note. */
function testerOf(block: unknown): Stored {
  if (!isStored(block)) return { dial: true, blocks: [], checks: [] }
  const { certifiedHrc, certifiedSd, readings } = block
  return {
    dial: true,
    blocks: [{ id: 'block-1', name: 'Block', certifiedHrc, certifiedSd, holdsIndents: 100 }],
    checks: [{ id: 'check-1', blockId: 'block-1', at: null, readings }],
  }
}

interface OldBlade {
  readonly mark: string
  readonly groupId: string
  readonly record: Stored
}

/** Marks of a batch with the blades that bear them; of two lines of one mark there are several. */
interface BatchMarks {
  find(mark: string, groupId: string | null): Stored | null
}

function marksOf(blades: readonly OldBlade[]): BatchMarks {
  return {
    find(mark, groupId) {
      const found = blades.filter(b => b.mark === mark && (groupId === null || b.groupId === groupId))
      return found.length === 1 ? (found[0] as OldBlade).record : null
    },
  }
}

function bladesOfBatch(batch: Stored): OldBlade[] {
  const notes = {
    packets: rowsOf(batch.packets),
    rack: rowsOf(batch.rack),
    inspections: rowsOf(batch.inspections),
    tempers: rowsOf(batch.pieceTempers),
    files: rowsOf(batch.files),
  }
  const lines = rowsOf(batch.blades)
  const all = lines.flatMap(line => {
    const count = typeof line.count === 'number' ? line.count : 1
    return Array.from({ length: count }, (_, i) => ({
      mark: count === 1 ? textOf(line.mark) : `${textOf(line.mark)}${i + 1}`,
      line,
      number: i + 1,
    }))
  })
  return all.map(({ mark, line, number }) => {
    // Two blades of one mark: what was noted of the mark is not known to be of either.
    const alone = all.filter(b => b.mark === mark).length === 1
    const of = (rows: readonly Stored[]) => (alone ? rows.filter(row => row.mark === mark) : [])
    const [rack] = of(notes.rack)
    const [inspection] = of(notes.inspections)
    const [tempers] = of(notes.tempers)
    const files = of(notes.files).map(row => without(row, 'mark'))
    const packet = alone ? notes.packets.find(row => marksIn(textOf(row.mark)).includes(mark)) : undefined
    return {
      mark,
      groupId: textOf(line.groupId),
      record: {
        id: `${textOf(line.id)}.${number}`,
        batchId: batch.id,
        lineId: line.id,
        number,
        serial: '',
        removedAt: null,
        ...(rack ? { rack: without(rack, 'mark') } : {}),
        ...(packet ? { packet: without(packet, 'mark') } : {}),
        ...(inspection ? { inspection: without(inspection, 'mark') } : {}),
        ...(tempers ? { tempers: tempers.tempers } : {}),
        ...(files.length > 0 ? { files } : {}),
      },
    }
  })
}

/**
 * The marks a packet of several was known by, written out.
 * @example marksIn('A1 to A3, B1') // ['A1', 'A2', 'A3', 'B1']
 */
function marksIn(text: string): string[] {
  return text.split(', ').flatMap(part => {
    const run = /^(.*?)(\d+) to \1(\d+)$/.exec(part)
    if (!run) return [part]
    const [from, to] = [Number(run[2]), Number(run[3])]
    return Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => `${run[1]}${from + i}`)
  })
}

function batchWithIds(batch: Stored, shop: Stored): Stored {
  const ovens = rowsOf(shop.ovens)
  const name = textOf(batch.oven)
  // A batch without a name was hardened in the shop's first choice; one whose oven is gone keeps the name to be said.
  const oven =
    name === ''
      ? ovens.find(o => o.id === shop.hardeningOvenId)
      : ovens.find(o => o.name === name && o.use === 'hardening')
  const unplaced = unplacedOf(batch)
  return {
    ...without(batch, 'blades', 'oven', 'packets', 'rack', 'inspections', 'pieceTempers', 'files'),
    lines: rowsOf(batch.blades).map(line => without(line, 'count')),
    groups: rowsOf(batch.groups).map(group => ({
      ...withGradeId(group),
      decisions: rowsOf(group.decisions).map(decision => ({ by: 'words', ...decision })),
    })),
    ovenId: oven?.id ?? null,
    ovenName: oven ? textOf(oven.name) : name,
    ...(unplaced.length > 0 ? { unplaced } : {}),
  }
}

/** Notes under marks that no blade of the batch bears, or that two bear, by mark. */
function unplacedOf(batch: Stored): Stored[] {
  const known = bladesOfBatch(batch).map(blade => blade.mark)
  const isKnown = (mark: string) => known.filter(other => other === mark).length === 1
  const notes = new Map<string, Stored>()
  const keep = (mark: string, note: Stored) => {
    if (mark !== '') notes.set(mark, { ...notes.get(mark), mark, ...note })
  }
  for (const row of rowsOf(batch.packets))
    for (const mark of marksIn(textOf(row.mark))) if (!isKnown(mark)) keep(mark, { packet: without(row, 'mark') })
  for (const row of rowsOf(batch.inspections))
    if (!isKnown(textOf(row.mark))) keep(textOf(row.mark), { inspection: without(row, 'mark') })
  for (const row of rowsOf(batch.pieceTempers))
    if (!isKnown(textOf(row.mark))) keep(textOf(row.mark), { tempers: row.tempers })
  for (const row of rowsOf(batch.files)) {
    const mark = textOf(row.mark)
    if (!isKnown(mark)) keep(mark, { files: [...rowsOf(notes.get(mark)?.files), without(row, 'mark')] })
  }
  return [...notes.values()]
}

function readingWithIds(reading: Stored, marks: BatchMarks | undefined): Stored {
  const [mark, groupId] = [textOf(reading.piece), textOf(reading.groupId)]
  const blade = marks?.find(mark, groupId) ?? marks?.find(mark, null) ?? null
  const rest = without(reading, 'piece', 'groupId')
  return blade ? { ...rest, bladeId: blade.id } : { ...rest, bladeId: null, unplaced: { mark, groupId } }
}

function runWithIds(run: Stored, marks: BatchMarks | undefined): Stored {
  const steps = rowsOf(run.steps)
  return {
    ...run,
    steps: steps.map((step, i) => {
      const pieces = Array.isArray(step.pieces) ? step.pieces.map(textOf) : []
      return {
        ...without(step, 'pieces', 'title', 'action', 'detail'),
        kind: kindOf(step, steps[i - 1], pieces.length > 0),
        bladeIds: pieces.flatMap(mark => marks?.find(mark, null)?.id ?? []),
        names: {},
        told: { title: step.title, action: step.action, detail: step.detail },
      }
    }),
  }
}

/** Steps were told apart by their wording in part; their order, waits and set points tell the same. */
function kindOf(step: Stored, before: Stored | undefined, moves: boolean): unknown {
  const waits = isStored(step.wait) ? step.wait.kind : null
  if (step.kind === 'start' && step.ovenSetC !== 0) return 'oven-off'
  if (step.kind === 'start') return before?.kind === 'load' ? 'oven-on-loaded' : 'oven-on'
  if (step.kind === 'soak') return waits === 'seconds' ? 'equalise' : 'full-heat'
  if (step.kind === 'pull' && !moves) return 'unclamp'
  if (step.kind === 'temper-start' && waits === 'seconds') return 'temper-cool'
  return step.kind
}
