<script setup lang="ts">
import type { Schemas } from '../api/client'
import { monthOf } from '../dates'
import { $t } from '../i18n'
import { decimal } from '../i18n/language'
import { useUnits } from '../units'

/** How trims went by quarter, what was said before each beside what then was, and what could not be held against anything. */
defineProps<{ data: Schemas['Hindsight'] }>()
const { length } = useUnits()
const expected = (low: number, high: number) => (low === high ? $t('hindsight.expected', { low }) : $t('hindsight.to_expected', { low, high }))
const of = (n: number, all: number) => (all === 0 ? '–' : $t('hindsight.of', { n, all }))
</script>

<template>
  <div class="said">
    <section aria-labelledby="trims-title">
      <h2 id="trims-title">{{ $t('hindsight.how_trims_went') }}</h2>
      <p v-if="data.quarters.length === 0" class="soft">{{ $t('hindsight.nothing_was_trimmed_yet') }}</p>
      <div v-else class="scroll" role="region" tabindex="0" :aria-label="$t('hindsight.trims_by_quarter')">
        <table class="table">
          <thead><tr><th scope="col">{{ $t('hindsight.three_months_from') }}</th><th scope="col">{{ $t('hindsight.trims') }}</th><th scope="col">{{ $t('hindsight.nails_that_bled') }}</th><th scope="col">{{ $t('hindsight.touching_on_arrival') }}</th><th scope="col">{{ $t('hindsight.calm_minutes') }}</th></tr></thead>
          <tbody><tr v-for="q in data.quarters" :key="q.from"><th scope="row">{{ monthOf(q.from) }}</th><td>{{ q.trims }}</td><td>{{ of(q.bled, q.nails) }}</td><td>{{ of(q.touched, q.looked) }}</td><td>{{ q.calm_minutes === undefined ? '–' : decimal(q.calm_minutes, 1) }}</td></tr></tbody>
        </table>
      </div>
    </section>
    <section aria-labelledby="said-title">
      <h2 id="said-title">{{ $t('hindsight.what_was_said_beforehand') }}</h2>
      <p class="soft small">{{ $t('hindsight.for_each_trim_and_look') }}</p>
      <h3>{{ $t('hindsight.cuts') }}</h3>
      <p v-if="data.cuts.few" class="soft">{{ $t('hindsight.too_few_counted_cuts_to') }}</p>
      <template v-else>
        <ul class="bins">
          <li v-for="b in data.cuts.bins" :key="b.up_to">{{ $t('hindsight.out_of') }} <strong>{{ b.cuts }}</strong> {{ $t('hindsight.cuts_called_to_bleed', { called: b.called }) }} <strong>{{ b.bled }}</strong> {{ $t('hindsight.bled') }} <span class="soft">({{ expected(b.expected_low, b.expected_high) }})</span><span v-if="b.beyond" class="worse">{{ ' ' }}{{ $t('hindsight.more_than_it_said') }}</span></li>
        </ul>
        <p class="small soft">{{ $t('hindsight.than_a_plain_rule_that', { better: data.cuts.better ? $t('hindsight.better') : $t('hindsight.worse') }) }}</p>
      </template>
      <h3>{{ $t('hindsight.lengths') }}</h3>
      <p v-if="data.lengths.few" class="soft">{{ $t('hindsight.too_few_lengths_were_measured') }}</p>
      <template v-else>
        <p><strong>{{ $t('hindsight.of_2', { in_90: data.lengths.in_90, seen: data.lengths.seen }) }}</strong> {{ $t('hindsight.measured_lengths_lay_in_the') }} <span class="soft">{{ $t('hindsight.to_of_100', { share_low: data.lengths.share_low.toFixed(0), share_high: data.lengths.share_high.toFixed(0) }) }}</span>.</p>
        <p class="small soft">{{ $t('hindsight.its_score_is_a_plain', { crps: length.show(data.lengths.crps_mm), plain_crps: length.show(data.lengths.plain_crps_mm) }) }}</p>
      </template>
      <h3>{{ $t('hindsight.dates') }}</h3>
      <p v-if="data.dates.few" class="soft">{{ $t('hindsight.too_few_dates_so_far') }}</p>
      <ul v-else class="bins">
        <li><strong>{{ data.dates.before }}</strong> {{ $t('hindsight.with_a_nail_down_before') }}</li>
        <li><strong>{{ data.dates.about }}</strong> {{ $t('hindsight.with_one_down_about_then') }} <strong>{{ data.dates.not_yet }}</strong> {{ $t('hindsight.before_the_date_with_none') }}</li>
        <li><strong>{{ data.dates.later }}</strong> {{ $t('hindsight.with_none_down_yet_on') }}</li>
      </ul>
      <template v-if="data.floors.seen > 0">
        <h3>{{ $t('hindsight.felt_nails') }}</h3>
        <p v-if="data.floors.few" class="soft">{{ $t('hindsight.too_few_nails_were_felt') }}</p>
        <p v-else>{{ $t('hindsight.out_of') }} <strong>{{ data.floors.seen }}</strong> {{ $t('hindsight.felt_nails_2') }} <strong>{{ data.floors.touched }}</strong> {{ $t('hindsight.touched') }} <span class="soft">({{ expected(data.floors.expected_low, data.floors.expected_high) }})</span>.</p>
      </template>
    </section>
    <section aria-labelledby="out-title">
      <h2 id="out-title">{{ $t('hindsight.left_out') }}</h2>
      <p v-if="data.left_out.unlooked > 0">{{ $t('hindsight.of_trims_began_without_a', { unlooked: data.left_out.unlooked, trims: data.left_out.trims }) }}</p>
      <p v-if="data.left_out.assumed > 0">{{ $t('hindsight.nails_were_saved_as_planned', { assumed: data.left_out.assumed }) }}</p>
      <p v-if="data.left_out.unlooked + data.left_out.assumed === 0" class="soft">{{ $t('hindsight.nothing') }}</p>
      <p class="small soft">{{ $t('hindsight.nothing_marks_itself_what_nobody') }}</p>
    </section>
  </div>
</template>

<style scoped>
section { margin-bottom: 1.75rem; max-width: 56rem; }
h3 { font-size: 1rem; margin: 1rem 0 0.25rem; }
.scroll { overflow-x: auto; }
.table { font-variant-numeric: tabular-nums; }
.table td, .table thead th:not(:first-child) { text-align: right; }
.table tbody th { border-bottom: 1px solid var(--line); font-size: inherit; font-weight: 400; }
.bins { margin: 0 0 0.25rem; padding-left: 1.1rem; }
.worse { border-left: var(--bar) solid var(--caution-edge); font-weight: 650; margin-left: 0.5rem; padding-left: 0.4rem; }
</style>
