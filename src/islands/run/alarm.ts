/** Alarms that are told apart with a fan running: it is time, it is late, something is wrong. */
export type Alarm = 'act' | 'late' | 'wrong'

/** Tones of each alarm: pitch in Hz and how long, s. */
const TONES: Readonly<Record<Alarm, readonly (readonly [hertz: number, s: number])[]>> = {
  // Rising twice; low and high in haste; falling.
  act: [
    [660, 0.24],
    [880, 0.24],
    [660, 0.24],
    [880, 0.24],
  ],
  late: [
    [440, 0.12],
    [1320, 0.12],
    [440, 0.12],
    [1320, 0.12],
    [440, 0.12],
    [1320, 0.12],
  ],
  wrong: [
    [880, 0.3],
    [660, 0.3],
    [440, 0.5],
  ],
}
const VIBRATION_MS: Readonly<Record<Alarm, readonly number[]>> = {
  act: [200, 100, 200],
  late: [100, 60, 100, 60, 100, 60, 100],
  wrong: [600],
}
const LOUD = 0.25

let audio: AudioContext | null = null

/** Sounds an alarm and shakes what can shake. A browser stays silent until its page was touched once: then nothing is heard, and nothing breaks. */
export function sound(alarm: Alarm) {
  // A page that nobody has touched may not shake: browsers say so in their console.
  if (navigator.userActivation?.hasBeenActive) navigator.vibrate?.([...VIBRATION_MS[alarm]])
  try {
    audio ??= new AudioContext()
    void audio.resume()
    let at = audio.currentTime
    for (const [hertz, s] of TONES[alarm]) {
      const tone = audio.createOscillator()
      const loud = audio.createGain()
      tone.frequency.value = hertz
      loud.gain.setValueAtTime(LOUD, at)
      loud.gain.exponentialRampToValueAtTime(0.001, at + s)
      tone.connect(loud).connect(audio.destination)
      tone.start(at)
      tone.stop(at + s)
      at += s
    }
  } catch {
    // No audio on this machine: the screen, the title and the voice say it too.
  }
}
