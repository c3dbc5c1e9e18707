import type { OnItsWay } from './use-file-reading'

/** Says that a file is being read, with the way to stop it. */
export const FileOnItsWay = ({ file }: { file: OnItsWay | null }) =>
  file && (
    <p role="status" className="mt-2 flex w-full flex-wrap items-center gap-3 text-small text-ink-2">
      Reading {file.name} …
      <button type="button" className="btn" onClick={file.stop}>
        Stop
      </button>
    </p>
  )
