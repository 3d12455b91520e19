<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { useDog, usePlan } from '../api/queries'
import { useSlices } from '../api/slices'
import { dayOf } from '../dates'
import { beginSitting } from '../local/bench'
import { kept } from '../local/kept'
import { act, isTyping, onKey } from '../local/keys'
import { useNarrow } from '../local/narrow'
import { print } from '../local/print'
import AnswerState from '../parts/AnswerState.vue'
import ArrivalRow from '../parts/ArrivalRow.vue'
import CalmerNote from '../parts/CalmerNote.vue'
import CautionList from '../parts/CautionList.vue'
import RankPicture from '../rank/RankPicture.vue'
import { kitKinds, minuteSources, minutesInWords, pawWords } from '../words'
import CheckList from './ready/CheckList.vue'
import LeftNails from './ready/LeftNails.vue'
import PawBlock from './ready/PawBlock.vue'

const props = defineProps<{ dogId: string }>()
const router = useRouter()
const narrow = useNarrow()

/** What is laid out is kept here until the sitting is begun, and then goes with it. */
const laidOut = kept<{ day: string; ticks: string[]; helper: boolean }>(`fribbet-ready-${props.dogId}`)
const before = laidOut.read()
const helper = ref(before?.helper ?? false)
const ticks = ref<string[]>([])
const arrival = ref<Schemas['Arrival']>()
const { data: dog } = useDog(() => props.dogId) // whether a sitting is under way
const { data: plan, error, refetch } = usePlan(() => props.dogId, helper)
watch(plan, (p, old) => {
  if (p && !old && before?.day === p.today) ticks.value = before.ticks
}, { immediate: true })
watch([ticks, helper], () => plan.value && laidOut.keep({ day: plan.value.today, ticks: ticks.value, helper: helper.value }))

const today = computed(() => plan.value?.days[0])
const later = computed(() => plan.value?.days.slice(1) ?? [])
/** Today's nails as the paws follow one another. */
const paws = computed(() => {
  const runs: { hold: Schemas['Hold']; stops: Schemas['Stop'][]; again: boolean }[] = []
  for (const stop of today.value?.stops ?? []) {
    const paw = stop.code.slice(0, 2)
    if (runs.length === 0 || runs[runs.length - 1].hold.paw !== paw) {
      runs.push({ hold: plan.value!.holds.find((h) => h.paw === paw)!, stops: [], again: runs.some((r) => r.hold.paw === paw) })
    }
    runs[runs.length - 1].stops.push(stop)
  }
  return runs
})
const marks = computed(() => Object.fromEntries((plan.value?.nails ?? []).map((n) => [n.code, today.value?.stops.some((s) => s.code === n.code) ? 'planned' : 'left'])))
const limits = computed(() => {
  if (!plan.value || !today.value) return []
  const words = plan.value.limits.map((l) => l.words)
  if (plan.value.alone) words.push('alone, half as much: a helper is worth having')
  if (plan.value.calm_minutes !== undefined) words.push(`lately calm for about ${minutesInWords(plan.value.calm_minutes)}: a break before that`)
  return words
})

/** What is still to be laid out, in one line: what is in trouble first, then what was forgotten last time. */
const toLayOut = computed(() => {
  const open = (plan.value?.checklist ?? []).filter((t) => !ticks.value.includes(t.key))
  if (open.length === 0) return 'All laid out'
  const first = open.find((t) => t.trouble) ?? open.find((t) => t.missed)
  return `Lay out: ${open.length} ${open.length === 1 ? 'thing' : 'things'}${first ? `, ${first.words} first` : ''}`
})

function start() {
  if (!plan.value || !today.value) return
  if (dog.value?.open_sitting) return void router.push(`/dogs/${props.dogId}/bench/${dog.value.open_sitting}`)
  const first = today.value.stops[0]
  void beginSitting(props.dogId, { kind: 'started', tool: first.tool, item_id: first.item_id, helper: helper.value && plan.value.helping !== 'alone', ticks: ticks.value }, ...(arrival.value ? [{ kind: 'arrival' as const, arrival: arrival.value }] : [])).then((id) => {
    laidOut.drop()
    void router.push(`/dogs/${props.dogId}/bench/${id}`)
  })
}
/** How thick the hand cuts is offered to be measured once: who has said no, or has done it, is not asked again. */
const { data: slices } = useSlices()
const declined = kept<boolean>('fribbet-slices-declined')
const no = ref(declined.read() ?? false)
const offered = computed(() => slices.value && !slices.value.learnt && !no.value)
function decline() {
  declined.keep(true)
  no.value = true
}
onKey((event) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === 'h') act(event, () => (helper.value = !helper.value))
  else if (event.key === 'Enter' && !(event.target instanceof HTMLElement && event.target.closest('button, a, summary'))) act(event, start)
})
</script>

<template>
  <div class="screen ready">
    <AnswerState v-if="!plan" :error="error" what="today’s plan" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1><bdi>{{ plan.name }}</bdi>: get ready</h1>
          <p v-if="today" class="lead"><strong>{{ today.stops.length }} {{ today.stops.length === 1 ? 'nail' : 'nails' }}</strong> today, about <strong>{{ minutesInWords(today.minutes.minutes) }}</strong> <span v-if="!narrow" class="soft">({{ Math.floor(today.minutes.low) }}–{{ Math.ceil(today.minutes.high) }}, {{ minuteSources[today.minutes.source] }})</span></p>
          <p v-else class="lead">Nothing is trimmed today.</p>
        </div>
        <div class="aside">
          <BButton variant="plain" class="helper" role="switch" :aria-checked="helper" @click="helper = !helper">{{ helper ? '✓ helper here' : 'no helper' }} <kbd>H</kbd></BButton>
          <RouterLink v-if="dog?.open_sitting" :to="`/dogs/${dogId}/bench/${dog.open_sitting}`" class="btn btn-go btn-big">Go on at the bench</RouterLink>
          <BButton v-else-if="today" variant="go" class="btn-big" @click="start">Start<span v-if="!narrow"> the trim</span></BButton>
          <BButton v-else-if="plan.nobody_helps" variant="go" class="btn-big" @click="helper = true">A helper is here</BButton>
          <RouterLink v-else-if="plan.left.some((l) => l.whose === 'training')" :to="`/dogs/${dogId}/ladder`" class="btn btn-go btn-big">Train instead</RouterLink>
          <RouterLink v-else :to="`/dogs/${dogId}`" class="btn btn-go btn-big"><span>Back to <bdi>{{ plan.name }}</bdi></span></RouterLink>
        </div>
      </div>
      <p v-if="plan.nobody_helps" class="blocked" role="alert">{{ plan.blocked }}</p>
      <CautionList :cautions="plan.cautions" />
      <CalmerNote :calmer="plan.calmer.filter((c) => c.more)" />
      <ArrivalRow v-if="today && !dog?.open_sitting && !narrow" v-model="arrival" />
      <div class="columns">
        <div class="work">
          <details v-if="today" class="rest" :open="!narrow || paws.length > 1">
            <summary>In this order<template v-if="paws.length === 1">: {{ pawWords[paws[0].hold.paw] }}</template></summary>
            <p class="soft small">{{ plan.support.says }}</p>
            <ol class="paws"><PawBlock v-for="(p, i) in paws" :key="i" :dog-id="dogId" :stops="p.stops" :nails="plan.nails" :hold="p.hold" :again="p.again" /></ol>
          </details>
          <details v-if="limits.length > 0" class="rest" :open="!narrow"><summary>Why so {{ plan.gently ? 'few' : 'many' }}</summary>
            <p v-if="plan.gently" class="gently">The first time, and not easy for it: <RouterLink :to="`/dogs/${dogId}/ladder`">the ladder</RouterLink> is worth beginning before any nail.</p>
            <ul class="soft small limits"><li v-for="w in limits" :key="w">{{ w }}</li></ul>
          </details>
          <details v-if="later.length > 0" class="rest"><summary>{{ later.length === 1 ? 'One more day' : later.length <= 4 ? `${later.length} more days` : `Then ${later[0].stops.length === 1 ? 'a nail' : `${later[0].stops.length} nails`} every few days, until ${dayOf(later[later.length - 1].on)}` }}</summary>
            <ul class="later" aria-label="On other days">
              <li v-for="d in later.slice(0, 4)" :key="d.on"><strong class="nowrap">{{ dayOf(d.on) }}</strong> {{ d.stops.map((s) => s.code).join(' ') }} <span class="soft">about {{ minutesInWords(d.minutes.minutes) }}</span></li>
            </ul>
            <p v-if="later.length > 4" class="soft small">And so on, {{ later.length - 4 }} {{ later.length === 5 ? 'day' : 'days' }} more. It may be less each time, never more than it gives. The first nails are due again {{ dog?.next ? `about ${dayOf(dog.next.due)}` : 'before the last are done: begin again with those that touch' }}.</p>
          </details>
          <details v-if="plan.left.length > 0" class="rest" :open="plan.left.some((l) => l.whose !== 'nobody')"><summary>Left out: {{ plan.left.length }} {{ plan.left.length === 1 ? 'nail' : 'nails' }}</summary><LeftNails :left="plan.left" /></details>
        </div>
        <div class="prepare">
          <details class="rest lay-out" :open="!narrow"><summary>{{ toLayOut }}</summary><CheckList v-model="ticks" :things="plan.checklist" />
          <p class="offer small"><BButton variant="plain" size="sm" @click="print">Print this sheet</BButton></p>
          <p v-if="offered" class="offer small">Once, and without a dog: ten slices off a stick show <RouterLink to="/settings/slices">how thick you cut</RouterLink>. <BButton variant="plain" size="sm" @click="decline">Not now</BButton></p>
          </details>
          <p v-if="plan.see_to.length > 0" class="see-to small"><RouterLink to="/kit">Kit to see to</RouterLink>: <span v-for="(s, i) in plan.see_to" :key="i">{{ i ? '; ' : '' }}{{ kitKinds[s.kind] }}<template v-if="s.name">, <bdi>{{ s.name }}</bdi></template>: {{ s.words }}</span>.</p>
          <details class="map"><summary>All nails</summary><RankPicture :rank="plan.rank" size="narrow" stacked :marks="marks" /></details>
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; }
.helper[aria-checked='true'] { box-shadow: inset 0 -4px 0 var(--go); }
.blocked { background: var(--caution-ground); border-left: var(--bar) solid var(--caution-edge); font-weight: 600; padding: 0.6rem 0.9rem; }
.columns { display: grid; gap: 1.5rem 3rem; grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr); margin-top: 1rem; }
.paws { list-style: none; margin: 0; padding: 0; }
.gently { border-left: var(--bar) solid var(--go); margin-top: 0.5rem; padding-left: 0.75rem; }
.rest summary, .map summary { align-items: center; color: var(--go); cursor: pointer; display: flex; font-weight: 600; min-height: 44px; }
.rest summary::before, .map summary::before { content: '▸'; margin-right: 0.4rem; }
.rest[open] summary::before, .map[open] summary::before { content: '▾'; }
.offer { margin: 0.75rem 0 0; }
.see-to { margin: 0.75rem 0 0; }
.map { margin-top: 1.25rem; }
.limits { margin-top: 0.5rem; }
.limits li::first-letter { text-transform: uppercase; }

@media (max-width: 900px) {
  .columns { display: flex; flex-direction: column; }
  .screen-head .aside { width: 100%; }
  .screen-head .aside .btn-big { flex: 1; }
}
</style>
