<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import type { Schemas } from '../../api/client'
import { useSeenMoved } from '../../api/queries'
import { dayOf } from '../../dates'
import { $t } from '../../i18n'

/** Said once after an update: which dates the better rules moved. */
defineProps<{ moved: Schemas['MovedDate'][] }>()
const { mutate, isPending } = useSeenMoved()
</script>

<template>
  <div class="moved" role="status">
    <details>
      <summary>
        {{ $t('due.the_rules_were_improved') }}
        <strong>{{
          $t('due.moved', { n: moved.length === 1 ? $t('due.n1_date') : $t('due.dates', { n: moved.length }) })
        }}</strong>
      </summary>
      <ul>
        <li v-for="m in moved" :key="m.dog_id">
          <RouterLink :to="`/dogs/${m.dog_id}`" dir="auto">{{ m.name }}</RouterLink>: {{ dayOf(m.was) }} →
          <strong>{{ dayOf(m.now) }}</strong>.
          <span class="soft">{{ $t('due.moved_since', { because: m.because, says: m.moved_by.says }) }}</span>
        </li>
      </ul>
    </details>
    <BButton variant="plain" :disabled="isPending" @click="mutate()">{{ $t('due.i_have_seen_it') }}</BButton>
  </div>
</template>

<style scoped>
.moved {
  align-items: start;
  background: var(--sunk);
  border-left: var(--bar) solid var(--go);
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1rem;
  justify-content: space-between;
  margin-bottom: 0.75rem;
  padding: 0.5rem 0.75rem;
}
summary {
  line-height: 44px;
}
ul {
  margin: 0.25rem 0 0;
}
</style>
