<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed } from 'vue'
import { Refusal, type Schemas } from '../../api/client'
import { $t } from '../../i18n'
import type { Draft } from '../../local/drafts'

/** How long it took, how long it was calm, and whether somebody held. */
const props = defineProps<{ draft: Draft; helping: Schemas['Plan']['helping']; error: Error | null }>()
const emit = defineEmits<{ change: [more: Partial<Draft>] }>()
const refused = computed(() =>
  props.error instanceof Refusal ? props.error.errors.filter(e => e.field.endsWith('minutes')) : [],
)
</script>

<template>
  <div class="minutes">
    <label for="minutes">{{ $t('record.took_min') }}</label>
    <BFormInput
      id="minutes"
      :model-value="draft.minutes"
      inputmode="decimal"
      autocomplete="off"
      @update:model-value="emit('change', { minutes: String($event ?? '') })"
    />
    <label for="calm">{{ $t('record.calm_for_min') }}</label>
    <BFormInput
      id="calm"
      :model-value="draft.calm"
      inputmode="decimal"
      autocomplete="off"
      @update:model-value="emit('change', { calm: String($event ?? '') })"
    />
    <BFormCheckbox
      v-if="helping !== 'alone'"
      :model-value="draft.helper"
      class="helped"
      @update:model-value="emit('change', { helper: !draft.helper })"
      >{{ $t('record.with_a_helper') }}</BFormCheckbox
    >
  </div>
  <p v-for="e in refused" :key="e.field" class="refused" role="alert">
    {{
      $t('record.you_gave', {
        field: e.field === 'minutes' ? $t('record.what_it_took') : $t('record.how_long_it_was_calm'),
        expected: e.expected,
        e: e.value,
      })
    }}
  </p>
</template>

<style scoped>
.minutes {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 0.6rem;
  margin-top: 1rem;
}
.minutes label {
  font-weight: 400;
  margin: 0;
}
.minutes .form-control {
  width: 5rem;
}
.helped {
  align-items: center;
  display: flex;
  gap: 0.5rem;
  min-height: 44px;
  padding: 0;
}
.helped :deep(input) {
  float: none;
  margin: 0;
}
.refused {
  color: var(--quick-text);
  font-weight: 600;
  margin: 0.25rem 0 0;
}
.refused::before {
  content: '▲ ';
}
</style>
