import { ref, watch } from 'vue'

/** What a typed number means while recording: this browser's own choice, kept from dog to dog. */
export type NumberMode = 'length_after_mm' | 'length_before_mm' | 'cuts_mm' | 'gap_before_mm' | 'gap_after_mm' | 'spare_left_mm'

const key = 'fribbet-number'
export const numberMode = ref((localStorage.getItem(key) as NumberMode | null) ?? 'length_after_mm')
watch(numberMode, (mode) => localStorage.setItem(key, mode))
