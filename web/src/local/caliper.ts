import { onBeforeUnmount, ref, watchEffect } from 'vue'
import type { Schemas } from '../api/client'
import { useSettings } from '../api/queries'

/**
 * What a linked caliper sends: a length is handed on, a trouble is shown and changes nothing.
 * The demonstration has a simulated one; elsewhere there is none to listen to.
 */
export function useCaliper(take: (mm: number) => void) {
  const { data: settings } = useSettings()
  const trouble = ref('')
  const linked = ref(false)
  let stream: EventSource | undefined
  watchEffect(() => {
    if (!settings.value?.demo || stream) return
    stream = new EventSource('/api/caliper/readings')
    stream.onopen = () => (linked.value = true)
    stream.onerror = () => (linked.value = false)
    stream.onmessage = event => {
      const reading = JSON.parse(String(event.data)) as Schemas['CaliperReading']
      trouble.value = reading.trouble ?? ''
      if (reading.mm !== undefined) take(reading.mm)
    }
  })
  onBeforeUnmount(() => stream?.close())
  return { trouble, linked, simulated: settings }
}
