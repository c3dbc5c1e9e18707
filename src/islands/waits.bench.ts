import { bench, describe } from 'vitest'
import type { Result } from '../core/codes/result'
import { answerQuestion } from '../core/contract/question'
import { QUESTIONS, type QuestionName } from '../core/contract/questions'
import { looseEndsOf } from '../core/files/loose-ends'
import { matchColumns, oldRecords, readTable, unitsOf } from '../core/files/old-records'
import { importOutline } from '../core/files/outline/import-outline'
import { parseExchange } from '../core/files/read-exchange'
import { readingsCsv } from '../core/files/readings-csv'
import { exportText } from '../core/files/write-exchange'
import { createShopMemory } from '../core/learn/shop-memory'
import { withBlades } from '../core/shop/batch-records'
import { findGrade, gradesWith } from '../core/steel/grades'
import { predict } from '../core/steel/predict'
import type { Steel } from '../core/steel/steel'
import { makeDemoWorkshop } from '../simulators/demo/make-demo'
import { heatColour } from '../ui/heatline/colour'

/** Returns the answer, or throws for a refusal, which would measure nothing. */
function answered<T>(result: Result<T>): T {
  if (!result.ok) throw new RangeError(JSON.stringify(result.problems))
  return result.value
}

const steel = findGrade('X153CrMoV12') as Steel
const route = {
  austenitizeC: 1020,
  soakMin: 30,
  quenchedToC: 25,
  cold: null,
  tempers: [{ atC: 200, holdMin: 120 }],
}

describe('what a page waits for as it opens, against the figures of one batch', () => {
  const data = makeDemoWorkshop(1, new Date(Date.UTC(2031, 2, 3)))
  const batches = withBlades(data.batches, data.blades)
  const { shop, readings } = data
  const [newest] = batches
  if (!newest) throw new RangeError('the demo has no batch')
  const own = readings.filter(reading => reading.batchId === newest.id)
  const taught = () => {
    const memory = createShopMemory()
    memory.teach({ batches, readings, tester: shop.tester })
    return memory
  }
  const memory = taught()
  const asked = async (name: QuestionName, input: unknown) =>
    answered(answerQuestion(await QUESTIONS[name](), input, memory))

  bench('the figures of a batch, through its door', async () => {
    await asked('batch', { batch: newest, shop, readings: own })
  })
  bench('learning from the log of fifteen batches', () => void taught())
  bench('what was measured lately', async () => {
    await asked('lately', { batches: batches.slice(0, 5), readings, tester: shop.tester, learning: true })
  })
  bench('a map of a recipe, through its door', async () => {
    await asked('recipe-map', {
      steel: { grade: 'X153CrMoV12' },
      route,
      austenitizeC: { min: 960, max: 1100 },
      temperC: { min: 100, max: 600 },
      size: 80,
      learnt: null,
      lines: [59, 61],
    })
  })
})

describe('files, against reading a workshop file of fifteen batches', () => {
  const data = makeDemoWorkshop(1, new Date(Date.UTC(2031, 2, 3)))
  const text = exportText(data, '2031-03-03T00:00:00.000Z')
  const batches = withBlades(data.batches, data.blades)
  const old = `date,steel,hrc,austenitize\n${Array.from({ length: 2000 }, (_, i) => `2019-03-${String(1 + (i % 28)).padStart(2, '0')},X65Cr13,${58 + (i % 5)},1060`).join('\n')}`
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="40mm" viewBox="0 0 300 40"><path d="M0 0${Array.from({ length: 500 }, (_, i) => ` L${(i * 0.6).toFixed(1)} ${(i % 7).toFixed(1)}`).join('')} L300 40 L0 40 Z"/></svg>`
  bench('a workshop file read and checked', () => void answered(parseExchange(text)))
  bench('what points nowhere in it', () => void looseEndsOf(data))
  bench('everything written as a workshop file', () => void exportText(data, '2031-03-03T00:00:00.000Z'))
  bench('every reading as CSV', () => void readingsCsv(data.readings, batches))
  bench('2,000 lines of old notes', () => {
    const { head, rows } = answered(readTable(old))
    const columns = matchColumns(head)
    answered(oldRecords(rows, columns, unitsOf(head, rows, columns), gradesWith([])))
  })
  bench('a drawing of 500 points', () => void answered(importOutline('blade.svg', drawing)))
})

describe('what every mark of a drawing asks for, against a prediction', () => {
  bench('one prediction', () => void predict(steel, route))
  bench('the colours of a Heat Line', () => {
    for (let c = 20; c < 1100; c++) heatColour(c, 'soak')
  })
})
