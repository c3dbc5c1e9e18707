import { useEffect, useState } from 'react'
import type { Batch } from '../../core/shop/batch'
import { sound } from './alarm'
import { ControllerLine } from './ControllerLine'
import type { RunPrefs } from './run-prefs'
import { setRunPrefs } from './run-prefs'
import { localVoices, speak } from './voice'

/** How a run is heard and pressed on this machine: alarms, a voice that lives on it, notifications, a key of a device. */
export function HeardPanel({ prefs, batch, onClose }: { prefs: RunPrefs; batch: Batch; onClose: () => void }) {
  const voices = useVoices()
  const [binding, setBinding] = useState(false)
  useEffect(() => {
    if (!binding) return
    const take = (event: KeyboardEvent) => {
      event.preventDefault()
      event.stopPropagation()
      setBinding(false)
      if (event.key !== 'Escape') setRunPrefs({ boundKey: event.key })
    }
    addEventListener('keydown', take, { capture: true, once: true })
    return () => removeEventListener('keydown', take, { capture: true })
  }, [binding])
  const box = 'min-h-[72px] border-2 border-soot-rule px-4 text-large text-bone'
  return (
    <section aria-label="Sound, voice, keys and controller" className="grid gap-3 bg-soot-2 p-4 text-large">
      <div className="flex flex-wrap items-center gap-3">
        <Toggle on={prefs.sound} says="Alarms" onClick={() => setRunPrefs({ sound: !prefs.sound })} />
        <button type="button" className={box} onClick={() => sound('act')}>
          Try the alarm
        </button>
        <Toggle
          on={prefs.voice}
          says="Spoken cues"
          disabled={voices.length === 0}
          onClick={() => setRunPrefs({ voice: !prefs.voice })}
        />
        {voices.length > 0 ? (
          <>
            <select
              aria-label="Voice"
              className={`${box} bg-soot`}
              value={prefs.voiceName ?? ''}
              onChange={event => setRunPrefs({ voiceName: event.target.value || null })}
            >
              <option value="">the first of this machine</option>
              {voices.map(voice => (
                <option key={voice.voiceURI} value={voice.name}>
                  {voice.name}, {voice.lang}
                </option>
              ))}
            </select>
            <button type="button" className={box} onClick={() => speak('Pull A3 in 30 seconds.', prefs.voiceName)}>
              Try the voice
            </button>
          </>
        ) : (
          <p className="text-bone-2">This machine has no voice of its own. Voices that ask a server are not used.</p>
        )}
        <Toggle
          on={prefs.notify}
          says="Notifications"
          onClick={() => {
            if (!prefs.notify) void globalThis.Notification?.requestPermission()
            setRunPrefs({ notify: !prefs.notify })
          }}
        />
        <button type="button" className={box} onClick={() => setBinding(true)}>
          {binding
            ? 'Press the key of your device now'
            : prefs.boundKey
              ? `Key of your device: ${prefs.boundKey}`
              : 'Bind a key of your device'}
        </button>
        <button type="button" className={`${box} ml-auto`} onClick={onClose}>
          Close
        </button>
      </div>
      <ControllerLine batch={batch} />
      <p className="text-lead text-bone-2">
        Space, Enter, a foot pedal and the forward key of a presenter’s remote all confirm. Held, they mean that
        something happened.
      </p>
    </section>
  )
}

function Toggle({
  on,
  says,
  disabled,
  onClick,
}: {
  on: boolean
  says: string
  disabled?: boolean
  onClick: () => void
}) {
  return (
    <button
      type="button"
      role="switch"
      aria-checked={on}
      disabled={disabled}
      className={`min-h-[72px] border-2 px-4 text-large ${on ? 'border-hot text-bone' : 'border-soot-rule text-bone-2'}`}
      onClick={onClick}
    >
      {says} {on ? 'on' : 'off'}
    </button>
  )
}

/** Browsers know their voices a while after the page has begun. */
function useVoices() {
  const [voices, setVoices] = useState(localVoices)
  useEffect(() => {
    const look = () => setVoices(localVoices())
    globalThis.speechSynthesis?.addEventListener?.('voiceschanged', look)
    return () => globalThis.speechSynthesis?.removeEventListener?.('voiceschanged', look)
  }, [])
  return voices
}
