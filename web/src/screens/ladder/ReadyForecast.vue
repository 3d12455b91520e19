<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { fullDayOf, shortDayOf } from '../../dates'
import { $t } from '../../i18n'

/** About when the dog is through, and how sure that is. */
defineProps<{ ready: Schemas['Ready'] }>()
</script>

<template>
  <p class="ready">
    <template v-if="ready.likely"
      >{{ $t('ladder.through_about') }} <strong>{{ fullDayOf(ready.likely) }}</strong></template
    >
    <template v-else>{{ $t('ladder.not_within_a_year_of') }}</template>
    <span v-if="ready.early" class="soft"
      >{{ ' '
      }}{{
        $t('ladder.eight_times_in_ten', {
          early: shortDayOf(ready.early),
          late: ready.late ? `–${shortDayOf(ready.late)}` : $t('ladder.or_much_later'),
        })
      }}</span
    >
    <span class="soft small">
      {{
        ready.days === 0
          ? $t('ladder.assumed_two_training_days_in')
          : $t('ladder.learnt_from_of_training_of', {
              days: ready.days,
              days2: $t('ladder.day_days', ready.days),
              chance: Math.round(ready.chance * 100),
            })
      }}<template v-if="ready.every_days > 1.2">{{
        $t('ladder.trained_every_days', { every_days: ready.every_days.toFixed(1) })
      }}</template
      >.</span
    >
  </p>
</template>

<style scoped>
.ready {
  margin: 0.5rem 0 0;
}
.small {
  display: block;
}
</style>
