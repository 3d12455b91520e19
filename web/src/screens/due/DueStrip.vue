<script setup lang="ts">
import { computed } from 'vue'

/** One dog on the six-week strip: when it is due, and when it may be if its nails grow fast. */
const props = defineProps<{ due?: number; cautious?: number }>()
const days = 42
const place = (day: number) => `${(Math.min(days, Math.max(0, day)) / days) * 100}%`
const from = computed(() => place(props.cautious ?? 0))
const to = computed(() => place(props.due ?? 0))
</script>

<template>
  <div class="strip" aria-hidden="true">
    <span v-for="week in 6" :key="week" class="tick" :style="{ left: place(7 * (week - 1)) }" />
    <template v-if="due !== undefined">
      <span v-if="due < 0" class="mark late">◀</span>
      <template v-else>
        <span v-if="cautious !== undefined" class="line" :style="{ left: from, width: `calc(${to} - ${from})` }" />
        <span v-if="cautious !== undefined && cautious < due" class="mark cautious" :style="{ left: from }">◇</span>
        <span class="mark due" :style="{ left: to }">●</span>
      </template>
    </template>
  </div>
</template>

<style scoped>
.strip {
  align-self: stretch;
  border-left: 2px solid var(--ink);
  min-height: 2rem;
  position: relative;
}
.tick {
  border-left: 1px solid var(--line);
  bottom: 0;
  position: absolute;
  top: 0;
}
.line {
  border-top: 2px solid var(--line-strong);
  position: absolute;
  top: 50%;
}
.mark {
  line-height: 1;
  position: absolute;
  top: 50%;
  transform: translate(-50%, -50%);
}
.due {
  color: var(--go);
  font-size: 1.25rem;
}
.cautious {
  background: var(--paper);
  color: var(--ink-soft);
  font-size: 1rem;
}
.late {
  color: var(--quick-text);
  font-size: 1.1rem;
  transform: translate(2px, -50%);
}
</style>
