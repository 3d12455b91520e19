<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Schemas } from '../api/client'
import { useMessages, useTellOwner } from '../api/messages'
import { useCalls, useKeepVisit, useNotNow } from '../api/round'
import { dayOf } from '../dates'
import { clock } from '../local/clock'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import RankSmall from '../rank/RankSmall.vue'
import { messageStates, reaches } from '../words'

/** Whom to call for a week, in order, with places to offer on the telephone. */
const route = useRoute()
const from = computed(() => (typeof route.query.from === 'string' ? route.query.from : undefined))
const { data: pages, error, refetch, fetchNextPage, hasNextPage, isFetchingNextPage } = useCalls(from)
const data = computed(() => pages.value?.pages[0])
watch(data, (d) => d?.recount && setTimeout(() => void refetch(), 2000)) // asked again until all are worked out
const calls = computed(() => pages.value?.pages.flatMap((page) => page.calls) ?? [])
const keep = useKeepVisit()
const later = useNotNow()
const { data: post } = useMessages()
const tell = useTellOwner()
/** The offer that is under way to a dog's owner. */
const offered = (dogId: string) => post.value?.messages.find((m) => m.dog_id === dogId && ['places', 'due'].includes(m.kind) && ['waiting', 'sent', 'delivered'].includes(m.state))
const given = ref<{ name: string; on: string; start: number }>()
const give = (dog: Schemas['RoundDog'], o: Schemas['Offer']) =>
  keep.mutate({ id: crypto.randomUUID(), dog_id: dog.dog_id, on: o.on, start: o.start, minutes: o.minutes, state: 'agreed' },
    { onSuccess: () => (given.value = { name: dog.name, on: o.on, start: o.start }) })
const asking = ref<string>()
const notNow = (dog: Schemas['RoundDog'], weeks: number) => later.mutate({ dogId: dog.dog_id, weeks }, { onSuccess: () => (asking.value = undefined) })
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" what="who to call" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div><h1>Who to call</h1><p class="soft lead">{{ dayOf(data.from) }} to {{ dayOf(data.until) }}, the most urgent first<template v-if="data.all > calls.length">: {{ calls.length }} of {{ data.all }}</template>.</p></div>
        <div class="aside"><RouterLink to="/round" class="btn btn-plain">The week</RouterLink></div>
      </div>
      <RefusalNote :error="keep.error.value ?? later.error.value ?? tell.error.value" />
      <p v-if="given" class="given" role="status"><strong dir="auto">{{ given.name }}</strong> comes {{ dayOf(given.on) }} at {{ clock(given.start) }}.</p>
      <p v-if="data.recount" class="given" role="status">Dates are being worked out: {{ data.recount.done }} of {{ data.recount.all }} dogs. The list grows until then.</p>
      <div v-if="calls.length === 0 && !data.recount" class="empty"><h2>Nobody is to be called this week</h2><p>Who is due has a place, or you said not now.</p></div>
      <ol v-if="calls.length > 0" class="calls">
        <li v-for="(c, i) in calls" :key="c.dog.dog_id" class="call">
          <div>
            <RouterLink :to="`/dogs/${c.dog.dog_id}`" :class="['name', { first: i === 0 }]" dir="auto">{{ c.dog.name }}</RouterLink>
            <div class="small"><template v-if="c.dog.due">due {{ dayOf(c.dog.due) }}: </template>{{ c.dog.reason }} · {{ c.dog.minutes }} min<template v-if="c.dog.help === 'needed'"> · somebody to hold</template><template v-if="c.dog.hard"> · hard</template></div>
            <div class="small soft"><RouterLink v-if="c.dog.owner_id" :to="`/owners/${c.dog.owner_id}`"><bdi>{{ c.dog.owner }}</bdi></RouterLink><template v-else>no owner yet</template><template v-if="c.address"> · <a :href="c.reach === 'mail' ? `mailto:${c.address}` : `tel:${c.address}`">{{ c.address }}</a></template></div>
          </div>
          <RankSmall v-if="c.dog.rank" :rank="c.dog.rank" class="rank-of" />
          <div class="offers">
            <BButton v-for="(o, n) in c.offers" :key="o.on + o.start" :variant="i === 0 && n === 0 ? 'go' : 'plain'" :disabled="keep.isPending.value" :title="o.reasons.join(', ')" @click="give(c.dog, o)">{{ dayOf(o.on) }} {{ clock(o.start) }}</BButton>
            <span v-if="c.offers.length === 0" class="small">No free place this week.</span>
            <template v-if="asking === c.dog.dog_id"><BButton v-for="n in [1, 2, 4]" :key="n" variant="plain" @click="notNow(c.dog, n)">ask in {{ n === 1 ? 'a week' : `${n} weeks` }}</BButton></template>
            <BButton v-else variant="plain" @click="asking = c.dog.dog_id">Not now</BButton>
            <span v-if="offered(c.dog.dog_id)" class="small soft">Written to by {{ reaches[c.reach ?? 'hand'] }}: <RouterLink to="/messages">{{ messageStates[offered(c.dog.dog_id)!.state] }}</RouterLink></span>
            <BButton v-else-if="post?.goes && c.reach && c.reach !== 'hand'" variant="plain" :disabled="tell.isPending.value" @click="tell.mutate({ dogId: c.dog.dog_id, kind: c.offers.length > 0 ? 'places' : 'due', places: c.offers.length > 0 ? c.offers.map(({ on, start, minutes }) => ({ on, start, minutes })) : undefined })">{{ c.offers.length > 0 ? 'Send places' : 'Write that it is due' }}</BButton>
          </div>
        </li>
      </ol>
      <p v-if="hasNextPage" class="more"><BButton variant="plain" :disabled="isFetchingNextPage" @click="fetchNextPage()">Show more: {{ calls.length }} of {{ data.all }} are here</BButton></p>
      <template v-if="data.waits.length > 0">
        <h2 class="later">These wait for a later week</h2>
        <p class="small soft">Calling them would cost others more than it saves them.</p>
        <ul class="waits"><li v-for="c in data.waits" :key="c.dog.dog_id"><RouterLink :to="`/dogs/${c.dog.dog_id}`" dir="auto">{{ c.dog.name }}</RouterLink> <span class="small soft">{{ c.dog.minutes }} min<template v-if="c.dog.due">, due {{ dayOf(c.dog.due) }}</template></span></li></ul>
      </template>
    </template>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; }
.calls, .waits { list-style: none; margin: 0; padding: 0; }
.call { align-items: center; border-top: 1px solid var(--line); display: grid; gap: 0.5rem 1rem; grid-template-columns: minmax(0, 0.85fr) 170px minmax(0, 1.75fr); padding-block: 0.6rem; }
.name { color: var(--ink); font-size: 1.0625rem; font-weight: 650; text-decoration: none; }
.name.first { font-size: 1.5rem; }
.offers { align-items: center; display: flex; flex-wrap: wrap; gap: 0.5rem; }
.given { border-left: var(--bar) solid var(--go); padding-left: 0.75rem; }
.later { margin-top: 1.5rem; }
.waits { display: flex; flex-wrap: wrap; gap: 0.25rem 1.5rem; }
.more { margin-top: 0.75rem; }
.empty { padding: 2rem 0; }
@media (max-width: 900px) { .call { grid-template-columns: minmax(0, 1fr); } .rank-of { display: none; } .offers .btn { flex: 1 1 40%; } .offers .small { flex-basis: 100%; } }
</style>
