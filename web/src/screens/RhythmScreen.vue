<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { useChangeDog, useQuickPlan, useRhythms, useSettings } from '../api/queries'
import { fullDayOf } from '../dates'
import { useLater } from '../local/later'
import AnswerState from '../parts/AnswerState.vue'
import QuickPlanNote from '../parts/QuickPlanNote.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import { useUnits } from '../units'
import { feelers, nailInWords, rhythms } from '../words'
import RestText from './dog/RestText.vue'
import RhythmMoves from './rhythm/RhythmMoves.vue'
import RhythmTable from './rhythm/RhythmTable.vue'

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
watch(data, (d) => { if (d && !chosen.value) chosen.value = d.plan?.plan.rhythm ?? d.dog.rhythm }, { immediate: true })
const outlook = computed(() => data.value?.outlooks.find((o) => o.rhythm === chosen.value))
const nearest = computed(() => data.value?.needs?.rhythm)
const back = computed(() => outlook.value?.bring_back)
const weeks = (w: number) => (w < 1 ? `${Math.round(w * 7)} days` : `${w.toFixed(1)} weeks`)
const begin = () => start.mutate({ id: crypto.randomUUID(), rhythm: chosen.value!, goal_gap_mm: goal.value ?? data.value!.goal_gap_mm })
const goals = computed(() => (settings.value?.gap_feelers ?? []).filter((f) => f.gap_mm > 0))
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" what="how often" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>How often: <RouterLink :to="`/dogs/${dogId}`" dir="auto">{{ data.dog.name }}</RouterLink></h1>
          <p class="soft lead">What trimming more or less often would do over half a year, beginning today. Now: {{ rhythms[data.dog.rhythm] }}.</p>
        </div>
      </div>
      <QuickPlanNote v-if="data.plan" :plan="data.plan" />
      <p v-if="data.outlooks.length === 0" class="empty">There is no nail that may be trimmed: a veterinarian first.</p>
      <template v-else>
        <p v-if="data.needs" class="even needs"><strong>Its nails need about {{ Math.round(data.needs.days) }} days</strong> ({{ Math.round(data.needs.low_days) }} to {{ Math.round(data.needs.high_days) }}): so long a trim keeps them clear of the floor, by its own growth, wear and quicks.
          <button v-if="nearest && nearest !== data.dog.rhythm" type="button" :disabled="changing" @click="change({ version: data.dog.version, rhythm: nearest })">Do it {{ rhythms[nearest] }}</button></p>
        <p class="even">
          <template v-if="data.break_even"><strong>The quick stops growing at every {{ weeks(data.break_even.weeks) }}</strong> ({{ weeks(data.break_even.low_weeks) }}–{{ weeks(data.break_even.high_weeks) }}):
            the longest wait that lets no quick grow, when every trim leaves {{ length.show(data.margin_mm) }}. {{ data.break_even.nail }}, {{ nailInWords(data.break_even.nail) }}, sets it.
            Its growth is {{ data.break_even.source === 'learnt' ? data.growth.words : 'assumed' }}.</template>
          <template v-else>However often you trim, these quicks do not hold: every trim leaves more than {{ length.show(data.growth.rest.mm) }}, where they begin to grow.</template>
        </p>

        <div class="walk">
          <label for="km">Pavement walking: <strong>{{ km ?? data.dog.pavement_km_week }} km a week</strong></label>
          <input id="km" type="range" min="0" max="60" step="1" :value="km ?? data.dog.pavement_km_week" :aria-describedby="'km-says'" @input="km = Number(($event.target as HTMLInputElement).value)" />
          <p id="km-says" class="soft small">Takes back {{ Math.round(data.ground_share * 100) }} % of what the toes’ nails grow; a dewclaw loses nothing. <button v-if="km !== undefined && km !== data.dog.pavement_km_week" type="button" class="btn btn-plain reset" @click="km = undefined">As it walks now</button></p>
        </div>

        <RhythmMoves :outlooks="data.outlooks" :break-even="data.break_even" :now="data.dog.rhythm" />
        <RhythmTable v-model="chosen" :outlooks="data.outlooks" :tool="data.tool" :now="data.dog.rhythm" />

        <section v-if="outlook && back" class="section" aria-labelledby="back-title">
          <h2 id="back-title">Bring the quicks back, {{ rhythms[outlook.rhythm] }}</h2>
          <div class="choices goals" role="group" aria-label="Until every trimmed nail stands clear by">
            <button v-for="f in goals" :key="f.feeler" type="button" :aria-pressed="Math.abs(f.gap_mm - data.goal_gap_mm) < 0.005" @click="goal = f.gap_mm">until {{ feelers[f.feeler] }}</button>
            <button type="button" :aria-pressed="data.goal_gap_mm === 2" @click="goal = 2">until {{ length.show(2) }} clear</button>
          </div>
          <p v-if="back.never" class="never"><strong>Never, this often.</strong> {{ back.holding.length === data.dog.nails.filter((n) => !n.code.includes('1')).length ? 'Every toe' : back.holding.join(' ') }} would still stand lower than {{ length.show(back.goal_gap_mm) }} after two years: go more often. An older dog may never get fully short nails; a veterinarian can say whether more is possible.</p>
          <p v-else-if="back.steps.length === 1">One trim is enough: after it every nail stands {{ length.show(back.goal_gap_mm) }} clear or more.</p>
          <p v-else>
            By <strong>{{ fullDayOf(back.done!) }}</strong>, in <strong>{{ back.steps.length }} trims</strong>: the quick of the mean toe draws back {{ length.show(back.back_mm) }}, and every trimmed nail stands {{ length.show(back.goal_gap_mm) }} clear.
            Little and often, close to the quick and never into it; overgrown nails are not brought back in one go.
          </p>
          <RefusalNote :error="start.error.value ?? end.error.value ?? unchanged" />
          <div class="ways">
            <BButton v-if="!back.never && back.steps.length > 1 && outlook.choosable" variant="go" class="btn-big" :disabled="start.isPending.value" @click="begin">{{ data.plan ? 'Plan it anew from today' : 'Make it this dog’s plan' }}</BButton>
            <BButton v-if="outlook.choosable && outlook.rhythm !== data.dog.rhythm" variant="plain" :disabled="changing" @click="adopt">Trim it this often, without a plan</BButton>
            <BButton v-if="data.plan" variant="plain" :disabled="end.isPending.value" @click="end.mutate()">End the plan that is on</BButton>
          </div>
        </section>
        <RestText :rest="data.growth.rest" />
      </template>
    </template>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; }
.even { border-left: var(--bar) solid var(--go); margin-block: 0.75rem; max-width: 56rem; padding-left: 1rem; }
.needs button { background: none; border: 0; color: var(--go); font-weight: 600; min-height: 44px; text-decoration: underline; text-underline-offset: 3px; }
.walk { max-width: 36rem; }
.walk input { accent-color: var(--go); display: block; min-height: var(--touch); width: 100%; }
.walk p { min-height: 2.75em; }
.reset { min-height: 32px; padding-block: 0; }
.goals { margin-block: 0.5rem; }
.never { color: var(--quick-text); max-width: 52rem; }
.ways { display: flex; flex-wrap: wrap; gap: 0.75rem; margin-block: 0.75rem; }
.empty { padding: 2rem 0; }
</style>
