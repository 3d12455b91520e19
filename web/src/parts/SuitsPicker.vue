<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { $t } from '../i18n'
import { clock, minutesOf } from '../local/clock'
import { weekdays } from '../words'

/** The days and hours that suit somebody; none chosen: any. */
const suits = defineModel<Schemas['OwnerSuits'][]>({ required: true })
type Row = { weekday: Schemas['Weekday']; on: boolean; from: string; to: string }
const rows = ref<Row[]>([])
watch(
  suits,
  told => {
    rows.value = (Object.keys(weekdays) as Schemas['Weekday'][]).map(weekday => {
      const hours = told.find(s => s.weekday === weekday)?.hours[0]
      return { weekday, on: hours !== undefined, from: clock(hours?.from ?? 540), to: clock(hours?.to ?? 1080) }
    })
  },
  { immediate: true },
)
const told = () => {
  suits.value = rows.value
    .filter(r => r.on)
    .map(r => ({ weekday: r.weekday, hours: [{ from: minutesOf(r.from) ?? 0, to: minutesOf(r.to) ?? 0 }] }))
}
</script>

<template>
  <details class="suits">
    <summary>
      {{
        suits.length === 0
          ? $t('parts.any_day_and_hour_suits')
          : $t('parts.suits') +
            suits.map(s => `${weekdays[s.weekday]} ${clock(s.hours[0]!.from)}–${clock(s.hours[0]!.to)}`).join(', ')
      }}
    </summary>
    <div v-for="r in rows" :key="r.weekday" class="row-of">
      <label
        ><input v-model="r.on" type="checkbox" class="form-check-input" @change="told" />
        {{ weekdays[r.weekday] }}</label
      >
      <template v-if="r.on"
        ><input
          v-model="r.from"
          type="time"
          class="form-control"
          :aria-label="$t('parts.from', { weekday: weekdays[r.weekday] })"
          @change="told" /><input
          v-model="r.to"
          type="time"
          class="form-control"
          :aria-label="$t('parts.to', { weekday: weekdays[r.weekday] })"
          @change="told"
      /></template>
    </div>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  min-height: 44px;
  padding-top: 0.6rem;
}
.row-of {
  align-items: center;
  display: flex;
  gap: 0.5rem;
  min-height: 48px;
}
.row-of label {
  align-items: center;
  display: flex;
  gap: 0.5rem;
  min-width: 5rem;
}
.row-of input[type='time'] {
  width: 8rem;
}
</style>
