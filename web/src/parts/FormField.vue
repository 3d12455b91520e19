<script setup lang="ts">
import { computed, ref } from 'vue'
import { Refusal } from '../api/client'
import { $t } from '../i18n'

/** A label, its control, and beside it what the server refused it for; what is needed says so before it is sent. */
const props = defineProps<{
  label: string
  id: string
  hint?: string
  error: Error | null
  fields: string[]
  needed?: string
}>()
const left = ref(false)
/** Left without what is needed: `needed` is what was typed so far. */
const missing = computed(() => left.value && props.needed?.trim() === '')
const refused = computed(() =>
  props.error instanceof Refusal
    ? props.error.errors.filter(e =>
        props.fields.some(f => e.field === f || e.field.startsWith(`${f}[`) || e.field.startsWith(`${f}.`)),
      )
    : [],
)
const described = computed(() =>
  refused.value.length > 0 || missing.value ? `${props.id}-error` : props.hint ? `${props.id}-hint` : undefined,
)
</script>

<template>
  <div class="field" @focusout="left = true">
    <label :for="id"
      >{{ label }}<span v-if="needed !== undefined" class="needed">{{ ' ' }}{{ $t('parts.needed') }}</span></label
    >
    <slot :invalid="refused.length > 0 || missing ? false : null" :described="described" />
    <p v-if="refused.length > 0" :id="`${id}-error`" class="refused" role="alert">
      <span v-for="e in refused" :key="e.field"
        >{{ label }} {{ e.expected
        }}<template v-if="e.value">{{ ' ' }}{{ $t('parts.you_gave', { e: e.value }) }}</template
        >.
      </span>
    </p>
    <p v-else-if="missing" :id="`${id}-error`" class="refused" role="status">
      {{ $t('parts.is_still_missing', { label }) }}
    </p>
    <p v-else-if="hint" :id="`${id}-hint`" class="hint">{{ hint }}</p>
  </div>
</template>

<style scoped>
.field {
  min-width: 0;
}
.needed {
  color: var(--ink-soft);
  font-weight: 400;
}
.hint,
.refused {
  font-size: var(--small);
  margin: 0.25rem 0 0;
}
.hint {
  color: var(--ink-soft);
}
.refused {
  color: var(--quick-text);
  font-weight: 600;
}
.refused::before {
  content: '▲ ';
}
</style>
