import { useState } from 'react'
import { type Problem, problem } from '../../core/codes/problem'
import { ok, type Result } from '../../core/codes/result'
import { type Carried, unpackCode } from '../../core/files/code'
import { takeCarried } from '../../store/carried'
import { Problems } from '../../ui/Problems'
import { carriedWords } from '../../words/files'
import { startCodeReader } from '../../workers/code-client'
import { FileButton } from '../workshop/WorkshopFile'
import { Camera } from './Camera'

/** The bytes of the code in a picture; null where there is none, or where the file is no picture. */
async function codeInPicture(file: File): Promise<Result<Uint8Array | null>> {
  const picture = await createImageBitmap(file).catch(() => null)
  if (!picture) return ok(null)
  const reader = startCodeReader()
  return reader.codeIn(picture).finally(reader.stop)
}

/** Looks for a code by camera or in a picture, says what it carries, and takes it on a press. */
export default function ReadCode() {
  const [carried, setCarried] = useState<Carried | null>(null)
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const [isFilming, setFilming] = useState(false)
  const read = async (bytes: Uint8Array) => {
    const found = await unpackCode(bytes)
    setFilming(false)
    setProblems(found.ok ? [] : found.problems)
    setCarried(found.ok ? found.value : null)
  }
  const picture = async (file: File) => {
    setCarried(null)
    const found = await codeInPicture(file)
    if (!found.ok) setProblems(found.problems)
    else if (found.value) await read(found.value)
    else setProblems([problem('code-none', {})])
  }
  return (
    <div className="my-2 space-y-3">
      <p className="text-small text-ink-2">
        A recipe or a blade that another browser shows with <em>As a code</em>. Nothing is stored before you say so, and
        nothing leaves this browser.
      </p>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => setFilming(!isFilming)}>
          {isFilming ? 'Camera off' : 'By camera'}
        </button>
        <FileButton className="btn" label="Picture of a code" accept="image/*" onFile={file => void picture(file)}>
          In a picture …
        </FileButton>
      </div>
      {isFilming && (
        <Camera
          onCode={bytes => void read(bytes)}
          onFail={why => {
            setFilming(false)
            setProblems([why])
          }}
        />
      )}
      {problems.length > 0 && <Problems of={problems} />}
      {carried && <Take key={carried.kind === 'recipe' ? carried.recipe.id : carried.blade.id} carried={carried} />}
    </div>
  )
}

/** Shows the contents of a code, and adds them to the log. */
function Take({ carried }: { carried: Carried }) {
  const [href, setHref] = useState<{ readonly to: string; readonly isNew: boolean } | null>(null)
  const take = async () => {
    const done = await takeCarried(carried)
    if (done.taken !== 'refused') setHref({ to: done.href, isNew: done.taken === 'added' })
  }
  return (
    <div className="border-l-3 border-ember pl-3">
      <p>{carriedWords(carried)}</p>
      {href ? (
        <p role="status">
          {href.isNew ? 'It is in the log now. ' : 'It was in the log already; nothing was changed. '}
          <a className="link" href={href.to}>
            Open it
          </a>
        </p>
      ) : (
        <button type="button" className="btn btn-ember mt-1" onClick={() => void take()}>
          Take it
        </button>
      )}
    </div>
  )
}
