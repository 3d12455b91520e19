<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { ref } from 'vue'
import type { Schemas } from '../../api/client'
import { fullDayOf } from '../../dates'
import { $t } from '../../i18n'

/** Days on which nobody works. */
const days = defineModel<Schemas['Span'][]>({ required: true })
defineProps<{ today: string }>()
const from = ref('')
const to = ref('')
function add() {
  if (!from.value) return
  days.value = [...days.value, { from: from.value, to: to.value || from.value }].sort((a, b) =>
    a.from.localeCompare(b.from),
  )
  from.value = to.value = ''
}
</script>

<template>
  <div>
    <ul class="small">
      <li v-for="(d, i) in days" :key="d.from + d.to" :class="{ soft: d.to < today }">
        {{ fullDayOf(d.from)
        }}<template v-if="d.to !== d.from">{{ ' ' }}{{ $t('settings.to', { to: fullDayOf(d.to) }) }}</template>
        <button
          type="button"
          :aria-label="$t('settings.remove_the_days_off_from', { from: fullDayOf(d.from) })"
          @click="days = days.filter((_, at) => at !== i)"
        >
          ✕
        </button>
      </li>
    </ul>
    <div class="add">
      <BFormInput v-model="from" type="date" :aria-label="$t('settings.first_day_off')" />
      <span>{{ $t('settings.to_2') }}</span>
      <BFormInput v-model="to" type="date" :aria-label="$t('settings.last_day_off')" :min="from" />
      <BButton variant="plain" :disabled="!from" @click="add">{{ $t('settings.add') }}</BButton>
    </div>
  </div>
</template>

<style scoped>
.add {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.add input {
  flex: 1;
  min-width: 8.5rem;
}
li button {
  background: none;
  border: 0;
  color: var(--ink-soft);
  min-height: 32px;
  min-width: 32px;
}
</style>
