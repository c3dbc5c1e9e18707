import { useState } from 'react'
import { certificateFilesSchema } from '../../core/contract/shapes/certificate'
import { digestIn, digestOf, grouped } from '../../ui/certificate-digest'
import { type Checked, checkedWords, notACertificate } from '../../words/check'
import { Place } from '../Place'

export default function CheckPlace() {
  return (
    <Place>
      <Check />
    </Place>
  )
}

interface Read {
  readonly name: string
  readonly digests: readonly { readonly serial: string; readonly blade: string; readonly digest: string }[]
}

/** Whether a certificate's file and its paper say the same. */
function Check() {
  const [read, setRead] = useState<Read | { readonly wrong: string } | null>(null)
  const [code, setCode] = useState('')
  const open = async (file: File) => {
    const json = await file
      .text()
      .then(text => JSON.parse(text))
      .catch(() => null)
    const parsed = certificateFilesSchema.safeParse(Array.isArray(json) ? json : [json])
    if (!parsed.success) return setRead({ wrong: notACertificate(file.name, json) })
    const digests = await Promise.all(
      parsed.data.map(async certificate => ({
        serial: certificate.serial,
        blade: certificate.blade,
        digest: await digestOf(certificate),
      })),
    )
    setRead({ name: file.name, digests })
  }
  const asked = digestIn(code)
  const verdict = (): Checked | null => {
    if (!read || 'wrong' in read || code.trim() === '') return null
    if (!asked) return { kind: 'no-code' }
    const same = read.digests.find(one => one.digest.startsWith(asked))
    return same ? { kind: 'same', serial: same.serial, blade: same.blade } : { kind: 'other' }
  }
  const said = verdict()
  return (
    <div className="max-w-[720px] px-4 py-6 md:px-8">
      <h1 className="text-page">Check a certificate</h1>
      <p className="my-3">
        Open the file that came with the paper, then type or scan the digest that is printed on it. Nothing leaves this
        machine. It shows that paper and file are the same, not who drew them up.
      </p>
      <label className="btn cursor-pointer focus-within:outline-2">
        Open the certificate’s file …
        <input
          type="file"
          accept="application/json,.json"
          className="sr-only"
          onChange={event => {
            const [file] = event.target.files ?? []
            if (file) void open(file)
            // The same file can be opened again after it was put right.
            event.target.value = ''
          }}
        />
      </label>
      {read && 'wrong' in read && (
        <p role="alert" className="mt-3 text-bad">
          {read.wrong}
        </p>
      )}
      {read && 'digests' in read && (
        <ul aria-label={read.name} className="mt-3 text-small">
          <li className="font-semibold">{read.name}</li>
          {read.digests.map(one => (
            <li key={one.digest}>
              {one.blade}, {one.serial}: {grouped(one.digest)}
            </li>
          ))}
        </ul>
      )}
      <label className="mt-4 grid gap-1 text-small">
        The digest on the paper
        <input
          className="field"
          value={code}
          maxLength={200}
          placeholder="b6d0 6c3e ea7b 642a …"
          onChange={event => setCode(event.target.value)}
        />
      </label>
      {said && (
        <p role="status" className={`mt-4 text-lead ${said.kind === 'same' ? '' : 'text-bad'}`}>
          {checkedWords(said)}
        </p>
      )}
    </div>
  )
}
