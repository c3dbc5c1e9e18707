import { useState } from 'react'
import { ROLES, type Role } from '../../core/sharing/messages'
import { askForCode } from '../../sharing/link'
import { clock } from '../../ui/dates'
import { SelectField, TextField } from '../../ui/PlainFields'
import { QrCode } from '../../ui/QrCode'
import { codeWords, ROLE_NAMES } from '../../words/sharing'

type Code = NonNullable<Awaited<ReturnType<typeof askForCode>>>

/** Names another screen, and shows the code and address it comes in by. */
export default function AddScreen() {
  const [name, setName] = useState('Tablet at the oven')
  const [role, setRole] = useState<Role>('works')
  const [code, setCode] = useState<Code | 'asking' | 'none' | null>(null)
  if (code && typeof code === 'object') return <Invitation code={code} />
  return (
    <form
      className="grid gap-3"
      onSubmit={event => {
        event.preventDefault()
        setCode('asking')
        void askForCode(name, role).then(got => setCode(got ?? 'none'))
      }}
    >
      <TextField
        label="Name of the screen"
        value={name}
        longest={40}
        onCommit={async text => {
          setName(text)
          return { saved: true, problems: [] }
        }}
      />
      <SelectField
        label="May do"
        value={role}
        options={ROLES.map(one => [one, ROLE_NAMES[one]] as const)}
        onCommit={setRole}
      />
      {code === 'none' && <p role="alert">The server does not answer. Look whether it runs, and try again.</p>}
      <button type="submit" className="btn btn-ember" disabled={code === 'asking'}>
        Show a code
      </button>
    </form>
  )
}

function Invitation({ code: { code, addresses, until } }: { code: Code }) {
  const [address = ''] = addresses
  return (
    <div className="grid gap-3">
      {address && (
        <QrCode
          text={address}
          label="Address and code for the other screen"
          className="mx-auto block w-full max-w-72"
        />
      )}
      <p>
        Read this with the other screen’s camera, or open <code className="break-all">{address.split('#')[0]}</code>{' '}
        there and type:
      </p>
      <p className="text-center font-mono text-page">{codeWords(code)}</p>
      <p className="text-small text-ink-2">
        Good once, until {clock(new Date(until))}. The other screen must be on the same network. The first time its
        browser warns that it does not know the workshop’s certificate: the guide says how to make it known, so that
        camera, wake lock and working offline are allowed.
      </p>
      {addresses.length > 1 && (
        <details className="text-small">
          <summary>Other addresses of this machine</summary>
          <ul>
            {addresses.slice(1).map(other => (
              <li key={other} className="break-all">
                {other.split('#')[0]}
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  )
}
