import { Command } from 'cmdk'
import type { Grade } from '../data/grades'

interface Props {
  readonly label: string
  readonly grades: readonly Grade[]
  readonly onChoose: (grade: Grade) => void
  readonly autoFocus?: boolean
}

/** A steel found by any of its names: EN, number, AISI or UNS. */
export function SteelSearch({ label, grades, onChoose, autoFocus }: Props) {
  return (
    <Command label={label} className="border border-rule-strong">
      <Command.Input
        autoFocus={autoFocus}
        placeholder="Name or number, such as D2, 440C or 1.4116"
        className="field !border-0 !border-b !border-rule-strong"
      />
      <Command.List className="max-h-56 overflow-y-auto">
        <Command.Empty className="p-3 text-small text-ink-2">
          No steel by that name. Add it under Steels, from its sheet.
        </Command.Empty>
        {grades.map(grade => (
          <Command.Item
            key={grade.id}
            value={grade.id}
            keywords={[grade.name, ...grade.alsoNamed]}
            onSelect={() => onChoose(grade)}
            className="flex min-h-touch cursor-pointer items-center justify-between gap-3 px-3 text-small data-[selected=true]:bg-ember-wash"
          >
            <span>
              <strong>{grade.name}</strong> <span className="text-ink-2">{grade.alsoNamed.join(', ')}</span>
            </span>
            <span className="shrink-0 text-ink-2">
              usually {grade.usualTarget.minHrc} to {grade.usualTarget.maxHrc} HRC
            </span>
          </Command.Item>
        ))}
      </Command.List>
    </Command>
  )
}
