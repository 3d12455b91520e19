<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { useChangeDog, useQuickPlan, useRhythms, useSettings } from '../api/queries'
import { fullDayOf } from '../dates'
import { $t } from '../i18n'
import { decimal } from '../i18n/language'
import { useLater } from '../local/later'
import AnswerState from '../parts/AnswerState.vue'
import QuickPlanNote from '../parts/QuickPlanNote.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import { useUnits } from '../units'
import { feelers, nailInWords, rhythms } from '../words'
import RestText from './dog/RestText.vue'
import RhythmMoves from './rhythm/RhythmMoves.vue'
import RhythmTable from './rhythm/RhythmTable.vue'
import { useNailNames } from '../local/nailNames'

const { names } = useNailNames()
const props = defineProps<{ dogId: string }>()
const km = ref<number>()
const goal = ref<number>()
const asked = computed(() => ({ pavement_km_week: km.value, goal_gap_mm: goal.value }))
const { data, error, refetch } = useRhythms(() => props.dogId, useLater(asked))
const { data: settings } = useSettings()
const { length } = useUnits()
const { start, end } = useQuickPlan(() => props.dogId)
const { mutate: change, isPending: changing, error: unchanged } = useChangeDog(() => props.dogId)
const adopt = () => change({ version: data.value!.dog.version, rhythm: chosen.value })

const chosen = ref<Schemas['Rhythm']>()
watch(
  data,
  d => {
    if (d && !chosen.value) chosen.value = d.plan?.plan.rhythm ?? d.dog.rhythm
  },
  { immediate: true },
)
const outlook = computed(() => data.value?.outlooks.find(o => o.rhythm === chosen.value))
const nearest = computed(() => data.value?.needs?.rhythm)
const back = computed(() => outlook.value?.bring_back)
const weeks = (w: number) =>
  w < 1 ? $t('rhythm.days', { w: Math.round(w * 7) }) : $t('rhythm.weeks', { w: decimal(w, 1) })
const begin = () =>
  start.mutate({ id: crypto.randomUUID(), rhythm: chosen.value!, goal_gap_mm: goal.value ?? data.value!.goal_gap_mm })
const goals = computed(() => (settings.value?.gap_feelers ?? []).filter(f => f.gap_mm > 0))
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" :what="$t('rhythm.how_often')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>
            {{ $t('rhythm.how_often_2') }}
            <RouterLink :to="`/dogs/${dogId}`" dir="auto">{{ data.dog.name }}</RouterLink>
          </h1>
          <p class="soft lead">{{ $t('rhythm.what_trimming_more_or_less', { rhythm: rhythms[data.dog.rhythm] }) }}</p>
        </div>
      </div>
      <QuickPlanNote v-if="data.plan" :plan="data.plan" />
      <p v-if="data.outlooks.length === 0" class="empty">{{ $t('rhythm.there_is_no_nail_that') }}</p>
      <template v-else>
        <p v-if="data.needs" class="even needs">
          <strong>{{ $t('rhythm.its_nails_need_about_days', { days: Math.round(data.needs.days) }) }}</strong>
          {{
            $t('rhythm.to_so_long_a_trim', {
              low_days: Math.round(data.needs.low_days),
              high_days: Math.round(data.needs.high_days),
            })
          }}
          <button
            v-if="nearest && nearest !== data.dog.rhythm"
            type="button"
            :disabled="changing"
            @click="change({ version: data.dog.version, rhythm: nearest })"
          >
            {{ $t('rhythm.do_it', { nearest: rhythms[nearest] }) }}
          </button>
        </p>
        <p class="even">
          <template v-if="data.break_even"
            ><strong>{{ $t('rhythm.the_quick_stops_growing_at', { weeks: weeks(data.break_even.weeks) }) }}</strong>
            {{
              $t('rhythm.the_longest_wait_that_lets', {
                low_weeks: weeks(data.break_even.low_weeks),
                high_weeks: weeks(data.break_even.high_weeks),
                margin: length.show(data.margin_mm),
                nail: data.break_even.nail,
                nail2: nailInWords(data.break_even.nail),
                source: data.break_even.source === 'learnt' ? data.growth.words : $t('rhythm.assumed'),
              })
            }}</template
          >
          <template v-else>{{
            $t('rhythm.however_often_you_trim_these', { mm: length.show(data.growth.rest.mm) })
          }}</template>
        </p>

        <div class="walk">
          <label for="km"
            >{{ $t('rhythm.pavement_walking') }}
            <strong>{{ $t('rhythm.km_a_week', { km: km ?? data.dog.pavement_km_week }) }}</strong></label
          >
          <input
            id="km"
            type="range"
            min="0"
            max="60"
            step="1"
            :value="km ?? data.dog.pavement_km_week"
            :aria-describedby="'km-says'"
            @input="km = Number(($event.target as HTMLInputElement).value)"
          />
          <p id="km-says" class="soft small">
            {{ $t('rhythm.takes_back_of_what_the', { ground_share: Math.round(data.ground_share * 100) }) }}
            <button
              v-if="km !== undefined && km !== data.dog.pavement_km_week"
              type="button"
              class="btn btn-plain reset"
              @click="km = undefined"
            >
              {{ $t('rhythm.as_it_walks_now') }}
            </button>
          </p>
        </div>

        <RhythmMoves :outlooks="data.outlooks" :break-even="data.break_even" :now="data.dog.rhythm" />
        <RhythmTable v-model="chosen" :outlooks="data.outlooks" :tool="data.tool" :now="data.dog.rhythm" />

        <section v-if="outlook && back" class="section" aria-labelledby="back-title">
          <h2 id="back-title">{{ $t('rhythm.bring_the_quicks_back', { rhythm: rhythms[outlook.rhythm] }) }}</h2>
          <div class="choices goals" role="group" :aria-label="$t('rhythm.until_every_trimmed_nail_stands')">
            <button
              v-for="f in goals"
              :key="f.feeler"
              type="button"
              :aria-pressed="Math.abs(f.gap_mm - data.goal_gap_mm) < 0.005"
              @click="goal = f.gap_mm"
            >
              {{ $t('rhythm.until', { feeler: feelers[f.feeler] }) }}
            </button>
            <button type="button" :aria-pressed="data.goal_gap_mm === 2" @click="goal = 2">
              {{ $t('rhythm.until_clear', { show: length.show(2) }) }}
            </button>
          </div>
          <p v-if="back.never" class="never">
            <strong>{{ $t('rhythm.never_this_often') }}</strong>
            {{
              $t('rhythm.would_still_stand_lower_than', {
                n:
                  back.holding.length === data.dog.nails.filter(n => !n.code.includes('1')).length
                    ? $t('rhythm.every_toe')
                    : names(back.holding),
                goal_gap: length.show(back.goal_gap_mm),
              })
            }}
          </p>
          <p v-else-if="back.steps.length === 1">
            {{ $t('rhythm.one_trim_is_enough_after', { goal_gap: length.show(back.goal_gap_mm) }) }}
          </p>
          <p v-else>
            {{ $t('rhythm.by') }} <strong>{{ fullDayOf(back.done!) }}</strong>{{ $t('rhythm.in') }}
            <strong>{{ $t('rhythm.trims', { n: back.steps.length }) }}</strong>{{
              $t('rhythm.the_quick_of_the_mean', {
                back: length.show(back.back_mm),
                goal_gap: length.show(back.goal_gap_mm),
              })
            }}
          </p>
          <RefusalNote :error="start.error.value ?? end.error.value ?? unchanged" />
          <div class="ways">
            <BButton
              v-if="!back.never && back.steps.length > 1 && outlook.choosable"
              variant="go"
              class="btn-big"
              :disabled="start.isPending.value"
              @click="begin"
              >{{ data.plan ? $t('rhythm.plan_it_anew_from_today') : $t('rhythm.make_it_this_dogs_plan') }}</BButton
            >
            <BButton
              v-if="outlook.choosable && outlook.rhythm !== data.dog.rhythm"
              variant="plain"
              :disabled="changing"
              @click="adopt"
              >{{ $t('rhythm.trim_it_this_often_without') }}</BButton
            >
            <BButton v-if="data.plan" variant="plain" :disabled="end.isPending.value" @click="end.mutate()">{{
              $t('rhythm.end_the_plan_that_is')
            }}</BButton>
          </div>
        </section>
        <RestText :rest="data.growth.rest" />
      </template>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.even {
  border-left: var(--bar) solid var(--go);
  margin-block: 0.75rem;
  max-width: 56rem;
  padding-left: 1rem;
}
.needs button {
  background: none;
  border: 0;
  color: var(--go);
  font-weight: 600;
  min-height: 44px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.walk {
  max-width: 36rem;
}
.walk input {
  accent-color: var(--go);
  display: block;
  min-height: var(--touch);
  width: 100%;
}
.walk p {
  min-height: 2.75em;
}
.reset {
  min-height: 32px;
  padding-block: 0;
}
.goals {
  margin-block: 0.5rem;
}
.never {
  color: var(--quick-text);
  max-width: 52rem;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
  margin-block: 0.75rem;
}
.empty {
  padding: 2rem 0;
}
</style>
