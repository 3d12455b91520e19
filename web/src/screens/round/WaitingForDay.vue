<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import type { Schemas } from '../../api/client'
import { useMessages, useTellOwner } from '../../api/messages'
import { useKeepVisit, useWaitNoMore } from '../../api/round'
import { dayOf } from '../../dates'
import { $t } from '../../i18n'
import { clock } from '../../local/clock'
import { today } from '../../local/day'
import RefusalNote from '../../parts/RefusalNote.vue'

/** Who waits for a place on a full day, the first come first; a place that fell free is named to one of them. */
defineProps<{ waiting: Schemas['WaitingDog'][]; days?: boolean }>()
const keep = useKeepVisit()
const off = useWaitNoMore()
const tell = useTellOwner()
const { data: post } = useMessages()
const give = (w: Schemas['WaitingDog']) =>
  keep.mutate({
    id: crypto.randomUUID(),
    dog_id: w.dog.dog_id,
    on: w.on,
    start: w.place!.start,
    minutes: w.place!.minutes,
    note: w.note || undefined,
    state: 'agreed',
  })
const ask = (w: Schemas['WaitingDog']) =>
  tell.mutate({
    dogId: w.dog.dog_id,
    kind: 'places',
    places: [{ on: w.on, start: w.place!.start, minutes: w.place!.minutes }],
  })
const asked = (w: Schemas['WaitingDog']) =>
  post.value?.messages.some(
    m => m.dog_id === w.dog.dog_id && m.kind === 'places' && ['waiting', 'sent', 'delivered'].includes(m.state),
  )
</script>

<template>
  <section class="waiting" :aria-label="$t('round.waiting_for_a_place')">
    <h2>{{ $t('round.waiting_for_a_place') }}</h2>
    <ul>
      <li v-for="w in waiting" :key="w.dog.dog_id + w.on">
        <p>
          <RouterLink :to="`/dogs/${w.dog.dog_id}`" class="who" dir="auto">{{ w.dog.name }}</RouterLink><template
            v-if="w.dog.owner"
          >
            · <bdi>{{ w.dog.owner }}</bdi></template
          ><template v-if="days && w.on !== today()"> · {{ dayOf(w.on) }}</template
          ><template v-if="w.note">
            · <bdi>{{ w.note }}</bdi></template
          ><template v-if="!w.place">
            · <span class="soft">{{ $t('round.still_full') }}</span></template
          >
        </p>
        <div class="ways">
          <template v-if="w.place">
            <BButton variant="go" :disabled="keep.isPending.value" @click="give(w)">{{
              $t('round.is_free_book_it', { start: clock(w.place.start) })
            }}</BButton>
            <span v-if="asked(w)" class="small soft">{{ $t('round.written_to') }}</span>
            <BButton
              v-else-if="post?.goes && w.dog.owner_id"
              variant="plain"
              :disabled="tell.isPending.value"
              @click="ask(w)"
              >{{ $t('round.ask_the_owner') }}</BButton
            >
          </template>
          <BButton
            variant="plain"
            :disabled="off.isPending.value"
            @click="off.mutate({ dogId: w.dog.dog_id, on: w.on, note: w.note })"
            >{{ $t('round.no_longer') }}</BButton
          >
        </div>
      </li>
    </ul>
    <RefusalNote :error="keep.error.value ?? off.error.value ?? tell.error.value" />
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.0625rem;
  margin: 1rem 0 0.25rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-top: 1px solid var(--line);
  padding-block: 0.4rem;
}
p {
  margin: 0 0 0.25rem;
}
.who {
  color: var(--ink);
  font-weight: 650;
}
.ways {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
</style>
