import { addMinutes } from 'date-fns/addMinutes'
import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator'
import { minutesBetween } from '../../core/units/time'
import { taskWords } from '../../words/day'
import type { NameOf } from './day-view'
import type { Day, DayPlan } from './use-day'

/** Told so long before an act, s. */
const ALARM_S = 600
/** Sequence numbers count minutes from here: a later export is a newer version of the same event. */
const COUNTED_FROM_MS = Date.UTC(2026, 0, 1)

/**
 * The acts of a plan that are left as iCalendar (RFC 5545), each with an alarm. An act is known by its blades and its round, so that a
 * second import moves it and does not double it.
 */
export function dayCalendar(
  plan: Pick<DayPlan, 'tasks'>,
  { origin, nowMin, answer, batches }: Pick<Day, 'origin' | 'nowMin' | 'answer' | 'batches'>,
  nameOf: NameOf,
  exportedAt: Date,
): string {
  const calendar = ical({
    name: 'Heat treatment',
    prodId: '//Tawny Ember//Day plan//EN',
    method: ICalCalendarMethod.PUBLISH,
  })
  for (const task of plan.tasks.filter(one => one.endMin > nowMin)) {
    const group = answer?.groups.find(({ id }) => id === task.groups[0])
    const batch = batches.find(({ id }) => id === group?.batchId)
    const round = task.rounds?.[task.groups[0] ?? ''] ?? 0
    const event = calendar.createEvent({
      id: `${group?.bladeIds[0] ?? task.groups[0]}-${task.kind}-${task.load ?? 0}-${round}@tawny-ember`,
      sequence: Math.max(0, Math.floor(minutesBetween(COUNTED_FROM_MS, exportedAt.getTime()))),
      stamp: exportedAt,
      start: addMinutes(origin, task.startMin),
      end: addMinutes(origin, task.endMin),
      summary: `${task.byHelper ? 'Helper: ' : ''}${taskWords(task.kind, nameOf(task.groups))}`,
      description: batch?.name ?? '',
    })
    event.createAlarm({
      type: ICalAlarmType.display,
      trigger: ALARM_S,
      description: taskWords(task.kind, nameOf(task.groups)),
    })
  }
  return calendar.toString()
}
