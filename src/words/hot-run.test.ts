import { describe, expect, it } from 'vitest'
import type { BoardRow } from '../core/run/board'
import { runStateAt } from '../core/run/run-state'
import { INCIDENT_NAMES, INCIDENTS, SAFE_STATE, STOP_REASONS } from '../data/incidents'
import { befell, pressed, runOf, showed, trayOfBlades } from '../testing/run'
import {
  afterCutChoices,
  afterCutStanding,
  countWords,
  meanwhileWords,
  nextWords,
  PLACE_WORDS,
  soakedWords,
  windowWords,
} from './board'
import { clockText, parseClock } from './clock-text'
import { cueWords, helperNowWords, roleWords } from './cues'
import { drillWords, habitWords, metWords, seenWords } from './drill'
import { happenedWords, INCIDENT_WORDS, incidentText, SAFE_WORDS, STOP_WORDS } from './incidents'
import { eventText } from './run-log'
import { overSoakWords } from './soak-effect'
import { speakerOf } from './speaker'

const batch = trayOfBlades(3)
const run = runOf(batch)
const [blade] = run.blades
if (!blade) throw new Error('blade')
const row = (part: Partial<BoardRow>): BoardRow => ({
  blade: { ...blade, soakMin: 12, longestMin: 38 },
  place: 'soaking',
  soakedS: 863,
  overS: 0,
  next: { kind: 'pull', inS: 38 },
  isPresent: false,
  ...part,
})

describe('what happens in a run, in words', () => {
  it('every incident has its name, its question where it asks for a time, and what follows', () => {
    for (const name of INCIDENT_NAMES) {
      const asks: readonly string[] = INCIDENTS[name].asks
      expect(INCIDENT_WORDS[name].asks === '').toBe(!asks.some(one => one !== 'blades'))
      expect(INCIDENT_WORDS[name].asks).toMatch(/^$|\?$/)
      expect(INCIDENT_WORDS[name].after).toMatch(/\.$/)
    }
    for (const reason of STOP_REASONS) expect(STOP_WORDS[reason]).toMatch(/^[A-Z]/)
    for (const point of SAFE_STATE) expect(SAFE_WORDS[point]).toMatch(/^[A-Z]/)
  })

  it('says which blade and how long, and no time where none was asked', () => {
    const text = (...of: Parameters<typeof befell>) => {
      const event = befell(...of)
      if (event.kind !== 'incident') throw new Error('incident')
      return [incidentText(event, batch), happenedWords(event, batch)]
    }
    expect(text(5, 'cracked', ['A1', 'A2'])[0]).toBe('Cracked: A1 and A2')
    expect(text(5, 'vice-late', ['A3'], 30)[0]).toBe('Vice closed late: A3, 30 s')
    expect(text(5, 'power-cut', [], 1200)[0]).toBe('Power cut, 20 min')
    expect(text(5, 'helper-gone')[1]).toMatch(/^Helper gone\. The pull list is that of one pair of hands/)
  })

  it('a log has every kind of line', () => {
    const [imperial, metric] = [speakerOf('imperial'), speakerOf('metric')]
    expect(eventText(showed(5, 1049), null, batch, metric)).toBe('The display showed 1049 °C')
    expect(eventText(showed(5, 1049), null, batch, imperial)).toBe('The display showed 1920 °F')
    expect(eventText(pressed(5, 's1'), run.steps[0] ?? null, batch, metric)).toBe('All ready')
    expect(eventText({ id: 'm', atS: 5, kind: 'add-minutes', stepId: 's1', minutes: 2 }, null, batch, metric)).toBe(
      '2 min more',
    )
  })
})

describe('the board in words', () => {
  it('says where a blade is and what comes next', () => {
    expect(nextWords(row({}))).toBe('pull in 0:38')
    expect(nextWords(row({ next: { kind: 'pull', inS: -3 } }))).toBe('pull now')
    expect(nextWords(row({ next: { kind: 'unclamp', inS: 22 } }))).toBe('out of the plates in 0:22')
    expect(nextWords(row({ next: { kind: 'cold-in', inS: null } }))).toBe('goes into the cold')
    expect(nextWords(row({ next: null }))).toBe('done')
    expect(nextWords(row({ place: 'gone' }))).toBe('set aside')
    expect(new Set(Object.values(PLACE_WORDS)).size).toBe(Object.keys(PLACE_WORDS).length)
  })

  it('gives a soak in its window, and what is over', () => {
    expect([soakedWords(row({})), windowWords(row({}).blade)]).toEqual(['14:23', '12 to 38 min'])
    expect(soakedWords(row({ soakedS: 2400, overS: 120 }))).toBe('40:00, 2:00 over')
    expect(soakedWords(row({ soakedS: null }))).toBe('')
    expect(windowWords({ ...blade, soakMin: 20, longestMin: null })).toBe('20 min')
  })

  it('says what too long a soak does, and how much it hurries', () => {
    const effect = { groupId: 'g', soakMin: 50, hrcChange: 0.05, austeniteChange: 0.01, coarsens: false }
    expect(overSoakWords('A3', 12, effect)).toBe(
      'A3: 12 min over the longest soak. Hardness stays within a few tenths. The grain still holds. Pull it next.',
    )
    expect(overSoakWords('A3', 12, { ...effect, hrcChange: -0.6, austeniteChange: 0.07, coarsens: true })).toBe(
      'A3: 12 min over the longest soak. Finished hardness −0.6 HRC, retained austenite +7 %. The grain grows at this temperature: pull it now.',
    )
    expect(overSoakWords('A3', 12, null)).toBe('A3: 12 min over the longest soak. Pull it next.')
  })
})

describe('what is spoken', () => {
  const words = { title: 'Pull A3', action: 'Pull A3, clamp, air on', detail: '' }
  it('is short, with the act last and who it is for first', () => {
    expect(cueWords({ kind: 'ahead', s: 60 }, words, null)).toBe('Pull A3 in one minute.')
    expect(cueWords({ kind: 'ahead', s: 10 }, words, 'oven')).toBe('Oven: Pull A3 in 10 seconds.')
    expect(cueWords({ kind: 'late', s: 120 }, words, null)).toBe('Pull A3 is 2 min late.')
  })

  it('is one line for each of two people at a pull', () => {
    const pull = run.steps.find(step => step.kind === 'pull')
    if (!pull) throw new Error('pull')
    const [, second, third] = run.blades
    const last = {
      ...pull,
      bladeIds: [third?.bladeId ?? ''],
      names: { ...pull.names, afterBladeId: second?.bladeId ?? '' },
    }
    expect(roleWords(last, words, batch)).toEqual({
      oven: 'Pull A3, door shut',
      plates: 'A2 out. Clamp A3, air on',
    })
    expect(helperNowWords('A2 out. Clamp A3, air on', false)).toBe('Wait, then: A2 out. Clamp A3, air on')
    expect(roleWords({ ...pull, kind: 'load' }, words, batch).plates).toBe('Nothing now')
  })
})

describe('a clock that is typed', () => {
  it('is read as it is shown, and minutes alone', () => {
    for (const s of [0, 59, 60, 3599, 3600, 34_530]) expect(parseClock(clockText(s))).toBe(s)
    expect(parseClock('90')).toBe(5400)
    for (const text of ['', 'noon', '1:2:3:4', '-5', '1h']) expect(parseClock(text)).toBeNull()
  })
})

describe('where blades are counted', () => {
  it('says what went in, what must come out, and by name what does not', () => {
    const pressedAll = run.steps.slice(
      0,
      run.steps.findIndex(step => step.kind === 'inspect'),
    )
    const at = { ...run, events: pressedAll.map((step, i) => pressed(100 * i, step.id)) }
    expect(countWords(runStateAt(at, 1e5), batch)).toBe('Count: 3 went in, 3 must come out. ')
    const lost = { ...at, events: [...at.events, befell(9e4, 'missing', ['A2']), befell(9e4, 'cracked', ['A3'])] }
    expect(countWords(runStateAt(lost, 1e5), batch)).toBe(
      'Count: 3 went in, 1 must come out; A2 missing and A3 cracked. ',
    )
    expect(countWords(runStateAt(run, 0), batch)).toBe('')
  })

  it('says how oven and blades stand once the power is back, and how it can go on', () => {
    const say = speakerOf('imperial')
    const rows = [row({ soakedS: 480 }), row({ place: 'rack', soakedS: 900 })]
    expect(afterCutStanding(rows, 940, say)).toBe(
      'By its model the oven shows about 1724 °F now. The blades in it have soaked 8:00 at most; heated anew, both soaks add up in the grain.',
    )
    expect(afterCutStanding([], 940, say)).toMatch(/No blade in it is at heat/)
    expect(afterCutStanding(rows, null, say)).toBeNull()
    expect(afterCutChoices(say)[0]?.label).toContain('more than 270 °F below its heat')
  })

  it('says what oven and blades came to while nobody looked', () => {
    const say = speakerOf('imperial')
    const rows = [row({ soakedS: 2400, overS: 120 }), row({ place: 'rack', soakedS: 900 })]
    expect(meanwhileWords(rows, 1065, batch, say)).toBe(
      'If the power stayed on, the oven shows about 1949 °F now. The blades in it have soaked up to 40:00. Over the longest soak: A1.',
    )
    expect(meanwhileWords(rows, null, batch, say)).toBeNull()
  })
})

describe('a practice with surprises, in words', () => {
  const surprise = { incident: 'bent' as const, stepId: 's5', afterS: 5, bladeId: 'A2', seconds: 0 }

  it('shows what one would see and leaves the name to the trainee', () => {
    for (const incident of INCIDENT_NAMES) {
      const seen = seenWords({ surprise: { ...surprise, incident } }, batch)
      expect(seen).toMatch(/\.$/)
      expect(seen.toLowerCase()).not.toContain(INCIDENT_WORDS[incident].name.toLowerCase())
    }
    expect(seenWords({ surprise }, batch)).toBe('Light shows under the tip of A2.')
  })

  it('says how each was met, and how the whole went', () => {
    const answer = befell(130, 'bent', ['A2'])
    if (answer.kind !== 'incident') throw new Error('incident')
    expect(metWords({ surprise, atS: 100, answer }, batch)).toBe('Bent: A2. Called after 0:30.')
    expect(metWords({ surprise, atS: 100, answer: null }, batch)).toBe('Bent: A2. Not called.')
    const pulls = [{ bladeId: 'A1', soakedS: 800, bestS: 720, offS: 80, tooSoonS: 0 }]
    const happenings = [{ surprise, atS: 100, answer }]
    expect(drillWords({ happenings, imagined: 1, pulls, habit: 'none' })).toBe(
      '1 of 1 surprise called. 1 called that had not happened. The soak furthest from the best possible is 1:20 off',
    )
    expect(
      drillWords({ happenings, imagined: 0, pulls: [{ ...pulls[0], tooSoonS: 25 } as never], habit: 'plates' }),
    ).toContain('The plates had 0:25 less than they needed at the worst pull')
    for (const habit of ['see', 'quicker', 'in-time', 'not-early', 'plates', 'none'] as const)
      expect(habitWords(habit)).toMatch(/\.$/)
  })
})
