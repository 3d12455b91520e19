<script setup lang="ts">
import { computed } from 'vue'
import { Refusal } from '../api/client'
import { $t } from '../i18n'

/** What was refused as a whole, for what has no field on this screen. */
const props = defineProps<{ error: Error | null; shown?: string[] }>()
const message = computed(() => {
  if (!props.error) return ''
  if (!(props.error instanceof Refusal) || props.error.errors.length === 0) return props.error.message
  const elsewhere = props.error.errors.filter(e => !props.shown?.some(f => e.field.startsWith(f)))
  if (elsewhere.length === 0) return $t('parts.not_saved_look_at_the')
  if (props.error.status === 409) return props.error.message
  return $t('parts.not_saved', {
    elsewhere: elsewhere.map(e => `${e.name ? `${e.name} (${e.field})` : e.field} ${e.expected}`).join('; '),
  })
})
</script>

<template>
  <div v-if="error" class="note" role="alert">{{ message }} <slot /></div>
</template>

<style scoped>
.note {
  background: var(--vet-ground);
  border-left: var(--bar) solid var(--vet-edge);
  margin-block: 0.75rem;
  padding: 0.5rem 0.75rem;
}
</style>
