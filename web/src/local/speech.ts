import { ref, watch } from 'vue'

/** Prompts through the browser's own voice, off until somebody wants them. */
const key = 'fribbet-voice'
export const spoken = ref(localStorage.getItem(key) === 'on')
watch(spoken, (on) => localStorage.setItem(key, on ? 'on' : 'off'))

export function speak(words: string) {
  if (!spoken.value || !('speechSynthesis' in window)) return
  window.speechSynthesis.cancel()
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(words))
}
