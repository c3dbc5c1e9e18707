import { useEffect, useState } from 'react'
import type { Result } from '../../core/codes/result'
import { type Carried, packCode } from '../../core/files/code'
import { Problems } from '../../ui/Problems'
import { QrCode } from '../../ui/QrCode'
import { SheetDialog } from '../SheetDialog'

interface Props {
  readonly carried: Carried
  readonly name: string
}

export default function CodeDialog({ onClose, ...code }: Props & { readonly onClose: () => void }) {
  return (
    <SheetDialog title={code.name} open onOpen={open => !open && onClose()}>
      <ShownCode {...code} />
    </SheetDialog>
  )
}

/** The code itself, as large as the page lets it be. */
function ShownCode({ carried, name }: Props) {
  const [packed, setPacked] = useState<Result<Uint8Array> | null>(null)
  useEffect(() => {
    void packCode(carried).then(setPacked)
  }, [carried])
  if (!packed) return <p className="my-3 text-ink-2">Packing …</p>
  if (!packed.ok) return <Problems of={packed.problems} />
  return (
    <>
      <p className="my-2 text-small text-ink-2">
        In the other browser: Workshop, Data, <em>Read a code …</em>, and hold it before the camera. A photo of it does
        as well.
      </p>
      <QrCode text={packed.value} label={`Code of ${name}`} className="mx-auto block w-full max-w-[62vh]" />
    </>
  )
}
