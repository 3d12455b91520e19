<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Schemas } from '../api/client'
import { useMessages, useTellOwner } from '../api/messages'
import { useCalls, useKeepVisit, useNotNow } from '../api/round'
import { dayOf } from '../dates'
import { $t } from '../i18n'
import { clock } from '../local/clock'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import RankSmall from '../rank/RankSmall.vue'
import { messageStates, reaches } from './round/words'

/** Whom to call for a week, in order, with places to offer on the telephone. */
const route = useRoute()
const from = computed(() => (typeof route.query.from === 'string' ? route.query.from : undefined))
const { data: pages, error, refetch, fetchNextPage, hasNextPage, isFetchingNextPage } = useCalls(from)
const data = computed(() => pages.value?.pages[0])
watch(data, d => d?.recount && setTimeout(() => void refetch(), 2000)) // asked again until all are worked out
const calls = computed(() => pages.value?.pages.flatMap(page => page.calls) ?? [])
const keep = useKeepVisit()
const later = useNotNow()
const { data: post } = useMessages()
const tell = useTellOwner()
/** The offer that is under way to a dog's owner. */
const offered = (dogId: string) =>
  post.value?.messages.find(
    m => m.dog_id === dogId && ['places', 'due'].includes(m.kind) && ['waiting', 'sent', 'delivered'].includes(m.state),
  )
const given = ref<{ name: string; on: string; start: number }>()
const give = (dog: Schemas['RoundDog'], o: Schemas['Offer']) =>
  keep.mutate(
    { id: crypto.randomUUID(), dog_id: dog.dog_id, on: o.on, start: o.start, minutes: o.minutes, state: 'agreed' },
    { onSuccess: () => (given.value = { name: dog.name, on: o.on, start: o.start }) },
  )
const asking = ref<string>()
const notNow = (dog: Schemas['RoundDog'], weeks: number) =>
  later.mutate({ dogId: dog.dog_id, weeks }, { onSuccess: () => (asking.value = undefined) })
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" :what="$t('round.who_to_call')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>{{ $t('round.who_to_call_2') }}</h1>
          <p class="soft lead">
            {{ $t('round.to_the_most_urgent_first', { from: dayOf(data.from), until: dayOf(data.until) })
            }}<template v-if="data.all > calls.length">{{
              $t('round.of', { n: calls.length, all: data.all })
            }}</template
            >.
          </p>
        </div>
        <div class="aside">
          <RouterLink to="/round" class="btn btn-plain">{{ $t('round.the_week') }}</RouterLink>
        </div>
      </div>
      <RefusalNote :error="keep.error.value ?? later.error.value ?? tell.error.value" />
      <p v-if="given" class="given" role="status">
        <strong dir="auto">{{ given.name }}</strong>
        {{ $t('round.comes_at', { on: dayOf(given.on), start: clock(given.start) }) }}
      </p>
      <p v-if="data.recount" class="given" role="status">
        {{ $t('round.dates_are_being_worked_out', { done: data.recount.done, all: data.recount.all }) }}
      </p>
      <div v-if="calls.length === 0 && !data.recount" class="empty">
        <h2>{{ $t('round.nobody_is_to_be_called') }}</h2>
        <p>{{ $t('round.who_is_due_has_a') }}</p>
      </div>
      <ol v-if="calls.length > 0" class="calls">
        <li v-for="(c, i) in calls" :key="c.dog.dog_id" class="call">
          <div>
            <RouterLink :to="`/dogs/${c.dog.dog_id}`" :class="['name', { first: i === 0 }]" dir="auto">{{
              c.dog.name
            }}</RouterLink>
            <div class="small">
              <template v-if="c.dog.due">{{ $t('round.due', { due: dayOf(c.dog.due) }) }}{{ ' ' }}</template
              >{{ $t('round.min', { reason: c.dog.reason, minutes: c.dog.minutes })
              }}<template v-if="c.dog.help === 'needed'">{{ ' ' }}{{ $t('round.somebody_to_hold') }}</template
              ><template v-if="c.dog.hard">{{ ' ' }}{{ $t('round.hard') }}</template>
            </div>
            <div class="small soft">
              <RouterLink v-if="c.dog.owner_id" :to="`/owners/${c.dog.owner_id}`"
                ><bdi>{{ c.dog.owner }}</bdi></RouterLink
              ><template v-else>{{ $t('round.no_owner_yet') }}</template
              ><template v-if="c.address">
                ·
                <a :href="c.reach === 'mail' ? `mailto:${c.address}` : `tel:${c.address}`">{{ c.address }}</a></template
              >
            </div>
          </div>
          <RankSmall v-if="c.dog.rank" :rank="c.dog.rank" class="rank-of" />
          <div class="offers">
            <BButton
              v-for="(o, n) in c.offers"
              :key="o.on + o.start"
              :variant="i === 0 && n === 0 ? 'go' : 'plain'"
              :disabled="keep.isPending.value"
              :title="o.reasons.join(', ')"
              @click="give(c.dog, o)"
              >{{ dayOf(o.on) }} {{ clock(o.start) }}</BButton
            >
            <span v-if="c.offers.length === 0" class="small">{{ $t('round.no_free_place_this_week') }}</span>
            <template v-if="asking === c.dog.dog_id"
              ><BButton v-for="n in [1, 2, 4]" :key="n" variant="plain" @click="notNow(c.dog, n)">{{
                $t('round.ask_in', { n: n === 1 ? $t('round.a_week') : $t('round.weeks', { n }) })
              }}</BButton></template
            >
            <BButton v-else variant="plain" @click="asking = c.dog.dog_id">{{ $t('round.not_now') }}</BButton>
            <span v-if="offered(c.dog.dog_id)" class="small soft"
              >{{ $t('round.written_to_by', { reach: reaches[c.reach ?? 'hand'] }) }}
              <RouterLink to="/messages">{{ messageStates[offered(c.dog.dog_id)!.state] }}</RouterLink></span
            >
            <BButton
              v-else-if="post?.goes && c.reach && c.reach !== 'hand'"
              variant="plain"
              :disabled="tell.isPending.value"
              @click="
                tell.mutate({
                  dogId: c.dog.dog_id,
                  kind: c.offers.length > 0 ? 'places' : 'due',
                  places:
                    c.offers.length > 0
                      ? c.offers.map(({ on, start, minutes }) => ({ on, start, minutes }))
                      : undefined,
                })
              "
              >{{ c.offers.length > 0 ? $t('round.send_places') : $t('round.write_that_it_is_due') }}</BButton
            >
          </div>
        </li>
      </ol>
      <p v-if="hasNextPage" class="more">
        <BButton variant="plain" :disabled="isFetchingNextPage" @click="fetchNextPage()">{{
          $t('round.show_more_of_are_here', { n: calls.length, all: data.all })
        }}</BButton>
      </p>
      <template v-if="data.waits.length > 0">
        <h2 class="later">{{ $t('round.these_wait_for_a_later') }}</h2>
        <p class="small soft">{{ $t('round.calling_them_would_cost_others') }}</p>
        <ul class="waits">
          <li v-for="c in data.waits" :key="c.dog.dog_id">
            <RouterLink :to="`/dogs/${c.dog.dog_id}`" dir="auto">{{ c.dog.name }}</RouterLink>{{ ' '
            }}<span class="small soft"
              >{{ $t('round.min_2', { minutes: c.dog.minutes })
              }}<template v-if="c.dog.due">{{ $t('round.due_2', { due: dayOf(c.dog.due) }) }}</template></span
            >
          </li>
        </ul>
      </template>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.calls,
.waits {
  list-style: none;
  margin: 0;
  padding: 0;
}
.call {
  align-items: center;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 0.5rem 1rem;
  grid-template-columns: minmax(0, 0.85fr) 170px minmax(0, 1.75fr);
  padding-block: 0.6rem;
}
.name {
  color: var(--ink);
  font-size: 1.0625rem;
  font-weight: 650;
  text-decoration: none;
}
.name.first {
  font-size: 1.5rem;
}
.offers {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.given {
  border-left: var(--bar) solid var(--go);
  padding-left: 0.75rem;
}
.later {
  margin-top: 1.5rem;
}
.waits {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1.5rem;
}
.more {
  margin-top: 0.75rem;
}
.empty {
  padding: 2rem 0;
}
@media (max-width: 900px) {
  .call {
    grid-template-columns: minmax(0, 1fr);
  }
  .rank-of {
    display: none;
  }
  .offers .btn {
    flex: 1 1 40%;
  }
  .offers .small {
    flex-basis: 100%;
  }
}
</style>
