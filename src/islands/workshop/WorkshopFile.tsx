import { useRef } from 'react'
import { percentText } from '../../words/speaker'
import type { Doing } from './use-workshop-file'

interface ButtonProps {
  readonly className: string
  readonly disabled?: boolean
  readonly onFile: (file: File) => void
  readonly children: string
}

/** Chooses a workshop file; the same file can be chosen again. */
export const WorkshopFileButton = (props: ButtonProps) => (
  <FileButton {...props} label="Workshop file" accept=".json,application/json" />
)

/** Chooses a file of some kind; the same file can be chosen again. */
export function FileButton({
  className,
  disabled = false,
  label,
  accept,
  onFile,
  children,
}: ButtonProps & { readonly label: string; readonly accept: string }) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <button type="button" className={className} disabled={disabled} onClick={() => input.current?.click()}>
        {children}
      </button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="sr-only"
        aria-label={label}
        tabIndex={-1}
        onChange={event => {
          const file = event.target.files?.[0]
          event.target.value = ''
          if (file) onFile(file)
        }}
      />
    </>
  )
}

const DOING = {
  reading: 'Reading the file and checking all of it …',
  storing: 'Storing …',
} as const

interface ProgressProps {
  readonly doing: Doing | null
  readonly trouble: string | null
  readonly onStop: () => void
}

/** Shows the progress on a workshop file, with a stop; and the reason of a failure. */
export function WorkshopFileProgress({ doing, trouble, onStop }: ProgressProps) {
  return (
    <>
      {trouble && (
        <p role="alert" className="mt-3 border-l-3 border-bad pl-3 text-bad">
          {trouble}
        </p>
      )}
      {doing && (
        <div className="mt-3 flex flex-wrap items-center gap-3">
          <p role="status">{DOING[doing.what]}</p>
          <progress className="w-60" max={1} value={doing.share ?? undefined} aria-label={DOING[doing.what]} />
          {doing.share !== null && <span className="text-small">{percentText(doing.share)}</span>}
          <button type="button" className="btn" onClick={onStop}>
            Stop
          </button>
        </div>
      )}
    </>
  )
}
