<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { fullDayOf, shortDayOf } from '../../dates'

/** About when the dog is through, and how sure that is. */
defineProps<{ ready: Schemas['Ready'] }>()
</script>

<template>
  <p class="ready">
    <template v-if="ready.likely">Through about <strong>{{ fullDayOf(ready.likely) }}</strong></template>
    <template v-else>Not within a year of training at this pace</template>
    <span v-if="ready.early" class="soft"> ({{ shortDayOf(ready.early) }}{{ ready.late ? `–${shortDayOf(ready.late)}` : ' or much later' }}, eight times in ten).</span>
    <span class="soft small"> {{ ready.days === 0 ? 'Assumed: two training days in three end a step further up' : `Learnt from ${ready.days} ${ready.days === 1 ? 'day' : 'days'} of training: ${Math.round(ready.chance * 100)} of 100 days end a step further up` }}<template v-if="ready.every_days > 1.2">, trained every {{ ready.every_days.toFixed(1) }} days</template>.</span>
  </p>
</template>

<style scoped>
.ready { margin: 0.5rem 0 0; }
.small { display: block; }
</style>
