import { ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { keepText, readText } from './storage'

/** What a typed number means while recording: this browser's own choice, kept from dog to dog. */
export type NumberMode =
  'length_after_mm' | 'length_before_mm' | 'cuts_mm' | 'gap_before_mm' | 'gap_after_mm' | 'spare_left_mm'

const key = 'fribbet-number'
export const numberMode = ref((readText(key) as NumberMode | null) ?? 'length_after_mm')
watch(numberMode, mode => keepText(key, mode))

/** What a typed number was read with; a linked caliper and a feeler say it themselves. */
export type TypedWith = Exclude<Schemas['Means'], 'feeler'>
export const typedWith = ref<TypedWith>('caliper')
