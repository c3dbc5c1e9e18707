import { expect, it } from 'vitest'
import { gradeOf } from '../../testing/tray'
import { settingOf } from './folklore'
import type { Route } from './route'

const grade = gradeOf('X65Cr13')
const route: Route = {
  austenitizeC: 1060,
  soakMin: 15,
  quenchedToC: 25,
  cold: { toC: -75, holdMin: 60, delayMin: 30 },
  tempers: [
    { atC: 170, holdMin: 120 },
    { atC: 180, holdMin: 120 },
  ],
}

it('is where a maker’s own route stands on the knob: its soak, its cold, its hottest temper', () => {
  expect(settingOf('hotter-softer', grade, route)).toBe(1060)
  expect(settingOf('cold', grade, route)).toBe(2)
  expect(settingOf('cold', grade, { ...route, cold: null })).toBe(0)
  expect(settingOf('hardness-rust', grade, route)).toBe(180)
})

it('is nothing where the route has no such step, or stands beyond the knob', () => {
  expect(settingOf('twice', grade, route)).toBeNull()
  expect(settingOf('hardness-rust', grade, { ...route, tempers: [] })).toBeNull()
  expect(settingOf('cold', grade, { ...route, cold: { toC: -120, holdMin: 60, delayMin: 30 } })).toBeNull()
})
