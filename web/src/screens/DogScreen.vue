<script setup lang="ts">
import { computed, ref } from 'vue'
import { useDog, useSettings } from '../api/queries'
import { dayOf } from '../dates'
import { helpings, positions, rhythms } from '../words'
import { kept } from '../local/kept'
import AnswerState from '../parts/AnswerState.vue'
import CautionList from '../parts/CautionList.vue'
import RankPicture from '../rank/RankPicture.vue'
import RankKey from '../rank/RankKey.vue'
import { useUnits } from '../units'
import QuickPlanNote from '../parts/QuickPlanNote.vue'
import DogGrowth from './dog/DogGrowth.vue'
import DogHandling from './dog/DogHandling.vue'
import DogHistory from './dog/DogHistory.vue'
import DogNext from './dog/DogNext.vue'
import FirstSteps from './dog/FirstSteps.vue'
import DogPictures from './dog/DogPictures.vue'
import FoldedSection from './dog/FoldedSection.vue'
import DogProfile from './dog/DogProfile.vue'
import NailTable from './dog/NailTable.vue'
import PawMoods from './dog/PawMoods.vue'
import RankForward from './dog/RankForward.vue'
import SittingList from './dog/SittingList.vue'

const props = defineProps<{ dogId: string }>()
const { data, error, refetch } = useDog(() => props.dogId)
const { weight } = useUnits()
const { data: settings } = useSettings()
const groomer = computed(() => settings.value?.choices.role === 'groomer')
const dog = computed(() => data.value?.dog)
const age = computed(() => {
  const years = dog.value?.age_years ?? 0
  const months = Math.floor(years * 12)
  const about = dog.value?.birth_estimated ? 'about ' : ''
  return months < 24 ? `${about}${months} months` : `${about}${Math.floor(years)} years`
})
const kilos = computed(() => weight.value.show(dog.value!.weights[dog.value!.weights.length - 1].kg))
/** Of a dog that nobody told anything of yet, only how to begin is shown: the rest would be guesses and empty lists. */
const fresh = computed(() => (data.value?.first_steps.length ?? 0) > 0)
const more = kept<boolean>('fribbet-dog-more')
const opened = ref(more.read() ?? false)
function openMore() {
  opened.value = true
  more.keep(true)
}
const measured = computed(() => data.value?.rank.bars.filter((b) => b.length.source === 'measured').length ?? 0)
const assumed = computed(() => data.value?.rank.bars.every((b) => b.length.source === 'assumed' && b.gap?.source !== 'measured'))
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data || !dog" :error="error" what="this dog" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1 dir="auto">{{ dog.name }}</h1>
          <p class="soft lead">{{ age }} · {{ kilos }} · {{ dog.nails.length }} nails</p>
        </div>
        <div class="aside">
          <RouterLink v-if="!fresh" :to="`/dogs/${dogId}/walk`" class="btn btn-plain btn-big">Check the feet</RouterLink>
          <RouterLink :to="`/dogs/${dogId}/record`" class="btn btn-plain btn-big">Record a trim</RouterLink>
          <RouterLink v-if="data.open_sitting" :to="`/dogs/${dogId}/bench/${data.open_sitting}`" class="btn btn-go btn-big">Go on at the bench</RouterLink>
          <RouterLink v-else-if="!fresh || data.training" :to="`/dogs/${dogId}/ready`" class="btn btn-go btn-big">Get ready</RouterLink>
        </div>
      </div>

      <FirstSteps v-if="fresh && !data.training && !data.open_sitting" :dog-id="dogId" :name="dog.name" :steps="data.first_steps" />
      <DogNext v-else :dog="dog" :next="data.next" :needs="data.needs" :days="data.next_in_days" :why-none="data.why_none" :training="data.training" />
      <QuickPlanNote v-if="data.plan" :plan="data.plan" />
      <CautionList :cautions="data.cautions" />

      <section class="today" aria-labelledby="rank-title">
        <h2 id="rank-title">{{ fresh ? 'The nails' : 'The nails, today and on' }}</h2>
        <RankPicture v-if="fresh" :rank="data.rank" size="large" class="scroll-sideways" />
        <RankForward v-else :dog-id="dogId" :rank="data.rank" :next="data.next" :next-in-days="data.next_in_days" />
        <p v-if="assumed" class="soft small note">Drawn as usual for its size.</p>
        <details v-if="!fresh" class="key small"><summary>What the drawing shows</summary><RankKey /></details>
      </section>

      <button v-if="fresh && !opened" type="button" class="more" @click="openMore">More about <bdi>{{ dog.name }}</bdi></button>
      <template v-else>
      <FoldedSection name="nails" title="Each nail" :line="measured === 0 ? 'none measured yet' : `${measured} of ${dog.nails.length} measured`"><NailTable :dog-id="dogId" :rank="data.rank" :next="data.next" :training="data.training_paws" /></FoldedSection>
      <FoldedSection name="sittings" title="Trims" :line="data.sittings.length === 0 ? 'none recorded yet' : `${data.sittings.length}, the last on ${dayOf(data.sittings[0].on)}`"><SittingList :dog-id="dogId" :sittings="data.sittings" /></FoldedSection>
      <FoldedSection name="history" title="History" line="lengths and quicks over time"><DogHistory :dog-id="dogId" :nails="dog.nails.map((n) => n.code)" :groups="data.growth.groups.map((g) => g.group)" /></FoldedSection>
      <FoldedSection v-if="data.sittings.length > 0" name="hindsight" title="How right was it" line="what was said before each trim, and what then was"><p><RouterLink :to="`/dogs/${dogId}/hindsight`">How its trims went, and what was said beforehand</RouterLink></p></FoldedSection>
      <FoldedSection name="growth" title="How fast they grow" line="by group, and what the ground takes"><DogGrowth :dog-id="dogId" :growth="data.growth" /></FoldedSection>
      <FoldedSection name="moods" title="How the dog is about it" :line="data.calmer.length > 0 ? 'paw by paw, and what goes with calm' : 'paw by paw'"><PawMoods :dog-id="dogId" :moods="data.moods" :calmer="data.calmer" :training="data.training" /></FoldedSection>
      <FoldedSection name="handling" title="How it is held" :line="[positions[dog.handling.position], dog.handling.muzzle ? 'muzzle' : '', `helper ${helpings[dog.handling.helper]}`].filter(Boolean).join(' · ')"><DogHandling :dog="dog" /></FoldedSection>
      <FoldedSection name="profile" title="Profile and nails" :line="`${rhythms[dog.rhythm]} · ${dog.nails.length} nails`"><DogProfile :dog="dog" /></FoldedSection>
      <FoldedSection name="pictures" title="Pictures" line="of its paws, and lengths off them"><DogPictures :dog-id="dogId" :nails="dog.nails.map((n) => n.code)" /></FoldedSection>
      <FoldedSection v-if="groomer" name="visits" title="Visits" line="its time, and the next"><p><RouterLink :to="{ path: '/round/book', query: { dog: dogId } }">Its visits, and book the next</RouterLink></p></FoldedSection>
      <FoldedSection name="take" title="To take along" line="a file and a page, for the owner or a veterinarian">
        <p class="soft small take">Everything about <bdi>{{ dog.name }}</bdi> in open formats, with a page to read and print.</p>
        <a class="btn btn-plain" :href="`/api/export?dog_id=${dogId}`" download>Take <bdi>{{ dog.name }}</bdi> along</a>
      </FoldedSection>
      </template>
    </template>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; }
.today { margin-top: 1rem; }
.take { max-width: 46rem; }
.more { background: none; border: 0; color: var(--go); font-weight: 600; min-height: 44px; padding: 0; text-decoration: underline; text-underline-offset: 3px; }
.key summary { color: var(--go); cursor: pointer; line-height: 44px; }
.note { margin-top: 0.5rem; max-width: 46rem; }
</style>
