import { useEffect, useRef } from 'react'
import { type Problem, problem } from '../../core/codes/problem'
import { startCodeReader } from '../../workers/code-client'

/** Between two looks at a camera's picture, ms. */
const REST_MS = 150

interface Props {
  readonly onCode: (bytes: Uint8Array) => void
  /** Called once: there is no camera, or nothing that could look at its picture. */
  readonly onFail: (why: Problem) => void
}

/** Reads the camera until a code is found or it is closed. */
export function Camera({ onCode, onFail }: Props) {
  const video = useRef<HTMLVideoElement>(null)
  const told = useRef({ onCode, onFail })
  told.current = { onCode, onFail }
  useEffect(() => {
    const reader = startCodeReader()
    let stream: MediaStream | null = null
    let timer: ReturnType<typeof setTimeout> | undefined
    let isOver = false
    const look = async () => {
      // Between two frames there may be nothing to see.
      const seen = video.current && (await createImageBitmap(video.current).catch(() => null))
      const found = seen && (await reader.codeIn(seen))
      if (isOver) return
      if (found && !found.ok) return told.current.onFail(found.problems[0] ?? problem('worker-failed', {}))
      if (found?.value) told.current.onCode(found.value)
      timer = setTimeout(look, REST_MS)
    }
    const begin = async () => {
      // A recipe's code has up to 177 squares a side: the usual 640 pixels would not tell them apart.
      const own = await navigator.mediaDevices.getUserMedia({
        video: { facingMode: 'environment', width: { ideal: 1920 }, height: { ideal: 1080 } },
      })
      // The dialog may be gone by the time the camera is allowed.
      if (isOver) return stopAll(own)
      stream = own
      if (!video.current) return
      video.current.srcObject = own
      await video.current.play()
      await look()
    }
    begin().catch(() => {
      if (!isOver) told.current.onFail(problem('no-camera', {}))
    })
    return () => {
      isOver = true
      clearTimeout(timer)
      reader.stop()
      if (stream) stopAll(stream)
    }
  }, [])
  return (
    <>
      <p className="text-small">Hold the code still and upright, so that it fills most of the picture.</p>
      <video ref={video} muted playsInline className="w-full bg-soot" aria-label="What the camera sees" />
    </>
  )
}

const stopAll = (stream: MediaStream) => {
  for (const track of stream.getTracks()) track.stop()
}
