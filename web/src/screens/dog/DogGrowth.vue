<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { shortDayOf } from '../../dates'
import { $t } from '../../i18n'
import { useUnits } from '../../units'
import RateBars from './RateBars.vue'
import RestText from './RestText.vue'
import { useNailNames } from '../../local/nailNames'

const { name } = useNailNames()
/** How fast this dog's nails grow, what its quicks do, and what both were learnt from. */
defineProps<{ dogId: string; growth: Schemas['Growth'] }>()
const { length } = useUnits()
</script>

<template>
  <section :aria-label="$t('dog.how_fast_they_grow')">
    <div class="head">
      <RouterLink :to="`/dogs/${dogId}/rhythm`" class="btn btn-plain">{{
        $t('dog.what_trimming_more_or_less')
      }}</RouterLink>
    </div>
    <p>{{ growth.source === 'learnt' ? '◆' : '○' }} {{ growth.words }}.</p>
    <RateBars :growth="growth" />
    <p class="soft small note">{{ $t('dog.ranges_hold_nine_times_in') }}</p>
    <details v-if="growth.outliers.length > 0" class="outliers">
      <summary>
        {{
          $t('dog.and_left_out', {
            n:
              growth.outliers.length === 1
                ? $t('dog.one_length_did_not_fit')
                : $t('dog.lengths_did_not_fit', { n: growth.outliers.length }),
            n2: $t('dog.was_were', growth.outliers.length),
          })
        }}
      </summary>
      <ul class="small">
        <li v-for="(o, i) in growth.outliers" :key="i">
          {{
            $t('dog.long_a_slip_of_the', { code: name(o.code), on: shortDayOf(o.on), length: length.show(o.length_mm) })
          }}
        </li>
      </ul>
    </details>
    <RestText :rest="growth.rest" />
  </section>
</template>

<style scoped>
.head {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  justify-content: space-between;
}
.note {
  margin-top: 0.5rem;
}
summary {
  color: var(--go);
  cursor: pointer;
  font-weight: 600;
  min-height: 32px;
}
</style>
