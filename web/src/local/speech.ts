import { ref, watch } from 'vue'
import { keepText, readText } from './storage'

/** Prompts through the browser's own voice, off until somebody wants them. */
const key = 'fribbet-voice'
export const spoken = ref(readText(key) === 'on')
watch(spoken, on => keepText(key, on ? 'on' : 'off'))

export function speak(words: string) {
  if (!spoken.value || !('speechSynthesis' in window)) return
  window.speechSynthesis.cancel()
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(words))
}
