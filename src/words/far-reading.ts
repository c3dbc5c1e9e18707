import type { FarReading } from '../core/rockwell/far-reading'
import { listOf } from './lists'
import { hrcText } from './speaker'

/** A question about readings that cannot be meant: “6.0 HRC beside 60.5 and 61.0: is a digit missing?” */
export function farReadingWords(far: readonly FarReading[]): string {
  const said = far.map(({ hrc, against }) => `${hrcText(hrc)} HRC beside ${listOf(against.map(hrcText))}`)
  return `${said.join('; ')}: is a digit missing, or is it meant?`
}
