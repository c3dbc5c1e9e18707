import { useEffect, useRef } from 'react'

/** Keeps the screen awake while a run is open; browsers give the lock back when hidden, so it is asked for again. */
export function useWakeLock() {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null
    const ask = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return
      lock = await navigator.wakeLock.request('screen').catch(() => null)
    }
    void ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [])
}

let audio: AudioContext | null = null

/** Two rising tones, three times: heard over a fan. Browsers stay silent until the page was touched once. */
function ring() {
  audio ??= new AudioContext()
  const start = audio.currentTime
  for (const [i, hertz] of [660, 880, 660, 880, 660, 880].entries()) {
    const tone = audio.createOscillator()
    const loud = audio.createGain()
    tone.frequency.value = hertz
    loud.gain.setValueAtTime(0.25, start + i * 0.25)
    loud.gain.exponentialRampToValueAtTime(0.001, start + i * 0.25 + 0.24)
    tone.connect(loud).connect(audio.destination)
    tone.start(start + i * 0.25)
    tone.stop(start + i * 0.25 + 0.25)
  }
}

/** Sounds once when a step that was waited for becomes ready, and says so in the title. */
export function useReadySignal(stepId: string | null, waited: boolean, ready: boolean, action: string, sound: boolean) {
  const told = useRef<string | null>(null)
  useEffect(() => {
    document.title = ready ? `NOW: ${action}` : `Waiting: ${action}`
    if (!waited || !ready || told.current === stepId) return
    told.current = stepId
    if (sound) ring()
  }, [stepId, waited, ready, action, sound])
}
