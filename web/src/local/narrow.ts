import { onBeforeUnmount, ref } from 'vue'

/** Whether the page is as narrow as a propped phone. */
export function useNarrow() {
  const query = window.matchMedia('(max-width: 700px)')
  const narrow = ref(query.matches)
  const follow = () => (narrow.value = query.matches)
  query.addEventListener('change', follow)
  onBeforeUnmount(() => query.removeEventListener('change', follow))
  return narrow
}
