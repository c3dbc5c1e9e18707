/** Voices that live on this machine. One that asks a server is never used: what is said in the shop stays in it. */
export const localVoices = (): readonly SpeechSynthesisVoice[] =>
  (globalThis.speechSynthesis?.getVoices() ?? []).filter(voice => voice.localService)

/** Speaks with a voice of this machine, in place of what was being said; false where there is none. */
export function speak(text: string, voiceName: string | null): boolean {
  const voices = localVoices()
  const voice = voices.find(one => one.name === voiceName) ?? voices.find(one => one.lang.startsWith('en')) ?? voices[0]
  if (!voice) return false
  const said = new SpeechSynthesisUtterance(text)
  said.voice = voice
  said.lang = voice.lang
  speechSynthesis.cancel()
  speechSynthesis.speak(said)
  return true
}
