<script setup lang="ts">
/**
 * How many bled beside how many were to: the bar is where a reliable forecast falls nine times in ten, the mark what
 * was.
 */
const props = defineProps<{ was: number; low: number; high: number; beyond: boolean }>()
const wide = 160
const at = (n: number) => 6 + (n / Math.max(props.high, props.was, 1)) * (wide - 12)
</script>

<template>
  <svg :viewBox="`0 0 ${wide} 18`" :width="wide" height="18" aria-hidden="true" class="reliability">
    <line x1="0" :x2="wide" y1="9" y2="9" />
    <rect :x="at(low) - 2" y="4" :width="at(high) - at(low) + 4" height="10" />
    <path v-if="beyond" :d="`M${at(was)} 1 l7 8 l-7 8 l-7 -8 Z`" class="beyond" />
    <circle v-else :cx="at(was)" cy="9" r="5" />
  </svg>
</template>

<style scoped>
.reliability {
  display: block;
  margin: 0.1rem 0 0.35rem;
}
line {
  stroke: var(--line-strong);
}
rect {
  fill: var(--line-strong);
}
circle {
  fill: var(--go);
  stroke: var(--paper);
  stroke-width: 1.5;
}
.beyond {
  fill: var(--caution-edge);
  stroke: var(--ink);
}
</style>
