import { createRandom } from '../core/numeric/random'

/** Character of a stand-in tester. */
export interface TesterTemper {
  /** Off by so much from the start, and so much more after every hundred readings, HRC. */
  readonly biasHrc: number
  readonly driftPer100: number
  readonly noiseSdHrc: number
  /** A dial is read to half a point, a digital one shows tenths. */
  readonly dial: boolean
  readonly seed: number
}

export const USUAL_TESTER: TesterTemper = { biasHrc: 0.4, driftPer100: 0.1, noiseSdHrc: 0.25, dial: true, seed: 5 }

/**
 * A stand-in for a Rockwell tester on the line protocol: `ID?`, `READ?` (gives `HRC 60.5`), and for the simulation `TRUE 60.3`, the
 * hardness under its cone. A reading out of its scale gives `ERR`.
 */
export function createHardnessTester(temper: TesterTemper = USUAL_TESTER) {
  const random = createRandom(temper.seed)
  let trueHrc = 60
  let taken = 0
  return {
    handle(line: string): string {
      const [word = '', value = ''] = line.trim().toUpperCase().split(/\s+/)
      if (word === 'ID?') return 'ID simulated-tester 1'
      if (word === 'TRUE') {
        const hrc = Number(value)
        if (!(hrc >= 0 && hrc <= 75)) return 'ERR a hardness from 0 to 75 HRC is expected'
        trueHrc = hrc
        return 'OK'
      }
      if (word !== 'READ?') return `ERR “${line.slice(0, 40)}” is not a command of this tester. It knows ID? and READ?.`
      taken++
      const shown = trueHrc + temper.biasHrc + (temper.driftPer100 * taken) / 100 + random.normal(0, temper.noiseSdHrc)
      if (shown < 20 || shown > 70) return 'ERR outside the C scale, 20 to 70 HRC'
      return `HRC ${(temper.dial ? Math.round(shown * 2) / 2 : Math.round(shown * 10) / 10).toFixed(1)}`
    },
  }
}

/** The value of a reading's answer; null for any other line. */
export function readHardness(line: string): number | null {
  const match = /^HRC (\d{1,2}(?:\.\d+)?)$/.exec(line.trim())
  return match ? Number(match[1]) : null
}
