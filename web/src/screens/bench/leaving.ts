import { useQueryClient } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { useBench } from '../../local/bench'

/** The end of a sitting: told, sent, and then its page is left for what was saved. */
export function useLeaving(dog: string, sitting: string, at: ReturnType<typeof useBench>) {
  const router = useRouter()
  const cache = useQueryClient()
  const leaving = ref(false)
  async function end(calmly = false) {
    await at.tell({ kind: 'ended', ...(calmly ? { reaction: 'calm' as const } : {}) })
    leaving.value = true
    await at.flush()
  }
  // Ended here, or in another tab: no cut is offered any more.
  watch([leaving, at.pending, at.bench, at.aside, at.looked], () => {
    const over = leaving.value || at.bench.value?.ended
    if (!over || at.pending.value.length > 0 || !at.looked.value || at.aside.value.length > 0) return
    at.forget()
    void cache.invalidateQueries({ predicate: q => q.queryKey[0] !== 'settings' })
    void router.replace(`/dogs/${dog}/saved/${sitting}`)
  })
  return { leaving, end }
}
