<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { useCard, useDog, useOpenCard, useSettings, useSitting, useWithdrawSitting } from '../api/queries'
import { dayOf, fullDayOf } from '../dates'
import { $t } from '../i18n'
import { print } from '../local/print'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import RankPicture from '../rank/RankPicture.vue'
import { useUnits } from '../units'
import { reactions } from '../words'
import DogNext from './dog/DogNext.vue'
import NextVisit from './saved/NextVisit.vue'
import OwnerCard from './saved/OwnerCard.vue'
import { useNailNames } from '../local/nailNames'

const { names } = useNailNames()
const props = defineProps<{ dogId: string; sittingId: string }>()
const router = useRouter()
const { data: settings } = useSettings()
const { length } = useUnits()
const { data, error: unread, refetch } = useDog(() => props.dogId)
const { mutate, isPending, error } = useWithdrawSitting(() => props.dogId)
const sitting = computed(() => data.value?.sittings.find(s => s.id === props.sittingId))
const { data: done, isPending: reading } = useSitting(
  () => props.dogId,
  () => props.sittingId,
)
const worked = computed(() => (done.value?.nails ?? []).filter(n => n.cuts.length > 0))
const { data: card, isPending: printing } = useCard(
  () => props.dogId,
  () => props.sittingId,
)
const page = useOpenCard(
  () => props.dogId,
  () => props.sittingId,
)
const takeBack = () => mutate(props.sittingId, { onSuccess: () => void router.replace(`/dogs/${props.dogId}`) })
</script>

<template>
  <div class="screen saved">
    <!-- All at once: what comes late would move the buttons away from under the finger. -->
    <AnswerState v-if="!data || reading || printing" :error="unread" :what="$t('saved.this_dog')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>
            <span dir="auto">{{ data.dog.name }}</span>{{
              !done
                ? ''
                : done.left.length > 0
                  ? $t('saved.enough_for_today_of', { n: worked.length, n2: worked.length + done.left.length })
                  : $t('saved.is_done')
            }}
          </h1>
          <p v-if="sitting" class="soft lead" role="status">
            {{
              $t('saved.saved_cut', {
                on: fullDayOf(sitting.on),
                nails: sitting.nails,
                nails2: $t('saved.nail_nails', sitting.nails),
                removed:
                  sitting.removed_mm > 0
                    ? $t('saved.at_most_off_one', { removed: length.show(sitting.removed_mm) })
                    : $t('saved.nobody_counted_how_much'),
              })
            }}<template v-if="done && done.people.length > 0"
              >{{ $t('saved.saved_by') }} <bdi>{{ done.people.join(', ') }}</bdi></template
            >.
            <template v-if="sitting.blood.length > 0"
              >{{ ' ' }}{{ $t('saved.bled_keep_an_eye_on', { blood: names(sitting.blood) }) }}</template
            >
          </p>
        </div>
        <RouterLink to="/" class="btn btn-go btn-big">{{ $t('saved.next_dog') }}</RouterLink>
      </div>
      <p v-if="done?.praise" class="praise">{{ done.praise }}</p>
      <p v-if="done && done.left.length > 0" class="left">
        {{
          $t('saved.left', {
            left: names(done.left),
            left_on: done.left_on
              ? $t('saved.they_are_for', { left_on: dayOf(done.left_on) })
              : settings?.choices.role === 'groomer'
                ? $t('saved.they_wait_for_the_next')
                : $t('saved.they_wait'),
          })
        }}
      </p>
      <NextVisit v-if="settings?.choices.role === 'groomer'" :dog-id="dogId" />
      <DogNext :next="data.next" :days="data.next_in_days" :why-none="data.why_none" />
      <div class="after"><RankPicture :rank="done?.rank_after ?? data.rank" size="medium" /></div>
      <ul v-if="worked.length > 0" class="worked small" :aria-label="$t('saved.what_was_done')">
        <li v-for="n in worked" :key="n.code">
          <strong>{{ n.code }}</strong> {{ length.show(n.removed_mm)
          }}<template v-if="n.reaction && n.reaction !== 'calm'">, {{ reactions[n.reaction] }}</template
          ><template v-if="n.blood">{{ $t('saved.bled') }}</template>
        </li>
      </ul>
      <RefusalNote :error="error ?? page.error.value" />
      <div class="ways">
        <BButton v-if="done && card" variant="plain" @click="print">{{ $t('saved.print_the_card_for_the') }}</BButton>
        <BButton
          v-if="card?.reachable"
          variant="plain"
          :aria-pressed="card.page !== undefined"
          :disabled="page.isPending.value"
          @click="page.mutate(card.page === undefined)"
          >{{ card.page ? $t('saved.take_the_cards_page_away') : $t('saved.give_the_card_a_page') }}</BButton
        >
        <RouterLink :to="`/dogs/${dogId}`" class="btn btn-plain"
          ><span
            >{{ $t('saved.open') }} <bdi>{{ data.dog.name }}</bdi></span
          ></RouterLink
        >
        <BButton variant="plain" :disabled="isPending" @click="takeBack">{{ $t('saved.delete_this_trim') }}</BButton>
      </div>
      <p v-if="card?.page" class="small soft" role="status">
        {{ $t('saved.the_card_has_a_page') }}
        <a :href="card.page.url"
          ><bdi>{{ card.page.url }}</bdi></a
        >{{ $t('saved.its_code_is_on_the') }}
      </p>
      <OwnerCard v-if="done && card" :card="card" :sitting="done" />
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
  max-width: 44rem;
}
.after {
  margin-block: 1.25rem;
  overflow-x: auto;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
}
.left {
  border-left: var(--bar) solid var(--go);
  padding-left: 0.75rem;
}
.praise {
  font-weight: 600;
}
.worked {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1.25rem;
  margin-bottom: 1rem;
}
</style>
