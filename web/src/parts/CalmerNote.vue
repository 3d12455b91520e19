<script setup lang="ts">
import type { Schemas } from '../api/client'
import { circumstances } from '../words'

/** What went with calm so far, as counts first: no cause is claimed. */
defineProps<{ calmer: Schemas['Calmer'][] }>()
const percent = (s: Schemas['CalmShare']) => `${Math.round(100 * s.low)} to ${Math.round(100 * s.high)} of 100`
</script>

<template>
  <ul v-if="calmer.length > 0" class="calmer" aria-label="What went with calm">
    <li v-for="c in calmer" :key="c.what"><strong>Calm {{ c.with.calm }} of {{ c.with.of }} {{ circumstances[c.what][0] }}</strong>, {{ c.without.calm }} of {{ c.without.of }} {{ circumstances[c.what][1] }}
      <span class="soft small">(likely {{ percent(c.with) }} against {{ percent(c.without) }}; it may have other causes)</span></li>
  </ul>
</template>

<style scoped>
.calmer { border-left: var(--bar) solid var(--go); list-style: none; margin: 0.5rem 0; padding-left: 0.75rem; }
</style>
