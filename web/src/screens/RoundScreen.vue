<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { useMessages } from '../api/messages'
import { useKeepVisit, useRoundDay, useWaiting } from '../api/round'
import { daysOn, fullDayOf } from '../dates'
import { $t } from '../i18n'
import { clock } from '../local/clock'
import { today } from '../local/day'
import { isTyping, onKey } from '../local/keys'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import DayStrip from './round/DayStrip.vue'
import LateWays from './round/LateWays.vue'
import NextVisit from './round/NextVisit.vue'
import VisitActs from './round/VisitActs.vue'
import WaitingForDay from './round/WaitingForDay.vue'
import WeekStrips from './round/WeekStrips.vue'

/** One day of the round: who is next, the day as a strip of time, the week above it. */
const route = useRoute()
const router = useRouter()
const on = computed(() => (typeof route.query.on === 'string' ? route.query.on : today()))
const { data: day, error, refetch } = useRoundDay(on)
const keep = useKeepVisit()
const chosen = ref<string>()
const over = ref<string>()
const { data: list } = useWaiting()
const waiting = computed(() => (list.value?.waiting ?? []).filter(w => w.on === on.value))
const visit = computed(() => day.value?.visits.find(v => v.id === chosen.value))
const next = computed(() => day.value?.visits.find(v => v.standing === 'next'))
const { data: post } = useMessages()
const toRead = computed(() => post.value?.messages.filter(m => m.state === 'person').length ?? 0)
const waits = computed(() => day.value?.visits.filter(v => v.standing === 'waits') ?? [])
const show = (date: string) => router.replace({ query: date === day.value?.today ? {} : { on: date } })
const give = (dog: Schemas['RoundDog'], start: number) =>
  keep.mutate({ id: crypto.randomUUID(), dog_id: dog.dog_id, on: on.value, start, state: 'agreed' })
const step = (by: number) => void show(daysOn(on.value, by))
onKey(event => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  const by = { '[': -1, ']': 1, '{': -7, '}': 7 }[event.key]
  if (by) step(by)
})
</script>

<template>
  <div class="screen round">
    <AnswerState v-if="!day" :error="error" :what="$t('round.the_week_2')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>{{ $t('round.the_week') }}</h1>
          <p class="soft lead">
            {{ fullDayOf(day.on)
            }}<template v-if="day.on === day.today">{{ ' ' }}{{ $t('round.today', { now: clock(day.now) }) }}</template
            ><template v-if="day.hours?.place"> · {{ day.hours.place }}</template>
          </p>
        </div>
        <div class="aside">
          <RouterLink to="/today" class="btn btn-plain">{{ $t('round.today_2') }}</RouterLink>
          <RouterLink to="/round/book" class="btn btn-plain">{{ $t('round.book_a_visit') }}</RouterLink>
          <RouterLink to="/round/calls" class="btn btn-plain">{{ $t('round.who_to_call_2') }}</RouterLink>
          <RouterLink to="/messages" class="btn btn-plain">{{ $t('round.messages') }}</RouterLink>
          <RouterLink to="/owners" class="btn btn-plain">{{ $t('round.owners') }}</RouterLink>
          <RouterLink to="/round/week" class="btn btn-plain">{{ $t('round.hours') }}</RouterLink>
        </div>
      </div>
      <div class="to-day">
        <BButton variant="plain" :aria-label="$t('round.the_week_before')" @click="step(-7)">◀</BButton
        ><label class="visually-hidden" for="to-day">{{ $t('round.another_day') }}</label
        ><input
          id="to-day"
          type="date"
          class="form-control"
          :value="day.on"
          @change="show(($event.target as HTMLInputElement).value || day.on)"
        /><BButton variant="plain" :aria-label="$t('round.the_week_after')" @click="step(7)">▶</BButton>
      </div>
      <WeekStrips :week="day.week" :on="day.on" :today="day.today" :over="over" @show="show" />
      <RefusalNote :error="keep.error.value" />
      <p v-if="waits.length > 0" class="gone" role="status">
        {{
          $t('round.gone_by_say_what_became', {
            waits: waits.map(v => v.dog.name).join(', '),
            n: $t('round.that_visit_has_those_visits', waits.length),
            n2: $t('round.it_them', waits.length),
          })
        }}
      </p>
      <div class="columns">
        <DayStrip v-model="chosen" v-model:over="over" :day="day" @give="give" />
        <div class="side">
          <NextVisit v-if="next" :visit="next" :now="day.now" :here="day.on === day.today" />
          <div v-else-if="day.visits.length === 0" class="empty">
            <h2>{{ day.open ? $t('round.nobody_comes_yet') : $t('round.no_working_day') }}</h2>
            <p v-if="day.open">{{ $t('round.the_free_hours_name_the') }}</p>
            <p v-else>{{ $t('round.nothing_is_offered_on_it') }}</p>
            <RouterLink v-if="day.open" to="/round/calls" class="btn btn-go btn-big">{{
              $t('round.who_to_call_2')
            }}</RouterLink>
          </div>
          <p v-else class="through">
            {{ day.on >= day.today ? $t('round.all_of_this_days_dogs') : $t('round.this_day_has_gone_by') }}
          </p>
          <p v-if="toRead > 0" class="gone">
            <RouterLink to="/messages">{{
              $t('round.to_be_read', {
                toRead: toRead === 1 ? $t('round.one_answer_waits') : $t('round.answers_wait', { toRead }),
              })
            }}</RouterLink>
          </p>
          <LateWays v-if="day.ways.length > 0" :day="day" />
          <WaitingForDay v-if="waiting.length > 0" :waiting="waiting" />
          <VisitActs v-if="visit && visit.id !== next?.id" :key="visit.id" :visit="visit" />
          <p class="load small">
            <strong>{{ day.load.dogs }}</strong> {{ $t('round.about', { dogs: $t('round.dog_dogs', day.load.dogs) }) }}
            <strong>{{ $t('round.min_2', { minutes: Math.round(day.load.minutes) }) }}</strong>
            {{ $t('round.at_the_table_nails', { nails: day.load.nails })
            }}<template v-if="day.load.hard">{{ $t('round.hard_2', { hard: day.load.hard }) }}</template
            ><template v-if="day.load.grinding_minutes > 0">{{
              $t('round.min_of_grinding_charge_and', { grinding_minutes: Math.round(day.load.grinding_minutes) })
            }}</template
            >.
          </p>
          <p v-for="words in [...day.load.over, ...day.load.prepare]" :key="words" class="over small">{{ words }}</p>
          <p v-if="visit?.dog.due" class="small soft">
            {{ $t('round.is_due', { name: visit.dog.name, due: fullDayOf(visit.dog.due), reason: visit.dog.reason }) }}
          </p>
          <p class="small soft keys">
            {{ $t('round.drag_a_bar_onto_another') }} <kbd>↑</kbd> <kbd>↓</kbd> <kbd>←</kbd> <kbd>→</kbd
            >{{ $t('round.then') }} <kbd>{{ $t('round.enter') }}</kbd>. <kbd>[</kbd> <kbd>]</kbd>
            {{ $t('round.another_day_2') }} <kbd>{</kbd> <kbd>}</kbd> {{ $t('round.another_week') }}
          </p>
          <p class="small soft">
            <a href="/api/sheets/visits" download>{{ $t('round.all_visits_as_a_spreadsheet') }}</a>
          </p>
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.to-day {
  display: flex;
  gap: 0.4rem;
  margin-bottom: 0.5rem;
}
.to-day input {
  max-width: 11rem;
}
.columns {
  display: grid;
  gap: 2rem;
  grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
  margin-top: 1rem;
}
.gone,
.over {
  border-left: var(--bar) solid var(--caution-edge);
  margin: 0.5rem 0;
  padding-left: 0.75rem;
}
.through {
  font-size: 1.25rem;
  font-weight: 600;
}
.over::first-letter {
  text-transform: uppercase;
}
.load {
  border-top: 1px solid var(--line);
  margin-top: 1rem;
  padding-top: 0.75rem;
}
@media (max-width: 900px) {
  .columns {
    display: flex;
    flex-direction: column-reverse;
    gap: 1rem;
  }
  .keys {
    display: none;
  }
}
</style>
