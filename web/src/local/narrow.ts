import { useMediaQuery } from '@vueuse/core'

/** Whether the page is as narrow as a propped phone. */
export const useNarrow = () => useMediaQuery('(max-width: 700px)')
