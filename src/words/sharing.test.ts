import { describe, expect, it } from 'vitest'
import type { ScreenRow } from '../core/sharing/messages'
import { changedOn, codeWords, ownLogWords, standingWords, troubleWords } from './sharing'

const NOW = { phase: 'in-step', waiting: 0, refusal: null, aheadMs: 0 } as const
const TABLET: ScreenRow = {
  id: 't',
  name: 'Tablet at the oven',
  role: 'works',
  addedAt: '',
  lastSeenAt: null,
  isHere: true,
  stampsAs: ['old', 'new'],
  leads: null,
}

describe('how a screen stands with the others', () => {
  it('is said in a few words, with what waits', () => {
    expect(standingWords(NOW, '')).toBe('In step')
    expect(standingWords({ ...NOW, waiting: 3 }, '')).toBe('3 changes waiting')
    expect(standingWords({ ...NOW, phase: 'away' }, '14:02')).toBe('Offline since 14:02')
    expect(standingWords({ ...NOW, phase: 'away', waiting: 1 }, '14:02')).toBe('Offline since 14:02, 1 change waiting')
  })

  it('says what to do where something is wrong: a clock from five seconds on', () => {
    expect(troubleWords(NOW)).toBeNull()
    expect(troubleWords({ ...NOW, aheadMs: 4000 })).toBeNull()
    expect(troubleWords({ ...NOW, aheadMs: -90_000 })).toContain('90 s behind the server’s')
    expect(troubleWords({ ...NOW, aheadMs: 86_400_000 })).toContain('24 h ahead of the server’s')
    expect(troubleWords({ ...NOW, refusal: 'disk' })).toContain('Make room')
  })
})

it('a code is read aloud in two halves', () => expect(codeWords('PADGJBZY6E')).toBe('PADGJ-BZY6E'))

it('what becomes of a log of one’s own is said before anything happens to it', () => {
  const own = { is: 'other', name: 'Shed', batches: 2 } as const
  expect(ownLogWords(own, 'Gannet Forge')).toContain('saved to a file first')
  expect(ownLogWords({ ...own, is: 'same' }, 'Gannet Forge')).toContain('nothing is lost on either side')
  expect(ownLogWords({ ...own, is: 'none' }, null)).toContain('becomes the one that all screens share')
})

it('a change is said to be of the screen that stamped it, under whatever name', () => {
  expect(changedOn([1, 'old'], false, [TABLET])).toBe('on Tablet at the oven')
  expect(changedOn([1, 'unknown'], false, [TABLET])).toBe('on another screen')
  expect(changedOn([1, 'unknown'], false, [])).toBe('in the file')
  expect(changedOn(null, true, [])).toBe('here')
})
