<script setup lang="ts">
import { computed } from 'vue'

/** The quick over the weeks, all rhythms on one scale: below, it has drawn back. */
const props = defineProps<{ quick: number[]; least: number; most: number }>()
const width = 140,
  height = 34,
  pad = 3
const points = computed(() => {
  const span = Math.max(0.5, props.most - props.least)
  return props.quick
    .map(
      (q, i) =>
        `${(i / (props.quick.length - 1)) * width},${height - pad - ((q - props.least) / span) * (height - 2 * pad)}`,
    )
    .join(' ')
})
const start = computed(() => points.value.split(' ', 1).join().split(',')[1])
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" :width="width" :height="height" aria-hidden="true">
    <line class="from" x1="0" :x2="width" :y1="start" :y2="start" />
    <polyline class="quick" :points="points" />
  </svg>
</template>

<style scoped>
.from {
  stroke: var(--line-strong);
  stroke-dasharray: 2 3;
}
.quick {
  fill: none;
  stroke: var(--quick);
  stroke-width: 2.5;
}
</style>
