<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { useDog, usePlan } from '../api/queries'
import { useSlices } from '../api/slices'
import { dayOf } from '../dates'
import { $t } from '../i18n'
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
watch(
  plan,
  (p, old) => {
    if (p && !old && before?.day === p.today) ticks.value = before.ticks
  },
  { immediate: true },
)
watch(
  [ticks, helper],
  () => plan.value && laidOut.keep({ day: plan.value.today, ticks: ticks.value, helper: helper.value }),
)

const today = computed(() => plan.value?.days[0])
const later = computed(() => plan.value?.days.slice(1) ?? [])
/** Today's nails as the paws follow one another. */
const paws = computed(() => {
  const runs: { hold: Schemas['Hold']; stops: Schemas['Stop'][]; again: boolean }[] = []
  for (const stop of today.value?.stops ?? []) {
    const paw = stop.code.slice(0, 2)
    if (runs.length === 0 || runs.at(-1)!.hold.paw !== paw) {
      runs.push({
        hold: plan.value!.holds.find(h => h.paw === paw)!,
        stops: [],
        again: runs.some(r => r.hold.paw === paw),
      })
    }
    runs.at(-1)!.stops.push(stop)
  }
  return runs
})
const marks = computed(() =>
  Object.fromEntries(
    (plan.value?.nails ?? []).map(n => [n.code, today.value?.stops.some(s => s.code === n.code) ? 'planned' : 'left']),
  ),
)
const limits = computed(() => {
  if (!plan.value || !today.value) return []
  const words = plan.value.limits.map(l => l.words)
  if (plan.value.alone) words.push($t('ready.alone_half_as_much_a'))
  if (plan.value.calm_minutes !== undefined)
    words.push($t('ready.lately_calm_for_about_a', { calm_minutes: minutesInWords(plan.value.calm_minutes) }))
  return words
})

/** What is still to be laid out, in one line: what is in trouble first, then what was forgotten last time. */
const toLayOut = computed(() => {
  const open = (plan.value?.checklist ?? []).filter(t => !ticks.value.includes(t.key))
  if (open.length === 0) return $t('ready.all_laid_out')
  const first = open.find(t => t.trouble) ?? open.find(t => t.missed)
  return $t('ready.lay_out', {
    n: open.length,
    n2: $t('ready.thing_things', open.length),
    first: first ? $t('ready.first', { first: first.words }) : '',
  })
})

function start() {
  if (!plan.value || !today.value) return
  if (dog.value?.open_sitting) return void router.push(`/dogs/${props.dogId}/bench/${dog.value.open_sitting}`)
  const first = today.value.stops[0]
  if (!first) return
  void beginSitting(
    props.dogId,
    {
      kind: 'started',
      tool: first.tool,
      item_id: first.item_id,
      helper: helper.value && plan.value.helping !== 'alone',
      ticks: ticks.value,
    },
    ...(arrival.value ? [{ kind: 'arrival' as const, arrival: arrival.value }] : []),
  ).then(id => {
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
onKey(event => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === 'h') act(event, () => (helper.value = !helper.value))
  else if (
    event.key === 'Enter' &&
    !(event.target instanceof HTMLElement && event.target.closest('button, a, summary'))
  )
    act(event, start)
})
</script>

<template>
  <div class="screen ready">
    <AnswerState v-if="!plan" :error="error" :what="$t('ready.todays_plan')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>
            <bdi>{{ plan.name }}</bdi>{{ $t('ready.get_ready') }}
          </h1>
          <p v-if="today" class="lead">
            <strong>{{ today.stops.length }} {{ $t('ready.nail_nails', today.stops.length) }}</strong>
            {{ $t('ready.today_about') }} <strong>{{ minutesInWords(today.minutes.minutes) }}</strong>{{ ' '
            }}<span v-if="!narrow" class="soft"
              >({{ Math.floor(today.minutes.low) }}–{{ Math.ceil(today.minutes.high) }},
              {{ minuteSources[today.minutes.source] }})</span
            >
          </p>
          <p v-else class="lead">{{ $t('ready.nothing_is_trimmed_today') }}</p>
        </div>
        <div class="aside">
          <BButton variant="plain" class="helper" role="switch" :aria-checked="helper" @click="helper = !helper"
            >{{ helper ? $t('ready.helper_here') : $t('ready.no_helper') }} <kbd>H</kbd></BButton
          >
          <RouterLink
            v-if="dog?.open_sitting"
            :to="`/dogs/${dogId}/bench/${dog.open_sitting}`"
            class="btn btn-go btn-big"
            >{{ $t('ready.go_on_at_the_bench') }}</RouterLink
          >
          <BButton v-else-if="today" variant="go" class="btn-big" @click="start"
            >{{ $t('ready.start') }}<span v-if="!narrow">{{ ' ' }}{{ $t('ready.the_trim') }}</span></BButton
          >
          <BButton v-else-if="plan.nobody_helps" variant="go" class="btn-big" @click="helper = true">{{
            $t('ready.a_helper_is_here')
          }}</BButton>
          <RouterLink
            v-else-if="plan.left.some(l => l.whose === 'training')"
            :to="`/dogs/${dogId}/ladder`"
            class="btn btn-go btn-big"
            >{{ $t('ready.train_instead') }}</RouterLink
          >
          <RouterLink v-else :to="`/dogs/${dogId}`" class="btn btn-go btn-big"
            ><span
              >{{ $t('ready.back_to') }} <bdi>{{ plan.name }}</bdi></span
            ></RouterLink
          >
        </div>
      </div>
      <p v-if="plan.nobody_helps" class="blocked" role="alert">{{ plan.blocked }}</p>
      <CautionList :cautions="plan.cautions" />
      <p v-if="plan.eye" class="small">{{ plan.eye }}</p>
      <CalmerNote :calmer="plan.calmer.filter(c => c.more)" />
      <ArrivalRow v-if="today && !dog?.open_sitting && !narrow" v-model="arrival" />
      <div class="columns">
        <div class="work">
          <details v-if="today" class="rest" :open="!narrow || paws.length > 1">
            <summary>
              {{ $t('ready.in_this_order')
              }}<template v-if="paws.length === 1">: {{ pawWords[paws[0]!.hold.paw] }}</template>
            </summary>
            <p class="soft small">{{ plan.support.says }}</p>
            <ol class="paws">
              <PawBlock
                v-for="(p, i) in paws"
                :key="i"
                :dog-id="dogId"
                :stops="p.stops"
                :nails="plan.nails"
                :hold="p.hold"
                :again="p.again"
              />
            </ol>
          </details>
          <details v-if="limits.length > 0" class="rest" :open="!narrow">
            <summary>{{ $t('ready.why_so', { gently: plan.gently ? $t('ready.few') : $t('ready.many') }) }}</summary>
            <p v-if="plan.gently" class="gently">
              {{ $t('ready.the_first_time_and_not') }}
              <RouterLink :to="`/dogs/${dogId}/ladder`">{{ $t('ready.the_ladder') }}</RouterLink>
              {{ $t('ready.is_worth_beginning_before_any') }}
            </p>
            <ul class="soft small limits">
              <li v-for="w in limits" :key="w">{{ w }}</li>
            </ul>
          </details>
          <details v-if="later.length > 0" class="rest">
            <summary>
              {{
                later.length === 1
                  ? $t('ready.one_more_day')
                  : later.length <= 4
                    ? $t('ready.more_days', { n: later.length })
                    : $t('ready.then_every_few_days_until', {
                        n:
                          later[0]!.stops.length === 1
                            ? $t('ready.a_nail')
                            : $t('ready.nails', { n: later[0]!.stops.length }),
                        on: dayOf(later.at(-1)!.on),
                      })
              }}
            </summary>
            <ul class="later" :aria-label="$t('ready.on_other_days')">
              <li v-for="d in later.slice(0, 4)" :key="d.on">
                <strong class="nowrap">{{ dayOf(d.on) }}</strong> {{ d.stops.map(s => s.code).join(' ') }}
                <span class="soft">{{ $t('ready.about', { minutes: minutesInWords(d.minutes.minutes) }) }}</span>
              </li>
            </ul>
            <p v-if="later.length > 4" class="soft small">
              {{
                $t('ready.and_so_on_more_it', {
                  n: later.length - 4,
                  n2: later.length === 5 ? $t('ready.day') : $t('ready.days'),
                  next: dog?.next
                    ? $t('ready.about_2', { due: dayOf(dog.next.due) })
                    : $t('ready.before_the_last_are_done'),
                })
              }}
            </p>
          </details>
          <details v-if="plan.left.length > 0" class="rest" :open="plan.left.some(l => l.whose !== 'nobody')">
            <summary>
              {{ $t('ready.left_out', { n: plan.left.length, n2: $t('ready.nail_nails', plan.left.length) }) }}
            </summary>
            <LeftNails :left="plan.left" />
          </details>
        </div>
        <div class="prepare">
          <details class="rest lay-out" :open="!narrow">
            <summary>{{ toLayOut }}</summary>
            <CheckList v-model="ticks" :things="plan.checklist" />
            <p class="offer small">
              <BButton variant="plain" size="sm" @click="print">{{ $t('ready.print_this_sheet') }}</BButton>
            </p>
            <p v-if="offered" class="offer small">
              {{ $t('ready.once_and_without_a_dog') }}
              <RouterLink to="/settings/slices">{{ $t('ready.how_thick_you_cut') }}</RouterLink>.
              <BButton variant="plain" size="sm" @click="decline">{{ $t('ready.not_now') }}</BButton>
            </p>
          </details>
          <p v-if="plan.see_to.length > 0" class="see-to small">
            <RouterLink to="/kit">{{ $t('ready.kit_to_see_to') }}</RouterLink>:
            <span v-for="(s, i) in plan.see_to" :key="i"
              >{{ i ? '; ' : '' }}{{ kitKinds[s.kind]
              }}<template v-if="s.name"
                >, <bdi>{{ s.name }}</bdi></template
              >: {{ s.words }}</span
            >.
          </p>
          <details class="map">
            <summary>{{ $t('ready.all_nails') }}</summary>
            <RankPicture :rank="plan.rank" size="narrow" stacked :marks="marks" />
          </details>
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.helper[aria-checked='true'] {
  box-shadow: inset 0 -4px 0 var(--go);
}
.blocked {
  background: var(--caution-ground);
  border-left: var(--bar) solid var(--caution-edge);
  font-weight: 600;
  padding: 0.6rem 0.9rem;
}
.columns {
  display: grid;
  gap: 1.5rem 3rem;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  margin-top: 1rem;
}
.paws {
  list-style: none;
  margin: 0;
  padding: 0;
}
.gently {
  border-left: var(--bar) solid var(--go);
  margin-top: 0.5rem;
  padding-left: 0.75rem;
}
.rest summary,
.map summary {
  align-items: center;
  color: var(--go);
  cursor: pointer;
  display: flex;
  font-weight: 600;
  min-height: 44px;
}
.rest summary::before,
.map summary::before {
  content: '▸';
  margin-right: 0.4rem;
}
.rest[open] summary::before,
.map[open] summary::before {
  content: '▾';
}
.offer {
  margin: 0.75rem 0 0;
}
.see-to {
  margin: 0.75rem 0 0;
}
.map {
  margin-top: 1.25rem;
}
.limits {
  margin-top: 0.5rem;
}
.limits li::first-letter {
  text-transform: uppercase;
}

@media (max-width: 900px) {
  .columns {
    display: flex;
    flex-direction: column;
  }
  .screen-head .aside {
    width: 100%;
  }
  .screen-head .aside .btn-big {
    flex: 1;
  }
}
</style>
