<script setup lang="ts">
import type { Schemas } from '../api/client'
import { useUnits } from '../units'
import { sourceMarks, sources } from '../words'

/** A number with its range and where it came from: never one without the other. */
defineProps<{ estimate: Schemas['Estimate'] }>()
const { length } = useUnits()
</script>

<template>
  <span class="estimate">
    <span class="nowrap">{{ length.bare(estimate.mm) }}</span>
    <span class="range nowrap">{{ length.range(estimate.low_mm, estimate.high_mm) }}</span>
    <abbr class="source" :title="sources[estimate.source]"
      ><span class="visually-hidden">{{ sources[estimate.source] }}</span
      ><span aria-hidden="true">{{ sourceMarks[estimate.source] }}</span></abbr
    >
  </span>
</template>

<style scoped>
.estimate {
  align-items: baseline;
  display: inline-flex;
  gap: 0.5em;
  justify-content: flex-end;
}
.range {
  color: var(--ink-soft);
  font-size: var(--small);
}
.source {
  color: var(--ink-soft);
  text-decoration: none;
}
</style>
