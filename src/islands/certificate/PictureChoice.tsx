import type { Picture } from '../../core/shop/picture'
import { SUBJECT_NAMES } from '../../words/pictures'

type Subject = Picture['of']

interface Props {
  readonly subjects: readonly (readonly [of: Subject, count: number])[]
  readonly wished: ReadonlySet<Subject>
  readonly onWish: (wished: ReadonlySet<Subject>) => void
}

/** Which pictures go onto the paper: none unless they are wished. */
export function PictureChoice({ subjects, wished, onWish }: Props) {
  return (
    <fieldset className="flex flex-wrap items-center gap-x-4 text-small">
      <legend className="text-note text-ink-2">Pictures on it</legend>
      {subjects.map(([of, count]) => (
        <label key={of} className="flex min-h-touch items-center gap-2">
          <input
            type="checkbox"
            checked={wished.has(of)}
            onChange={event =>
              onWish(new Set(event.target.checked ? [...wished, of] : [...wished].filter(one => one !== of)))
            }
          />
          {SUBJECT_NAMES[of]} ({count})
        </label>
      ))}
    </fieldset>
  )
}
