<script setup lang="ts">
import type { Schemas } from '../api/client'
import { $t } from '../i18n'
import { circumstances } from '../words'

/** What went with calm so far, as counts first: no cause is claimed. */
defineProps<{ calmer: Schemas['Calmer'][] }>()
const percent = (s: Schemas['CalmShare']) =>
  $t('parts.to_of_100', { low: Math.round(100 * s.low), high: Math.round(100 * s.high) })
</script>

<template>
  <ul v-if="calmer.length > 0" class="calmer" :aria-label="$t('parts.what_went_with_calm')">
    <li v-for="c in calmer" :key="c.what">
      <strong>{{ $t('parts.calm_of', { calm: c.with.calm, of: c.with.of, what: circumstances[c.what][0] }) }}</strong>{{
        $t('parts.of', { calm: c.without.calm, of: c.without.of, what: circumstances[c.what][1] })
      }}
      <span class="soft small">{{
        $t('parts.likely_against_it_may_have', { with: percent(c.with), without: percent(c.without) })
      }}</span>
    </li>
  </ul>
</template>

<style scoped>
.calmer {
  border-left: var(--bar) solid var(--go);
  list-style: none;
  margin: 0.5rem 0;
  padding-left: 0.75rem;
}
</style>
