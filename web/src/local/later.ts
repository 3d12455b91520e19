import { refDebounced, refThrottled } from '@vueuse/core'
import type { Ref } from 'vue'

/** The same value a moment later: what is being typed or dragged is asked for once it rests. */
export const useLater = <T>(value: Ref<T>, ms = 180) => refDebounced(value, ms)

/**
 * The same value at most so often while it moves: what is dragged is asked for on the way, and where it comes to rest.
 */
export const useOften = <T>(value: Ref<T>, ms: number) => refThrottled(value, ms, true, false)
