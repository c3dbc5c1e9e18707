import { HARDNESS_CHECKS, type HardnessCheck } from '../../data/checks'
import { findGrade } from './grades'
import { finalHrc } from './hrc-path'
import type { Steel } from './steel'

const steelOf = ({ steel }: HardnessCheck): Steel => {
  if ('composition' in steel) return steel
  const grade = findGrade(steel.grade)
  if (!grade) throw new RangeError(`check names an unknown grade: ${steel.grade}`)
  return grade
}

/** What the model says where a hardness is stated, HRC. */
export const checkedHrc = (check: HardnessCheck): number =>
  finalHrc(steelOf(check), {
    austenitizeC: check.austenitizeC,
    soakMin: check.soakMin,
    quenchedToC: 25,
    cold: check.coldToC === null ? null : { toC: check.coldToC, holdMin: 60, delayMin: 30 },
    tempers: check.tempersC.map(atC => ({ atC, holdMin: 120 })),
  })

const signed = (value: number) => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)}`

/** Every check with its stated and predicted value, as the Markdown table of docs/method.md. */
export function checkTable(): string {
  const rows = HARDNESS_CHECKS.map(check => {
    const model = checkedHrc(check)
    const cold = check.coldToC === null ? 'none' : `${check.coldToC} °C`.replace('-', '−')
    const route = `${check.austenitizeC} °C ${check.soakMin} min, cold ${cold}, ${check.tempersC.map(c => `${c} °C`).join(' + ') || 'untempered'}`
    return `| ${check.name} | ${route} | ${check.statedHrc} | ${model.toFixed(1)} | ${signed(model - check.statedHrc)} | ${check.source} |`
  })
  return [
    '| check | route | stated HRC | model | off | source |',
    '| --- | --- | --- | --- | --- | --- |',
    ...rows,
  ].join('\n')
}
