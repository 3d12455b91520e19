<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import type { Told } from '../../local/bench'
import NoteTold from './NoteTold.vue'
import NumberTold from './NumberTold.vue'

/** What is told seldom: that a nail took force, a note, a number that was measured or seen. */
defineProps<{ nail: Schemas['BenchNail']; note: string }>()
const emit = defineEmits<{ about: [kind: Schemas['EventKind'], more?: Partial<Told>]; note: [note: string] }>()
</script>

<template>
  <details class="more">
    <summary>{{ $t('bench.a_note_a_number') }}</summary>
    <div class="choices">
      <button type="button" :aria-pressed="nail.forced" @click="emit('about', 'force')">
        {{ $t('bench.it_took_force') }}
      </button>
    </div>
    <NoteTold :note="note" @note="emit('note', $event)" />
    <NumberTold
      :key="nail.code"
      :nail="nail"
      @seen="(landmark, mm, by) => emit('about', 'landmark', { landmark, mm, by })"
      @measured="(measure, mm, by) => emit('about', 'measured', { measure, mm, by })"
    />
  </details>
</template>

<style scoped>
.more summary {
  align-items: center;
  color: var(--ink-soft);
  cursor: pointer;
  display: flex;
  font-weight: 600;
  min-height: 44px;
}
.more summary::before {
  content: '▸';
  margin-right: 0.4rem;
}
.more[open] summary::before {
  content: '▾';
}
.choices {
  margin-top: 0.5rem;
}
</style>
