<script setup lang="ts">
import type { Schemas } from '../api/client'
import { monthOf } from '../dates'
import { useUnits } from '../units'

/** How trims went by quarter, what was said before each beside what then was, and what could not be held against anything. */
defineProps<{ data: Schemas['Hindsight'] }>()
const { length } = useUnits()
const expected = (low: number, high: number) => (low === high ? `${low} expected` : `${low} to ${high} expected`)
const of = (n: number, all: number) => (all === 0 ? '–' : `${n} of ${all}`)
</script>

<template>
  <div class="said">
    <section aria-labelledby="trims-title">
      <h2 id="trims-title">How trims went</h2>
      <p v-if="data.quarters.length === 0" class="soft">Nothing was trimmed yet.</p>
      <div v-else class="scroll" role="region" tabindex="0" aria-label="Trims by quarter">
        <table class="table">
          <thead><tr><th scope="col">three months from</th><th scope="col">trims</th><th scope="col">nails that bled</th><th scope="col">touching on arrival</th><th scope="col">calm minutes</th></tr></thead>
          <tbody><tr v-for="q in data.quarters" :key="q.from"><th scope="row">{{ monthOf(q.from) }}</th><td>{{ q.trims }}</td><td>{{ of(q.bled, q.nails) }}</td><td>{{ of(q.touched, q.looked) }}</td><td>{{ q.calm_minutes === undefined ? '–' : q.calm_minutes.toFixed(1) }}</td></tr></tbody>
        </table>
      </div>
    </section>
    <section aria-labelledby="said-title">
      <h2 id="said-title">What was said beforehand</h2>
      <p class="soft small">For each trim and look: what Fribbet would have said the day before, from what it knew then, by today’s rules. Then what happened.</p>
      <h3>Cuts</h3>
      <p v-if="data.cuts.few" class="soft">Too few counted cuts to say anything.</p>
      <template v-else>
        <ul class="bins">
          <li v-for="b in data.cuts.bins" :key="b.up_to">Of <strong>{{ b.cuts }}</strong> cuts called {{ b.called }} to bleed, <strong>{{ b.bled }}</strong> bled <span class="soft">({{ expected(b.expected_low, b.expected_high) }})</span><span v-if="b.beyond" class="worse"> more than it said</span></li>
        </ul>
        <p class="small soft">{{ data.cuts.better ? 'Better' : 'Worse' }} than a plain rule that calls every cut 1 in 200.</p>
      </template>
      <h3>Lengths</h3>
      <p v-if="data.lengths.few" class="soft">Too few lengths were measured before a cut.</p>
      <template v-else>
        <p><strong>{{ data.lengths.in_90 }} of {{ data.lengths.seen }}</strong> measured lengths lay in the range that is to hold nine times in ten <span class="soft">({{ data.lengths.share_low.toFixed(0) }} to {{ data.lengths.share_high.toFixed(0) }} of 100)</span>.</p>
        <p class="small soft">Its score is {{ length.show(data.lengths.crps_mm) }}; a plain rule that knows only the usual length has {{ length.show(data.lengths.plain_crps_mm) }}. Smaller is better.</p>
      </template>
      <h3>Dates</h3>
      <p v-if="data.dates.few" class="soft">Too few dates so far that a look at the floor could judge.</p>
      <ul v-else class="bins">
        <li><strong>{{ data.dates.before }}</strong> with a nail down before its date</li>
        <li><strong>{{ data.dates.about }}</strong> with one down about then, <strong>{{ data.dates.not_yet }}</strong> before the date with none down: as was said</li>
        <li><strong>{{ data.dates.later }}</strong> with none down yet on the date</li>
      </ul>
      <template v-if="data.floors.seen > 0">
        <h3>Felt nails</h3>
        <p v-if="data.floors.few" class="soft">Too few nails were felt.</p>
        <p v-else>Of <strong>{{ data.floors.seen }}</strong> felt nails <strong>{{ data.floors.touched }}</strong> touched <span class="soft">({{ expected(data.floors.expected_low, data.floors.expected_high) }})</span>.</p>
      </template>
    </section>
    <section aria-labelledby="out-title">
      <h2 id="out-title">Left out</h2>
      <p v-if="data.left_out.unlooked > 0">{{ data.left_out.unlooked }} of {{ data.left_out.trims }} trims began without a look at the floor. One press at the start (none, some, most) would hold the dates to account.</p>
      <p v-if="data.left_out.assumed > 0">{{ data.left_out.assumed }} nails were saved as planned, and nobody counted their cuts.</p>
      <p v-if="data.left_out.unlooked + data.left_out.assumed === 0" class="soft">Nothing.</p>
      <p class="small soft">Nothing marks itself: what nobody said is held against nothing.</p>
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
