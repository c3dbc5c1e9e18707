/** Marks the field that readings are typed into. */
export const READINGS_FIELD = 'data-readings-field'

let isAskedFor = false

/** Puts the cursor into the field of readings: now where it stands already, else as soon as it comes. */
export function focusReadings(): void {
  const field = document.querySelector<HTMLInputElement>(`[${READINGS_FIELD}]`)
  if (field) field.focus()
  else focusNextReadings()
}

/** Puts the cursor into the field of readings that comes next, in the place of the one that stands there. */
export function focusNextReadings(): void {
  isAskedFor = true
}

/** Whether the field that comes now was asked for; it is asked for once. */
export function takeFocusReadings(): boolean {
  const asked = isAskedFor
  isAskedFor = false
  return asked
}
