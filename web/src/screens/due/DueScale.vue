<script setup lang="ts">
import { shortDayOf } from '../../dates'
import { $t } from '../../i18n'

/** The head of the six-week strip: a date at every week's tick. */
defineProps<{ weeks: string[] }>()
</script>

<template>
  <div class="due-grid scale" aria-hidden="true">
    <span class="over-strip">
      <span v-for="(week, i) in weeks" :key="week" class="week">{{
        i === 0 ? $t('due.today') : shortDayOf(week)
      }}</span>
    </span>
  </div>
</template>

<style scoped>
.over-strip {
  display: grid;
  grid-column: 3;
  grid-template-columns: repeat(6, 1fr);
}
.week {
  border-left: 1px solid var(--line-strong);
  color: var(--ink-soft);
  font-size: var(--small);
  padding: 0 0 0.15rem 0.3rem;
  white-space: nowrap;
}
.scale {
  border-bottom: 2px solid var(--ink);
}

@media (max-width: 700px) {
  .scale {
    display: none;
  }
}
</style>
