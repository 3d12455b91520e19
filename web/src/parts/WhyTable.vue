<script setup lang="ts">
import type { Schemas } from '../api/client'
import { dayOf } from '../dates'

/** Why the date is what it is: what each rule alone would have said. */
defineProps<{ why: Schemas['Why']; nails?: number }>()
</script>

<template>
  <div class="why-table">
    <p class="sentence">{{ why.sentence }}</p>
    <table>
      <thead><tr><th>what</th><th>alone would say</th><th>for</th></tr></thead>
      <tbody>
        <tr v-for="r in why.rows" :key="r.rule" :class="{ decided: r.decides, told: !r.followed }">
          <td>{{ r.words }}<span v-if="r.decides"> ◀ decides</span><span v-if="!r.followed" class="soft">, for you to know: short quicks are not asked for</span></td>
          <td class="nowrap">{{ r.due ? `${dayOf(r.due)}, day ${r.days}` : 'never' }}</td>
          <td class="small">{{ r.nails.length > 0 && r.nails.length === nails ? 'every nail' : r.nails.join(' ') }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.sentence::first-letter { text-transform: uppercase; }
.why-table { max-width: 46rem; }
.decided { font-weight: 650; }
.told td { color: var(--ink-soft); }
</style>
