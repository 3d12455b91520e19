import { computed } from 'vue'
import { useSettings } from '../api/queries'
import { nailInWords } from '../words'

/** How nails are named within a sentence: to whoever has a dog at home in words, to a groomer by code. */
export function useNailNames() {
  const { data } = useSettings()
  const inWords = computed(() => data.value?.choices.role === 'keeper')
  const name = (code: string) => (inWords.value ? nailInWords(code).replace(',', '') : code)
  return { name, names: (codes: string[]) => codes.map(name).join(inWords.value ? ', ' : ' ') }
}
