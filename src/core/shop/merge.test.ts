import { describe, expect, it } from 'vitest'
import { takeBack } from './merge'

describe('taking a change back', () => {
  const before = { a: 1, b: [1], rev: 1 }
  const after = { a: 2, b: [1], rev: 2 }

  it('restores what it changed and keeps what came since', () => {
    expect(takeBack({ a: 2, b: [1, 2], rev: 3 }, before, after, ['rev'])).toEqual({ a: 1, b: [1, 2], rev: 3 })
  })

  it('refuses where the same part was changed again', () => {
    expect(takeBack({ a: 9, b: [1], rev: 3 }, before, after, ['rev'])).toBeNull()
  })

  it('finds records by their ids: one blade goes back, what another got since stays', () => {
    const was = {
      blades: [
        { id: '1', leak: null },
        { id: '2', leak: null },
      ],
    } as const
    const became = {
      blades: [
        { id: '1', leak: 'scale' },
        { id: '2', leak: null },
      ],
    }
    const now = {
      blades: [
        { id: '2', leak: 'pinhole' },
        { id: '1', leak: 'scale' },
      ],
    }
    expect(takeBack<object>(now, was, became)).toEqual({ blades: [{ id: '2', leak: 'pinhole' }, was.blades[0]] })
  })

  it('takes a record it added out, and puts one it removed back where it was', () => {
    const [a, b, c, d] = ['a', 'b', 'c', 'd'].map(id => ({ id }))
    expect(takeBack<object>({ list: [a, d, c] }, { list: [a, b] }, { list: [a, d] })).toEqual({ list: [a, b, c] })
  })

  it('refuses where the record it changed was changed again', () => {
    const list = (n: number) => ({ list: [{ id: 'a', n }] })
    expect(takeBack(list(3), list(1), list(2))).toBeNull()
  })

  it('drops a field it had added', () => {
    expect(takeBack<{ a: number; b?: number }>({ a: 1, b: 2 }, { a: 1 }, { a: 1, b: 2 })).toEqual({ a: 1 })
  })
})
