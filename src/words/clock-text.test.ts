import { expect, it } from 'vitest'
import { clockText } from './clock-text'

it.each([
  [0, '0:00'],
  [22, '0:22'],
  [940, '15:40'],
  [7510, '2:05:10'],
  [59.6, '1:00'],
  [3599.7, '1:00:00'],
  [-75, '+1:15'],
  [-0.4, '0:00'],
])('%f s is %s', (seconds, text) => {
  expect(clockText(seconds)).toBe(text)
})
