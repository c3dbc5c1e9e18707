import { useEffect, useRef, useState } from 'react'
import { type Problem, problem } from '../../core/codes/problem'
import { type Carried, unpackCode } from '../../core/files/code'
import { takeCarried } from '../../store/carried'
import { Problems } from '../../ui/Problems'
import { codeIn } from '../../ui/read-code'
import { carriedWords } from '../../words/files'
import { FileButton } from '../workshop/WorkshopFile'

/** So often a camera's picture is looked at, ms. */
const LOOK_EVERY_MS = 250
/** A picture is looked at no larger than this: a code is seen well in it, px. */
const LARGEST_PX = 1600

/** The pixels of a picture, made smaller where it is large. */
function pixelsOf(image: CanvasImageSource, width: number, height: number): ImageData | null {
  const scale = Math.min(1, LARGEST_PX / Math.max(width, height, 1))
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(width * scale)
  canvas.height = Math.round(height * scale)
  const context = canvas.getContext('2d', { willReadFrequently: true })
  if (!context || canvas.width === 0 || canvas.height === 0) return null
  context.drawImage(image, 0, 0, canvas.width, canvas.height)
  return context.getImageData(0, 0, canvas.width, canvas.height)
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
    const image = await createImageBitmap(file).catch(() => null)
    const pixels = image && pixelsOf(image, image.width, image.height)
    const bytes = pixels && codeIn(pixels)
    if (bytes) await read(bytes)
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
          onFail={() => {
            setFilming(false)
            setProblems([problem('no-camera', {})])
          }}
        />
      )}
      {problems.length > 0 && <Problems of={problems} />}
      {carried && <Take key={carried.kind === 'recipe' ? carried.recipe.id : carried.blade.id} carried={carried} />}
    </div>
  )
}

function Camera({ onCode, onFail }: { onCode: (bytes: Uint8Array) => void; onFail: () => void }) {
  const video = useRef<HTMLVideoElement>(null)
  const told = useRef({ onCode, onFail })
  told.current = { onCode, onFail }
  useEffect(() => {
    let stream: MediaStream | null = null
    let isOver = false
    const begin = async () => {
      // A recipe's code has up to 177 squares a side: the usual 640 pixels would not tell them apart.
      const own = await navigator.mediaDevices.getUserMedia({
        video: { facingMode: 'environment', width: { ideal: 1920 }, height: { ideal: 1080 } },
      })
      // The dialog may be gone by the time the camera is allowed.
      if (isOver) for (const track of own.getTracks()) track.stop()
      else if (video.current) {
        stream = own
        video.current.srcObject = own
        await video.current.play()
      }
    }
    begin().catch(() => told.current.onFail())
    const timer = setInterval(() => {
      const seen = video.current
      const pixels = seen && pixelsOf(seen, seen.videoWidth, seen.videoHeight)
      const bytes = pixels && codeIn(pixels)
      if (bytes) told.current.onCode(bytes)
    }, LOOK_EVERY_MS)
    return () => {
      isOver = true
      clearInterval(timer)
      for (const track of stream?.getTracks() ?? []) track.stop()
    }
  }, [])
  return (
    <>
      <p className="text-small">Hold the code still and upright, so that it fills most of the picture.</p>
      <video ref={video} muted playsInline className="w-full bg-soot" aria-label="What the camera sees" />
    </>
  )
}

/** What a code carries, and its way into the log. */
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
