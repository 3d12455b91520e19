<script setup lang="ts">
import type { Schemas } from '../api/client'
import { dayOf } from '../dates'
import { $t } from '../i18n'

/** Why the date is what it is: what each rule alone would have said. */
defineProps<{ why: Schemas['Why']; nails?: number }>()
</script>

<template>
  <div class="why-table">
    <p class="sentence">{{ why.sentence }}</p>
    <div class="scroll-sideways">
      <table>
        <thead>
          <tr>
            <th>{{ $t('parts.what') }}</th>
            <th>{{ $t('parts.alone_would_say') }}</th>
            <th>{{ $t('parts.for') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in why.rows" :key="r.rule" :class="{ decided: r.decides, told: !r.followed }">
            <td>
              {{ r.words }}<span v-if="r.decides">{{ ' ' }}{{ $t('parts.decides') }}</span
              ><span v-if="!r.followed" class="soft">{{ $t('parts.for_you_to_know_short') }}</span>
            </td>
            <td class="nowrap">
              {{ r.due ? $t('parts.day', { due: dayOf(r.due), days: r.days }) : $t('parts.never') }}
            </td>
            <td class="small">
              {{ r.nails.length > 0 && r.nails.length === nails ? $t('parts.every_nail') : r.nails.join(' ') }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
.sentence::first-letter {
  text-transform: uppercase;
}
.why-table {
  max-width: 46rem;
}
.decided {
  font-weight: 650;
}
.told td {
  color: var(--ink-soft);
}
</style>
