<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { useCard, useDog, useOpenCard, useSettings, useSitting, useWithdrawSitting } from '../api/queries'
import { dayOf, fullDayOf } from '../dates'
import { print } from '../local/print'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import RankPicture from '../rank/RankPicture.vue'
import { useUnits } from '../units'
import { reactions } from '../words'
import DogNext from './dog/DogNext.vue'
import NextVisit from './saved/NextVisit.vue'
import OwnerCard from './saved/OwnerCard.vue'

const props = defineProps<{ dogId: string; sittingId: string }>()
const router = useRouter()
const { data: settings } = useSettings()
const { length } = useUnits()
const { data, error: unread, refetch } = useDog(() => props.dogId)
const { mutate, isPending, error } = useWithdrawSitting(() => props.dogId)
const sitting = computed(() => data.value?.sittings.find((s) => s.id === props.sittingId))
const { data: done, isPending: reading } = useSitting(() => props.dogId, () => props.sittingId)
const worked = computed(() => (done.value?.nails ?? []).filter((n) => n.cuts.length > 0))
const { data: card, isPending: printing } = useCard(() => props.dogId, () => props.sittingId)
const page = useOpenCard(() => props.dogId, () => props.sittingId)
const takeBack = () => mutate(props.sittingId, { onSuccess: () => router.replace(`/dogs/${props.dogId}`) })
</script>

<template>
  <div class="screen saved">
    <!-- All at once: what comes late would move the buttons away from under the finger. -->
    <AnswerState v-if="!data || reading || printing" :error="unread" what="this dog" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1><span dir="auto">{{ data.dog.name }}</span>{{ !done ? '' : done.left.length > 0 ? `: enough for today, ${worked.length} of ${worked.length + done.left.length}` : ' is done' }}</h1>
          <p v-if="sitting" class="soft lead" role="status">
            Saved: {{ fullDayOf(sitting.on) }}, {{ sitting.nails }} {{ sitting.nails === 1 ? 'nail' : 'nails' }} cut, {{ sitting.removed_mm > 0 ? `at most ${length.show(sitting.removed_mm)} off one` : 'nobody counted how much' }}<template v-if="done && done.people.length > 0">, saved by <bdi>{{ done.people.join(', ') }}</bdi></template>.
            <template v-if="sitting.blood.length > 0"> Bled: {{ sitting.blood.join(', ') }}: keep an eye on it; bleeding that comes back is a veterinarian’s matter.</template>
          </p>
        </div>
        <RouterLink to="/" class="btn btn-go btn-big">Next dog</RouterLink>
      </div>
      <p v-if="done?.praise" class="praise">{{ done.praise }}</p>
      <p v-if="done && done.left.length > 0" class="left">Left: {{ done.left.join(', ') }}. {{ done.left_on ? `They are for ${dayOf(done.left_on)}.` : settings?.choices.role === 'groomer' ? 'They wait for the next visit.' : 'They wait.' }}</p>
      <NextVisit v-if="settings?.choices.role === 'groomer'" :dog-id="dogId" />
      <DogNext :next="data.next" :days="data.next_in_days" :why-none="data.why_none" />
      <div class="after"><RankPicture :rank="done?.rank_after ?? data.rank" size="medium" /></div>
      <ul v-if="worked.length > 0" class="worked small" aria-label="What was done"><li v-for="n in worked" :key="n.code"><strong>{{ n.code }}</strong> {{ length.show(n.removed_mm) }}<template v-if="n.reaction && n.reaction !== 'calm'">, {{ reactions[n.reaction] }}</template><template v-if="n.blood">, bled</template></li></ul>
      <RefusalNote :error="error ?? page.error.value" />
      <div class="ways">
        <BButton v-if="done && card" variant="plain" @click="print">Print the card for the owner</BButton>
        <BButton v-if="card?.reachable" variant="plain" :aria-pressed="card.page !== undefined" :disabled="page.isPending.value" @click="page.mutate(card.page === undefined)">{{ card.page ? 'Take the card’s page away' : 'Give the card a page' }}</BButton>
        <RouterLink :to="`/dogs/${dogId}`" class="btn btn-plain"><span>Open <bdi>{{ data.dog.name }}</bdi></span></RouterLink>
        <BButton variant="plain" :disabled="isPending" @click="takeBack">Delete this trim</BButton>
      </div>
      <p v-if="card?.page" class="small soft" role="status">The card has a page: <a :href="card.page.url"><bdi>{{ card.page.url }}</bdi></a>. Its code is on the printed card; whoever has it sees this card and nothing else.</p>
      <OwnerCard v-if="done && card" :card="card" :sitting="done" />
    </template>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; max-width: 44rem; }
.after { margin-block: 1.25rem; overflow-x: auto; }
.ways { display: flex; flex-wrap: wrap; gap: 0.75rem; }
.left { border-left: var(--bar) solid var(--go); padding-left: 0.75rem; }
.praise { font-weight: 600; }
.worked { display: flex; flex-wrap: wrap; gap: 0.25rem 1.25rem; margin-bottom: 1rem; }
</style>
