<script setup lang="ts">
import { computed } from 'vue'
import { Refusal } from '../api/client'

/** A label, its control, and beside it what the server refused it for. */
const props = defineProps<{ label: string; id: string; hint?: string; error: Error | null; fields: string[] }>()
const refused = computed(() =>
  props.error instanceof Refusal ? props.error.errors.filter((e) => props.fields.some((f) => e.field === f || e.field.startsWith(`${f}[`) || e.field.startsWith(`${f}.`))) : [],
)
const described = computed(() => (refused.value.length > 0 ? `${props.id}-error` : props.hint ? `${props.id}-hint` : undefined))
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <slot :invalid="refused.length > 0 ? false : null" :described="described" />
    <p v-if="refused.length > 0" :id="`${id}-error`" class="refused" role="alert">
      <span v-for="e in refused" :key="e.field">{{ label }} {{ e.expected }}<template v-if="e.value"> (you gave {{ e.value }})</template>. </span>
    </p>
    <p v-else-if="hint" :id="`${id}-hint`" class="hint">{{ hint }}</p>
  </div>
</template>

<style scoped>
.field { min-width: 0; }
.hint, .refused { font-size: var(--small); margin: 0.25rem 0 0; }
.hint { color: var(--ink-soft); }
.refused { color: var(--quick-text); font-weight: 600; }
.refused::before { content: '▲ '; }
</style>
