import { computed, ref, watch, type Ref } from 'vue'
import type { Schemas } from '../../api/client'

/** What a reaction asks of the hands: once. One that was there before this page was opened is not asked again. */
export function useAnswers(bench: Readonly<Ref<Schemas['Bench'] | null | undefined>>) {
  const answered = ref<number>()
  watch(
    bench,
    b => {
      if (b && answered.value === undefined) answered.value = b.answer?.told ?? 0
    },
    { immediate: true },
  )
  const answer = computed(() =>
    bench.value?.answer && (bench.value.answer.told ?? 0) > (answered.value ?? 0) ? bench.value.answer : undefined,
  )
  const heard = () => (answered.value = bench.value?.answer?.told)
  return { answer, heard }
}
