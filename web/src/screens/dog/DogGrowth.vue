<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { shortDayOf } from '../../dates'
import { useUnits } from '../../units'
import RateBars from './RateBars.vue'
import RestText from './RestText.vue'

/** How fast this dog's nails grow, what its quicks do, and what both were learnt from. */
defineProps<{ dogId: string; growth: Schemas['Growth'] }>()
const { length } = useUnits()
</script>

<template>
  <section aria-label="How fast they grow">
    <div class="head">
      <RouterLink :to="`/dogs/${dogId}/rhythm`" class="btn btn-plain">What trimming more or less often would do</RouterLink>
    </div>
    <p>{{ growth.source === 'learnt' ? '◆' : '○' }} {{ growth.words }}.</p>
    <RateBars :growth="growth" />
    <p class="soft small note">Ranges hold nine times in ten. The ground takes back what worn nails lack against the dewclaws.</p>
    <details v-if="growth.outliers.length > 0" class="outliers">
      <summary>{{ growth.outliers.length === 1 ? 'One length did not fit' : `${growth.outliers.length} lengths did not fit` }} and {{ growth.outliers.length === 1 ? 'was' : 'were' }} left out</summary>
      <ul class="small">
        <li v-for="(o, i) in growth.outliers" :key="i">{{ o.code }}, {{ shortDayOf(o.on) }}: {{ length.show(o.length_mm) }} long. A slip of the caliper, or a nail that broke?</li>
      </ul>
    </details>
    <RestText :rest="growth.rest" />
  </section>
</template>

<style scoped>
.head { align-items: center; display: flex; flex-wrap: wrap; gap: 0.5rem; justify-content: space-between; }
.note { margin-top: 0.5rem; }
summary { color: var(--go); cursor: pointer; font-weight: 600; min-height: 32px; }
</style>
