<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { now } from '../../local/day'
import { minutesInWords } from '../../words'

/** What stands beside the work, small: the time with this dog's own break mark, and when it is rewarded. */
const props = defineProps<{ bench: Schemas['Bench']; place: number; of: number }>()
const at = ref(now().getTime())
useIntervalFn(() => (at.value = now().getTime()), 1000)
const seconds = computed(() =>
  props.bench.started ? Math.max(0, Math.floor((at.value - new Date(props.bench.started).getTime()) / 1000)) : 0,
)
const clock = computed(() =>
  seconds.value < 4 * 3600 ? `${Math.floor(seconds.value / 60)}:${String(seconds.value % 60).padStart(2, '0')}` : '',
)
const tired = computed(() => props.bench.calm_minutes !== undefined && seconds.value >= props.bench.calm_minutes * 60)
</script>

<template>
  <p :class="['companion', { tired }]">
    <span v-if="place > 0"
      ><strong>{{ place }}</strong> {{ $t('bench.of', { of }) }}</span
    >
    <span v-if="clock" role="timer">{{ clock }}</span>
    <span v-if="bench.calm_minutes !== undefined"
      >{{ tired ? $t('bench.a_break_now_it_was') : $t('bench.lately_calm_for') }}
      {{ minutesInWords(bench.calm_minutes) }}</span
    >
    <span>{{ bench.reward }}</span>
  </p>
</template>

<style scoped>
.companion {
  color: var(--ink-soft);
  display: flex;
  flex-wrap: wrap;
  font-size: var(--small);
  gap: 0.1rem 1rem;
  margin: 0 0 0.35rem;
}
.companion strong {
  color: var(--ink);
}
.tired {
  border-left: var(--bar) solid var(--caution-edge);
  color: var(--ink);
  padding-left: 0.6rem;
}
</style>
