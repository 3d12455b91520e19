<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import {
  findOnTelephone,
  tryVisit,
  useDogVisits,
  useKeepVisit,
  useRepeatVisit,
  useWait,
  useWaiting,
  useWaitNoMore,
  offerVisitBack,
} from '../api/round'
import { dayOf, fullDayOf, inDays } from '../dates'
import { $t } from '../i18n'
import { clock } from '../local/clock'
import { today } from '../local/day'
import { useLater } from '../local/later'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import VisitActs from './round/VisitActs.vue'
import { visitStates } from './round/words'

/** Somebody rings: a name, when its time is, and any day and hour for the next, or for one that is to be moved. */
const route = useRoute()
const router = useRouter()
const search = ref('')
const asked = useLater(search)
const { data: found } = useQuery({
  queryKey: ['round', 'find', asked],
  enabled: () => asked.value.trim() !== '',
  queryFn: () => findOnTelephone(asked.value),
})
const dogId = computed(() => (typeof route.query.dog === 'string' ? route.query.dog : ''))
const { data, error: unread, refetch } = useDogVisits(dogId, () => dogId.value !== '')
const ahead = computed(() => (data.value?.visits ?? []).filter(v => v.on >= today()).reverse())
const coming = computed(() => ahead.value.filter(v => ['offered', 'agreed'].includes(v.state)))
/** The visit that is moved; without one a new one is given. */
const moving = computed(() => coming.value.find(v => v.id === route.query.visit))
const keep = useKeepVisit()
const repeat = useRepeatVisit()
const wait = useWait()
const waitNoMore = useWaitNoMore()
const { data: list } = useWaiting()
const waits = computed(() => (list.value?.waiting ?? []).filter(w => w.dog.dog_id === dogId.value))
const given = ref<Schemas['Visit']>()
const at = reactive({ on: '', time: '', note: '' })
watch(
  [dogId, moving],
  ([dog], [was]) => {
    Object.assign(
      at,
      moving.value
        ? { on: moving.value.on, time: clock(moving.value.start), note: moving.value.note ?? '' }
        : { on: '', time: '', note: '' },
    )
    if (dog !== was) given.value = undefined
  },
  { immediate: true },
)
const choose = (id: string) => void router.replace({ query: { dog: id } })

const minutesOf = (time: string) => {
  const [hours = 0, minutes = 0] = time.split(':').map(Number)
  return hours * 60 + minutes
}
const wanted = computed(() => {
  if (!at.on || !/^\d\d:\d\d$/.test(at.time) || !dogId.value) return undefined
  const same = moving.value
  return {
    id: same?.id ?? fresh.value,
    dog_id: dogId.value,
    on: at.on,
    start: minutesOf(at.time),
    minutes: same?.minutes,
    sequence: same?.sequence,
    note: at.note.trim() || undefined,
    state: 'agreed' as const,
  }
})
const fresh = ref(crypto.randomUUID())
const settled = useLater(wanted, 250)
const { data: breaks, error: refused } = useQuery({
  queryKey: ['round', 'try', settled],
  enabled: () => settled.value !== undefined,
  retry: false,
  queryFn: () => tryVisit(settled.value!),
})
function give(place: Partial<Schemas['VisitInput']> & { anyway?: boolean } = {}) {
  const body = {
    ...(wanted.value ?? {
      id: moving.value?.id ?? fresh.value,
      dog_id: dogId.value,
      sequence: moving.value?.sequence,
      note: at.note.trim() || undefined,
      state: 'agreed' as const,
      on: '',
      start: 0,
    }),
    ...place,
  }
  const was = moving.value
  keep.mutate(body, {
    onSuccess: v => {
      if (was)
        offerVisitBack($t('book.comes_at', { name: was.dog.name, on: dayOf(v.on), start: clock(v.start) }), was, v)
      given.value = v
      fresh.value = crypto.randomUUID()
      void router.replace({ query: { dog: dogId.value } })
    },
  })
}
const often = reactive({ weeks: 4, times: 6 })
</script>

<template>
  <div class="screen book">
    <div class="screen-head">
      <div>
        <h1>{{ moving ? $t('book.move_a_visit') : $t('book.book_a_visit') }}</h1>
        <p class="soft lead">{{ $t('book.a_name_and_any_day') }}</p>
      </div>
      <div class="aside">
        <RouterLink to="/round" class="btn btn-plain">{{ $t('book.the_week') }}</RouterLink>
      </div>
    </div>
    <label for="who" class="visually-hidden">{{ $t('book.the_dogs_name_or_its') }}</label>
    <BFormInput
      id="who"
      v-model="search"
      class="who"
      :placeholder="$t('book.the_dogs_name_or_its')"
      autocomplete="off"
      autofocus
      dir="auto"
    />
    <ul v-if="search.trim() && found" class="found" :aria-label="$t('book.found')">
      <li v-for="d in found.dogs" :key="d.dog_id">
        <button type="button" :aria-pressed="d.dog_id === dogId" @click="choose(d.dog_id)">
          <strong dir="auto">{{ d.name }}</strong><span v-if="d.owner" class="soft">
            · <bdi>{{ d.owner }}</bdi></span
          ><span v-if="d.next" class="time"
            >{{ dayOf(d.next.on) }} {{ clock(d.next.start) }}, {{ inDays(d.next.in_days) }}</span
          ><span v-else class="time soft">{{ $t('book.no_visit') }}</span>
        </button>
      </li>
      <li v-if="found.dogs.length === 0" class="soft">{{ $t('book.no_dog_and_no_owner') }}</li>
    </ul>

    <template v-if="dogId">
      <AnswerState v-if="!data" :error="unread" :what="$t('book.its_visits')" @again="refetch()" />
      <template v-else>
        <h2>
          <RouterLink :to="`/dogs/${dogId}`" dir="auto">{{ data.dog.name }}</RouterLink>{{ ' '
          }}<span class="soft small"
            >{{ $t('book.min', { minutes: data.dog.minutes })
            }}<template v-if="data.dog.due">{{ ' ' }}{{ $t('book.due', { due: dayOf(data.dog.due) }) }}</template
            ><template v-if="data.dog.help === 'needed'">{{ ' ' }}{{ $t('book.not_without_a_helper') }}</template></span
          >
        </h2>
        <p v-if="given" class="given" role="status">
          {{ $t('book.comes', { name: data.dog.name }) }}
          <strong>{{ $t('book.at', { on: fullDayOf(given.on), start: clock(given.start) }) }}</strong>.
        </p>
        <ul v-if="ahead.length > 0" class="coming" :aria-label="$t('book.to_come')">
          <li v-for="v in ahead" :key="v.id">
            <strong>{{ fullDayOf(v.on) }}, {{ clock(v.start) }}</strong
            >{{ $t('book.min_2', { state: visitStates[v.state], minutes: v.minutes })
            }}<span v-if="v.note" class="soft">
              · <bdi>{{ v.note }}</bdi></span
            >
            <VisitActs :visit="v" bare />
          </li>
        </ul>
        <template v-if="data.offers.length > 0">
          <p class="title">{{ $t('book.the_next_good_places', { moving: moving ? $t('book.to_move_it_to') : '' }) }}</p>
          <div class="ways">
            <BButton
              v-for="(o, i) in data.offers"
              :key="o.on + o.start"
              :variant="i === 0 ? 'go' : 'plain'"
              :disabled="keep.isPending.value"
              :title="o.reasons.join(', ')"
              @click="give({ on: o.on, start: o.start })"
              >{{ dayOf(o.on) }} {{ clock(o.start) }} <span class="small">{{ inDays(o.in_days) }}</span></BButton
            >
          </div>
        </template>
        <p class="title">{{ $t('book.another_day_and_hour') }}</p>
        <div class="when">
          <label>{{ $t('book.day') }} <BFormInput v-model="at.on" type="date" :min="today()" /></label>
          <label>{{ $t('book.hour') }} <BFormInput v-model="at.time" type="time" step="300" /></label>
          <label class="note"
            >{{ $t('book.note_of_the_call') }}
            <BFormInput v-model="at.note" maxlength="500" autocomplete="off" dir="auto"
          /></label>
        </div>
        <div v-if="wanted" class="ways" aria-live="polite">
          <template v-if="breaks === ''"
            ><BButton variant="go" :disabled="keep.isPending.value" @click="give()"
              >{{ moving ? $t('book.move_it') : $t('book.book_it') }}: {{ dayOf(at.on) }} {{ at.time }}</BButton
            ><span class="soft">{{ $t('book.free') }}</span></template
          >
          <template v-else-if="breaks"
            ><p class="breaks">{{ breaks }}.</p>
            <BButton variant="plain" :disabled="keep.isPending.value" @click="give({ anyway: true })">{{
              $t('book.all_the_same')
            }}</BButton></template
          >
          <BButton
            v-if="!moving && !waits.some(w => w.on === at.on)"
            variant="plain"
            :disabled="wait.isPending.value"
            @click="wait.mutate({ dogId, on: at.on, note: at.note.trim() || undefined })"
            >{{ $t('book.wait_for_a_place_on', { on: dayOf(at.on) }) }}</BButton
          >
        </div>
        <ul v-if="waits.length > 0" class="coming" :aria-label="$t('book.waits_for')">
          <li v-for="w in waits" :key="w.on">
            {{ $t('book.waits_for_a_place_on') }} <strong>{{ fullDayOf(w.on) }}</strong><template v-if="w.place">{{
              $t('book.is_free_now', { start: clock(w.place.start) })
            }}</template
            >{{ ' '
            }}<BButton variant="plain" size="sm" @click="waitNoMore.mutate({ dogId, on: w.on, note: w.note })">{{
              $t('book.no_longer')
            }}</BButton>
          </li>
        </ul>
        <RefusalNote :error="keep.error.value ?? refused ?? repeat.error.value ?? wait.error.value" />
        <details v-if="coming.length > 0" class="repeat">
          <summary>{{ $t('book.again_and_again') }}</summary>
          <div class="when">
            <label
              >{{ $t('book.every') }}
              <BFormInput v-model.number="often.weeks" type="number" min="1" max="26" />
              {{ $t('book.weeks') }}</label
            >
            <label
              >{{ $t('book.so_often') }} <BFormInput v-model.number="often.times" type="number" min="1" max="26"
            /></label>
            <BButton
              variant="plain"
              :disabled="repeat.isPending.value"
              @click="repeat.mutate({ id: coming[0]!.id, every_weeks: often.weeks, times: often.times })"
              >{{ $t('book.from_on', { on: dayOf(coming[0]!.on), start: clock(coming[0]!.start) }) }}</BButton
            >
          </div>
          <ul v-if="repeat.data.value" class="days" role="status">
            <li v-for="d in repeat.data.value.days" :key="d.on">
              <strong>{{ fullDayOf(d.on) }}</strong>:
              {{ d.kept ? $t('book.booked') : $t('book.not_booked', { why: d.why }) }}
            </li>
          </ul>
        </details>
      </template>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.who {
  font-size: 1.25rem;
  max-width: 34rem;
  min-height: 3.25rem;
}
.found {
  list-style: none;
  margin: 0.25rem 0 0;
  max-width: 34rem;
  padding: 0;
}
.found button {
  background: none;
  border: 0;
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.4rem;
  min-height: 48px;
  padding: 0.4rem 0.25rem;
  text-align: left;
  width: 100%;
}
.found button[aria-pressed='true'] {
  box-shadow: inset 4px 0 0 var(--go);
  padding-left: 0.75rem;
}
.time {
  margin-left: auto;
}
.book h2 {
  margin-top: 1.25rem;
}
.given {
  border-left: var(--bar) solid var(--go);
  padding-left: 0.75rem;
}
.coming,
.days {
  list-style: none;
  margin: 0 0 0.75rem;
  padding: 0;
}
.title {
  font-weight: 600;
  margin: 0.75rem 0 0.35rem;
}
.ways {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  margin-bottom: 0.5rem;
}
.when {
  align-items: end;
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
  margin-bottom: 0.6rem;
}
.when label {
  display: grid;
  font-size: 0.875rem;
}
.note {
  flex: 1;
  min-width: 12rem;
}
.breaks {
  border-left: var(--bar) solid var(--caution-edge);
  margin: 0;
  padding-left: 0.75rem;
}
.breaks::first-letter {
  text-transform: uppercase;
}
.repeat summary {
  color: var(--go);
  cursor: pointer;
  font-weight: 600;
  line-height: 44px;
}
</style>
