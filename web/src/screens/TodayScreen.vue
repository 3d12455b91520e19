<script setup lang="ts">
import { computed } from 'vue'
import { useMessages } from '../api/messages'
import { useCalls, useRoundDay, useWaiting } from '../api/round'
import { dayOf, fullDayOf } from '../dates'
import { $t } from '../i18n'
import { clock } from '../local/clock'
import { today } from '../local/day'
import AnswerState from '../parts/AnswerState.vue'
import AnswerMeans from './round/AnswerMeans.vue'
import LateWays from './round/LateWays.vue'
import NextVisit from './round/NextVisit.vue'
import WaitingForDay from './round/WaitingForDay.vue'
import { visitStates } from './round/words'

/** The groomer's day in one place: the next thing largest, then what the day asks, who comes, who waits, what owners
 * answered, whom to call. */
const { data: day, error, refetch } = useRoundDay(today)
const { data: post } = useMessages()
const { data: pages } = useCalls(undefined)
const { data: list } = useWaiting()
const next = computed(() => day.value?.visits.find(v => v.standing === 'next'))
const later = computed(() => day.value?.visits.filter(v => v.standing === 'to_come') ?? [])
const gone = computed(() => day.value?.visits.filter(v => v.standing === 'waits') ?? [])
const done = computed(() => day.value?.visits.filter(v => v.state === 'done').length ?? 0)
const asks = computed(() => (day.value ? [...day.value.asks, ...day.value.load.prepare, ...day.value.load.over] : []))
const toRead = computed(() => post.value?.messages.filter(m => m.state === 'person') ?? [])
const failed = computed(() => post.value?.messages.filter(m => m.state === 'failed').length ?? 0)
/** Those for whom a place has fallen free, and whoever waits for today. */
const waiting = computed(() => (list.value?.waiting ?? []).filter(w => w.place || w.on === day.value?.today))
const calls = computed(() => pages.value?.pages[0])
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!day" :error="error" :what="$t('today.today')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>{{ $t('today.today_2') }}</h1>
          <p class="soft lead">
            {{ fullDayOf(day.on) }}, {{ clock(day.now)
            }}<template v-if="day.hours?.place"> · {{ day.hours.place }}</template
            ><template v-if="day.visits.length > 0"
              >{{ ' '
              }}{{
                $t('today.of_done', { done, dogs: day.load.dogs, dogs2: $t('today.dog_dogs', day.load.dogs) })
              }}</template
            >
          </p>
        </div>
        <div class="aside">
          <RouterLink to="/round/book" class="btn btn-plain">{{ $t('today.book_a_visit') }}</RouterLink><RouterLink
            to="/round"
            class="btn btn-plain"
            >{{ $t('today.the_week') }}</RouterLink
          >
        </div>
      </div>
      <div class="columns">
        <div>
          <NextVisit v-if="next" :visit="next" :now="day.now" here />
          <div v-else class="next-none">
            <h2>
              {{
                day.visits.length === 0
                  ? day.open
                    ? $t('today.nobody_comes_today')
                    : $t('today.no_working_day')
                  : $t('today.all_of_todays_dogs_are')
              }}
            </h2>
            <RouterLink v-if="day.open && day.visits.length === 0" to="/round/calls" class="btn btn-go btn-big">{{
              $t('today.who_to_call')
            }}</RouterLink>
          </div>
          <p v-if="gone.length > 0" class="mark" role="status">
            <RouterLink to="/round">{{ gone.map(v => v.dog.name).join(', ') }}</RouterLink>{{
              $t('today.the_time_has_gone_by', { n: $t('today.it_them', gone.length) })
            }}
          </p>
          <LateWays v-if="day.ways.length > 0" :day="day" />
          <section v-if="later.length > 0" :aria-label="$t('today.then')">
            <h2 class="head">{{ $t('today.then') }}</h2>
            <ol class="rows">
              <li v-for="v in later" :key="v.id">
                <span class="time">{{ clock(v.starts?.likely ?? v.start) }}</span><RouterLink
                  :to="`/dogs/${v.dog.dog_id}`"
                  class="who"
                  dir="auto"
                  >{{ v.dog.name }}</RouterLink
                ><span class="small"
                  >{{ $t('today.min', { minutes: v.minutes })
                  }}<template v-if="v.state === 'offered'"> · {{ visitStates.offered }}</template
                  ><template v-if="v.dog.help === 'needed'">{{ ' ' }}{{ $t('today.somebody_to_hold') }}</template
                  ><template v-if="v.dog.hard">{{ ' ' }}{{ $t('today.hard') }}</template
                  ><template v-if="v.note">
                    · <bdi>{{ v.note }}</bdi></template
                  ><span v-if="v.breaks" class="breaks">{{ v.breaks }}</span></span
                >
              </li>
            </ol>
          </section>
        </div>
        <div>
          <section v-if="asks.length > 0" :aria-label="$t('today.the_day_asks')">
            <h2 class="head">{{ $t('today.the_day_asks') }}</h2>
            <ul class="rows">
              <li v-for="words in asks" :key="words" class="asks">{{ words }}</li>
            </ul>
          </section>
          <section v-if="toRead.length > 0 || failed > 0" :aria-label="$t('today.owners_answered')">
            <h2 class="head">{{ $t('today.owners_answered') }}</h2>
            <ul class="rows">
              <li v-for="m in toRead" :key="m.id" class="answer">
                <p>
                  <RouterLink :to="`/owners/${m.owner_id}`" class="who"
                    ><bdi>{{ m.owner }}</bdi></RouterLink
                  >: “<bdi>{{ m.answer }}</bdi
                  >” <span class="soft small">{{ m.said }}</span>
                </p>
                <AnswerMeans :message="m" />
              </li>
              <li v-if="failed > 0">
                <RouterLink to="/messages">{{
                  $t('today.could_not_be_sent', {
                    failed: failed === 1 ? $t('today.one_message') : $t('today.messages', { failed }),
                  })
                }}</RouterLink>
              </li>
            </ul>
          </section>
          <WaitingForDay v-if="waiting.length > 0" :waiting="waiting" days />
          <section :aria-label="$t('today.who_to_call')">
            <h2 class="head">{{ $t('today.who_to_call') }}</h2>
            <p v-if="!calls" class="soft">{{ $t('today.looking') }}</p>
            <p v-else-if="calls.recount" class="soft" role="status">
              {{ $t('today.dates_are_being_worked_out', { done: calls.recount.done, all: calls.recount.all }) }}
            </p>
            <p v-else-if="calls.all === 0" class="soft">{{ $t('today.nobody_this_week') }}</p>
            <template v-if="calls && calls.all > 0">
              <ul class="rows">
                <li v-for="c in calls.calls.slice(0, 3)" :key="c.dog.dog_id">
                  <RouterLink :to="{ path: '/round/book', query: { dog: c.dog.dog_id } }" class="who" dir="auto">{{
                    c.dog.name
                  }}</RouterLink><span class="small"
                    ><template v-if="c.dog.owner"
                      ><bdi>{{ c.dog.owner }}</bdi> · </template
                    ><a v-if="c.address" :href="c.reach === 'mail' ? `mailto:${c.address}` : `tel:${c.address}`">{{
                      c.address
                    }}</a
                    ><template v-if="c.dog.due"
                      >{{ ' ' }}{{ $t('today.due', { due: dayOf(c.dog.due) }) }}</template
                    ></span
                  >
                </li>
              </ul>
              <RouterLink to="/round/calls" class="btn btn-plain">{{
                $t('today.all_with_places_to_offer', { all: calls.all })
              }}</RouterLink>
            </template>
          </section>
          <p class="more">
            <RouterLink to="/messages" class="btn btn-plain">{{ $t('today.messages_2') }}</RouterLink>{{ ' '
            }}<RouterLink to="/owners" class="btn btn-plain">{{ $t('today.owners') }}</RouterLink
            >{{ ' ' }}<RouterLink to="/round/week" class="btn btn-plain">{{ $t('today.hours') }}</RouterLink>
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
.columns {
  display: grid;
  gap: 1.5rem 3rem;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
}
.head {
  font-size: 1.0625rem;
  margin: 1.1rem 0 0.25rem;
}
.columns > div > :first-child .head,
.columns > div > :first-child.head {
  margin-top: 0;
}
.rows {
  list-style: none;
  margin: 0 0 0.5rem;
  padding: 0;
}
.rows li {
  align-items: baseline;
  border-top: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.75rem;
  min-height: 40px;
  padding-block: 0.4rem;
}
.rows .answer,
.rows .asks {
  display: block;
}
.answer p {
  margin: 0;
}
.asks::first-letter {
  text-transform: uppercase;
}
.time {
  font-variant-numeric: tabular-nums;
  min-width: 3.25rem;
}
.who {
  color: var(--ink);
  font-weight: 650;
}
.mark {
  border-left: var(--bar) solid var(--caution-edge);
  margin: 0.75rem 0;
  padding-left: 0.75rem;
}
.breaks {
  color: var(--spare-text);
  display: block;
}
.breaks::first-letter {
  text-transform: uppercase;
}
.more {
  margin-top: 1rem;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
