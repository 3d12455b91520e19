<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { monthOf } from '../dates'
import { $t } from '../i18n'
import { decimal } from '../i18n/language'
import { useUnits } from '../units'
import ReliabilityBar from './ReliabilityBar.vue'
import TrendPictures from './TrendPictures.vue'

/**
 * How trims went by quarter, what was said before each beside what then was, and what could not be held against
 * anything.
 */
const props = defineProps<{ data: Schemas['Hindsight'] }>()
const { length } = useUnits()
const scored = (n: Schemas['HindsightNumbers']) =>
  $t('hindsight.its_score_is_a_plain', { crps: length.value.show(n.crps), plain_crps: length.value.show(n.plain_crps) })
const numbers = computed(() => [
  {
    title: 'lengths',
    of: props.data.lengths,
    words: $t('hindsight.measured_lengths_lay_in_the'),
    score: scored(props.data.lengths),
  },
  {
    title: 'spares',
    of: props.data.spares,
    words: $t('hindsight.quicks_seen_lay_in_the'),
    score: scored(props.data.spares),
  },
  {
    title: 'gaps',
    of: props.data.gaps,
    words: $t('hindsight.measured_gaps_lay_in_the'),
    score: scored(props.data.gaps),
  },
  { title: 'minutes', of: props.data.minutes, words: $t('hindsight.trims_took_as_long_as_its'), score: '' },
])
const expected = (low: number, high: number) =>
  low === high ? $t('hindsight.expected', { low }) : $t('hindsight.to_expected', { low, high })
const of = (n: number, all: number) => (all === 0 ? '–' : $t('hindsight.of', { n, all }))
</script>

<template>
  <div class="said">
    <section aria-labelledby="trims-title">
      <h2 id="trims-title">{{ $t('hindsight.how_trims_went') }}</h2>
      <p v-if="data.quarters.length === 0" class="soft">{{ $t('hindsight.nothing_was_trimmed_yet') }}</p>
      <template v-else>
        <TrendPictures v-if="data.trends.length > 0" :trends="data.trends" />
        <div class="scroll" role="region" tabindex="0" :aria-label="$t('hindsight.trims_by_quarter')">
          <table class="table">
            <thead>
              <tr>
                <th scope="col">{{ $t('hindsight.three_months_from') }}</th>
                <th scope="col">{{ $t('hindsight.trims') }}</th>
                <th scope="col">{{ $t('hindsight.nails_that_bled') }}</th>
                <th scope="col">{{ $t('hindsight.touching_on_arrival') }}</th>
                <th scope="col">{{ $t('hindsight.calm_minutes') }}</th>
                <th scope="col">{{ $t('hindsight.dates_kept') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="q in data.quarters" :key="q.from">
                <th scope="row">{{ monthOf(q.from) }}</th>
                <td>{{ q.trims }}</td>
                <td>{{ of(q.bled, q.nails) }}</td>
                <td>{{ of(q.touched, q.looked) }}</td>
                <td>{{ q.calm_minutes === undefined ? '–' : decimal(q.calm_minutes, 1) }}</td>
                <td>{{ of(q.kept, q.dated) }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <p v-if="data.quarters.some(q => q.drawn_mm !== undefined)" class="small soft">
          {{ $t('hindsight.drawn_is_believed') }}
        </p>
      </template>
    </section>
    <section v-if="data.wrongs.length > 0" aria-labelledby="wrong-title">
      <h2 id="wrong-title">{{ $t('hindsight.where_it_is_wrong') }}</h2>
      <ul class="bins">
        <li v-for="w in data.wrongs" :key="w.says">
          <strong>{{ w.says }}</strong> {{ w.teach }}
        </li>
      </ul>
    </section>
    <section aria-labelledby="said-title">
      <h2 id="said-title">{{ $t('hindsight.what_was_said_beforehand') }}</h2>
      <p class="soft small">{{ $t('hindsight.for_each_trim_and_look') }}</p>
      <h3>{{ $t('hindsight.cuts') }}</h3>
      <p v-if="data.cuts.few" class="soft">{{ $t('hindsight.too_few_counted_cuts_to') }}</p>
      <template v-else>
        <ul class="bins">
          <li v-for="b in data.cuts.bins" :key="b.up_to">
            {{ $t('hindsight.out_of') }} <strong>{{ b.cuts }}</strong>
            {{ $t('hindsight.cuts_called_to_bleed', { called: b.called }) }} <strong>{{ b.bled }}</strong>
            {{ $t('hindsight.bled') }} <span class="soft">({{ expected(b.expected_low, b.expected_high) }})</span
            ><span v-if="b.beyond" class="worse">{{ ' ' }}{{ $t('hindsight.more_than_it_said') }}</span
            ><ReliabilityBar :was="b.bled" :low="b.expected_low" :high="b.expected_high" :beyond="b.beyond" />
          </li>
        </ul>
        <p class="small soft">{{ $t('hindsight.the_bar_is_where') }}</p>
        <p class="small soft">
          {{
            $t('hindsight.than_a_plain_rule_that', {
              better: data.cuts.better ? $t('hindsight.better') : $t('hindsight.worse'),
            })
          }}
        </p>
      </template>
      <template v-if="!data.presses.few"
        ><h3>{{ $t('hindsight.presses') }}</h3>
        <p>
          {{ $t('hindsight.out_of') }} <strong>{{ data.presses.seen }}</strong> {{ $t('hindsight.nails_in_one_press') }}
          <strong>{{ data.presses.was }}</strong> {{ $t('hindsight.bled') }}
          <span class="soft">({{ expected(data.presses.expected_low, data.presses.expected_high) }})</span>
        </p></template
      >
      <h3>{{ $t('hindsight.lengths') }}</h3>
      <p v-if="data.lengths.few" class="soft">{{ $t('hindsight.too_few_lengths_were_measured') }}</p>
      <template v-for="n in numbers" :key="n.title">
        <p v-if="!n.of.few">
          <strong>{{ $t('hindsight.of_2', { in_90: n.of.in_90, seen: n.of.seen }) }}</strong> {{ n.words }}
          <span class="soft">{{
            $t('hindsight.to_of_100', { share_low: n.of.share_low.toFixed(0), share_high: n.of.share_high.toFixed(0) })
          }}</span>.
          <span class="small soft"
            >{{ n.score }} {{ n.of.better ? '' : $t('hindsight.the_plain_rule_was_better') }}</span
          >
        </p>
      </template>
      <h3>{{ $t('hindsight.dates') }}</h3>
      <p v-if="data.dates.few" class="soft">{{ $t('hindsight.too_few_dates_so_far') }}</p>
      <ul v-else class="bins">
        <li>
          <strong>{{ data.dates.before }}</strong> {{ $t('hindsight.with_a_nail_down_before') }}
        </li>
        <li>
          <strong>{{ data.dates.about }}</strong> {{ $t('hindsight.with_one_down_about_then') }}
          <strong>{{ data.dates.not_yet }}</strong> {{ $t('hindsight.before_the_date_with_none') }}
        </li>
        <li>
          <strong>{{ data.dates.later }}</strong> {{ $t('hindsight.with_none_down_yet_on') }}
        </li>
      </ul>
      <template v-if="data.floors.seen > 0">
        <h3>{{ $t('hindsight.felt_nails') }}</h3>
        <p v-if="data.floors.few" class="soft">{{ $t('hindsight.too_few_nails_were_felt') }}</p>
        <p v-else>
          {{ $t('hindsight.out_of') }} <strong>{{ data.floors.seen }}</strong> {{ $t('hindsight.felt_nails_2') }}
          <strong>{{ data.floors.was }}</strong> {{ $t('hindsight.touched') }}
          <span class="soft">({{ expected(data.floors.expected_low, data.floors.expected_high) }})</span>.
        </p>
      </template>
    </section>
    <section aria-labelledby="out-title">
      <h2 id="out-title">{{ $t('hindsight.left_out') }}</h2>
      <p v-if="data.left_out.unlooked > 0">
        {{ $t('hindsight.of_trims_began_without_a', { unlooked: data.left_out.unlooked, trims: data.left_out.trims }) }}
      </p>
      <p v-if="data.left_out.assumed > 0">
        {{ $t('hindsight.nails_were_saved_as_planned', { assumed: data.left_out.assumed }) }}
      </p>
      <p v-if="data.left_out.unlooked + data.left_out.assumed === 0" class="soft">{{ $t('hindsight.nothing') }}</p>
      <ul v-if="data.teaches.length > 0" class="bins">
        <li v-for="l in data.teaches" :key="l.key">{{ l.says }}</li>
      </ul>
      <p class="small soft">{{ $t('hindsight.nothing_marks_itself_what_nobody') }}</p>
    </section>
  </div>
</template>

<style scoped>
section {
  margin-bottom: 1.75rem;
  max-width: 56rem;
}
h3 {
  font-size: 1rem;
  margin: 1rem 0 0.25rem;
}
.scroll {
  overflow-x: auto;
}
.table {
  font-variant-numeric: tabular-nums;
}
.table td,
.table thead th:not(:first-child) {
  text-align: right;
}
.table tbody th {
  border-bottom: 1px solid var(--line);
  font-size: inherit;
  font-weight: 400;
}
.bins {
  margin: 0 0 0.25rem;
  padding-left: 1.1rem;
}
.worse {
  border-left: var(--bar) solid var(--caution-edge);
  font-weight: 650;
  margin-left: 0.5rem;
  padding-left: 0.4rem;
}
</style>
