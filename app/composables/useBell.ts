import { useIntervalFn, useStorage } from '@vueuse/core'
import { onScopeDispose, type Ref } from 'vue'

/** Between two strokes of the bell, in milliseconds, and how a stroke sounds: two tones, a second in all. */
const EVERY_MS = 4000
const TONES = [880, 660] as const
const TONE_SECONDS = 0.35

/** Rings, and speaks where that is wanted, as long as something wants to be answered. */
export function useBell(rings: Ref<string | undefined>) {
  const sound = useStorage('cadrum-sound', true)
  const voice = useStorage('cadrum-voice', false)
  let audio: AudioContext | undefined

  function stroke(): void {
    if (!rings.value) return
    if (sound.value) tones()
    if (voice.value && 'speechSynthesis' in window && !speechSynthesis.speaking)
      speechSynthesis.speak(new SpeechSynthesisUtterance(rings.value))
  }

  function tones(): void {
    if (typeof AudioContext === 'undefined') return
    audio ??= new AudioContext()
    void audio.resume().catch(() => {})
    TONES.forEach((hertz, k) => {
      const [tone, volume] = [audio!.createOscillator(), audio!.createGain()]
      const from = audio!.currentTime + k * TONE_SECONDS
      tone.frequency.value = hertz
      volume.gain.setValueAtTime(0.25, from)
      volume.gain.exponentialRampToValueAtTime(0.001, from + TONE_SECONDS)
      tone.connect(volume).connect(audio!.destination)
      tone.start(from)
      tone.stop(from + TONE_SECONDS)
    })
  }

  useIntervalFn(stroke, EVERY_MS, { immediateCallback: true })
  onScopeDispose(() => void audio?.close().catch(() => {}))
  return { sound, voice }
}
