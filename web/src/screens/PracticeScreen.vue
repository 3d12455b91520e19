<script setup lang="ts">
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { kinds, newSeed, useCareByEye, usePractice } from '../api/practice'
import { dayOf } from '../dates'
import { $t } from '../i18n'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import { useUnits } from '../units'
import { faces } from '../words'

/** Where nothing can bleed: drawn nails by what is hard about them, cut ends to name, and how it goes. */
const { data, error, refetch } = usePractice()
const { length } = useUnits()
const seed = newSeed()
const care = useCareByEye()
const tried = computed(() => data.value?.kinds.filter(k => k.mine.nails > 0) ?? [])
const per100 = (t: Schemas['PracticeTally']) =>
  $t('practice.to', {
    per_100: t.per_100.value.toFixed(0),
    low: t.per_100.low.toFixed(0),
    high: t.per_100.high.toFixed(0),
  })
const left = (t: Schemas['PracticeTally']) => (t.bled < t.nails ? length.value.show(t.left.value) : '')
</script>

<template>
  <div class="screen practice">
    <AnswerState v-if="!data" :error="error" :what="$t('practice.your_practice')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>{{ $t('practice.practice') }}</h1>
          <p class="soft lead">{{ $t('practice.nothing_can_bleed_here_each') }}</p>
        </div>
      </div>
      <section aria-labelledby="nails-title">
        <h2 id="nails-title">{{ $t('practice.cut_a_nail') }}</h2>
        <p class="soft small">
          {{ $t('practice.a_step_is_passed_when') }}
          <template v-if="!data.next">{{ $t('practice.nothing_more_today') }}</template>
        </p>
        <ul>
          <li v-for="k in data.kinds" :key="k.kind" class="line">
            <div>
              <strong>{{ kinds[k.kind].words }}</strong>
              <div class="soft small">{{ kinds[k.kind].hard }}</div>
            </div>
            <div class="small">
              <template v-if="k.passed && k.again">{{
                $t('practice.passed_again', { again: dayOf(k.again) })
              }}</template><template v-else-if="k.lately > 0">{{
                $t('practice.of_the_last_went_well', { well: k.well, lately: k.lately })
              }}</template
              ><template v-else>{{ $t('practice.not_tried_yet') }}</template>
            </div>
            <RouterLink
              :to="`/practice/${k.kind}?seed=${seed}&n=1`"
              :class="['btn', k.kind === data.next ? 'btn-go btn-big' : 'btn-plain']"
              >{{ k.mine.nails > 0 ? $t('practice.go_on') : $t('practice.try')
              }}<span class="visually-hidden"> {{ kinds[k.kind].words }}</span></RouterLink
            >
          </li>
        </ul>
      </section>
      <section aria-labelledby="ends-title">
        <h2 id="ends-title">{{ $t('practice.name_the_cut_end') }}</h2>
        <p v-if="data.own.all > 0">
          {{ $t('practice.own_kept', { all: data.own.all, now: data.own.now }) }}
          <template v-if="!data.own.first">{{ $t('practice.own_first_from_ten') }}</template>{{ ' '
          }}<template v-if="data.own.asked > 0">{{
            $t('practice.own_right', { right: data.own.right, asked: data.own.asked })
          }}</template>
        </p>
        <p>
          {{ $t('practice.twenty_ends_about_a_minute') }}
          <template v-if="data.ends.asked > 0">{{
            $t('practice.lately_of_right', { right: data.ends.right, asked: data.ends.asked })
          }}</template>
        </p>
        <ul v-if="data.ends.mixed.length > 0" class="mixed">
          <li v-for="m in data.ends.mixed.slice(0, 3)" :key="m.showed + m.said" class="small">
            {{ $t('practice.taken_for', { showed: faces[m.showed], said: faces[m.said], times: m.times }) }}
          </li>
        </ul>
        <p class="ways">
          <RouterLink v-if="data.own.now > 0 && data.own.first" to="/practice/own" class="btn btn-go btn-big">{{
            $t('practice.name_your_own')
          }}</RouterLink>
          <RouterLink :to="`/practice/ends?seed=${seed}`" class="btn btn-plain btn-big">{{
            $t('practice.name_twenty_ends')
          }}</RouterLink>
          <RouterLink v-if="data.own.now > 0 && !data.own.first" to="/practice/own" class="btn btn-plain btn-big">{{
            $t('practice.name_your_own')
          }}</RouterLink>
        </p>
        <div v-if="data.eye.asked >= data.eye.needed || data.eye.cares" class="eye">
          <BFormCheckbox
            :model-value="data.eye.cares"
            switch
            :disabled="care.isPending.value"
            @update:model-value="care.mutate($event === true)"
            >{{ $t('practice.let_this_set_the_care') }}</BFormCheckbox
          >
          <p class="soft small">
            {{ $t('practice.taken_for_milder', { milder: data.eye.milder, asked: data.eye.asked }) }}
            {{
              data.eye.of_100
                ? $t('practice.the_bench_would', { of: data.eye.of_100 })
                : $t('practice.no_more_than_most')
            }}
          </p>
          <RefusalNote :error="care.error.value" />
        </div>
      </section>
      <section aria-labelledby="look-title">
        <h2 id="look-title">{{ $t('practice.look_closely') }}</h2>
        <p>{{ $t('practice.eight_pictures_each') }}</p>
        <p class="ways">
          <RouterLink :to="`/practice/groove?seed=${seed}`" class="btn btn-plain btn-big">{{
            $t('practice.where_the_groove_ends')
          }}</RouterLink>{{ ' '
          }}<RouterLink :to="`/practice/feet?seed=${seed}`" class="btn btn-plain btn-big">{{
            $t('practice.which_paw_is_due')
          }}</RouterLink>
        </p>
      </section>
      <section aria-labelledby="dog-title">
        <h2 id="dog-title">{{ $t('practice.read_the_dog') }}</h2>
        <p>{{ $t('practice.moments_at_the_table_go') }}</p>
        <RouterLink :to="`/practice/dog?seed=${seed}`" class="btn btn-plain btn-big">{{
          $t('practice.read_the_dog')
        }}</RouterLink>
      </section>
      <section aria-labelledby="blood-title">
        <h2 id="blood-title">{{ $t('practice.it_bleeds') }}</h2>
        <p>{{ $t('practice.eight_moments_against') }}</p>
        <RouterLink :to="`/practice/blood?seed=${seed}`" class="btn btn-plain btn-big">{{
          $t('practice.against_the_clock')
        }}</RouterLink>
      </section>
      <section aria-labelledby="hand-title">
        <h2 id="hand-title">{{ $t('practice.your_hand') }}</h2>
        <p>{{ $t('practice.ten_slices_off_a_stick') }}</p>
        <RouterLink to="/settings/slices" class="btn btn-plain">{{ $t('practice.how_thick_you_cut') }}</RouterLink>
      </section>
      <section v-if="tried.length > 0" aria-labelledby="how-title">
        <h2 id="how-title">{{ $t('practice.how_it_goes') }}</h2>
        <p class="soft small">{{ $t('practice.your_last_40_nails_of', { thick: length.show(1) }) }}</p>
        <div class="scroll" role="region" tabindex="0" :aria-label="$t('practice.how_it_goes_by_kind')">
          <table class="table">
            <thead>
              <tr>
                <th scope="col">{{ $t('practice.of_100_nails_like_these') }}</th>
                <th scope="col">{{ $t('practice.yours_bleed') }}</th>
                <th scope="col">{{ $t('practice.by_the_advice') }}</th>
                <th scope="col">{{ $t('practice.n1_mm_unasked', { thick: length.show(1) }) }}</th>
                <th scope="col">{{ $t('practice.you_leave') }}</th>
                <th scope="col">{{ $t('practice.the_advice_leaves') }}</th>
                <th scope="col">{{ $t('practice.too_early_too_many') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="k in tried" :key="k.kind">
                <th scope="row">{{ kinds[k.kind].words }}</th>
                <td>{{ per100(k.mine) }}</td>
                <td>{{ per100(k.advised) }}</td>
                <td>{{ per100(k.unasked) }}</td>
                <td>{{ left(k.mine) }}</td>
                <td>{{ left(k.advised) }}</td>
                <td>{{ k.early }} · {{ k.late }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
section {
  margin-bottom: 2rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.line {
  align-items: center;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 0.5rem 1.5rem;
  grid-template-columns: minmax(0, 1fr) 11rem 9rem;
  padding-block: 0.6rem;
}
.line .btn {
  justify-self: end;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
.eye {
  margin-top: 0.75rem;
  max-width: 44rem;
}
.mixed {
  margin-bottom: 0.75rem;
}
.table {
  font-variant-numeric: tabular-nums;
  max-width: 60rem;
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
.scroll {
  overflow-x: auto;
}
@media (max-width: 900px) {
  .line {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .line > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
