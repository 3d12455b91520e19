<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { useUnits } from '../../units'

/** Whether this dog's own records or the usual say what its quicks do. */
defineProps<{ habit: Schemas['Habit'] }>()
const { length } = useUnits()
const percent = (share: number) => `${Math.round(share * 100)} %`
</script>

<template>
  <p class="habit">
    <template v-if="habit.source === 'learnt'">◆ How its quicks follow is fitted to this dog, from {{ habit.sittings }} sittings at which the quick was seen:</template>
    <template v-else>○ How its quicks follow is taken as usual; the fit to this dog speaks from eight sittings on at which lengths were measured and the quick was seen ({{ habit.sittings }} so far):</template>
    a quick holds still where {{ length.show(habit.rest.mm) }} of spare stand before it ({{ length.range(habit.rest.low_mm, habit.rest.high_mm) }}), draws back where there is less, grows where there is more,
    by {{ percent(habit.pull_week.value) }} of the difference a week ({{ percent(habit.pull_week.low) }}–{{ percent(habit.pull_week.high) }}).
  </p>
</template>

<style scoped>
.habit { margin-top: 0.5rem; max-width: 52rem; }
</style>
