<script setup lang="ts">
import type { Schemas } from '../api/client'
import { weekdays } from '../words'

defineProps<{ id: string }>()
const chosen = defineModel<Schemas['Weekdays']>({ required: true })
const names = Object.keys(weekdays) as Schemas['Weekday'][]
const toggle = (day: Schemas['Weekday']) => {
  chosen.value = names.filter(d => (d === day) !== chosen.value.includes(d))
}
</script>

<template>
  <div :id="id" class="days" role="group">
    <button v-for="day in names" :key="day" type="button" :aria-pressed="chosen.includes(day)" @click="toggle(day)">
      {{ weekdays[day] }}
    </button>
  </div>
</template>

<style scoped>
.days {
  display: flex;
}
button {
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  color: var(--ink-soft);
  margin-left: -1px;
  min-height: 44px;
  min-width: 46px;
  padding: 0;
}
button:first-child {
  border-radius: 3px 0 0 3px;
  margin-left: 0;
}
button:last-child {
  border-radius: 0 3px 3px 0;
}
button[aria-pressed='true'] {
  background: var(--sunk);
  box-shadow: inset 0 -4px 0 var(--go);
  color: var(--ink);
  font-weight: 650;
}
</style>
