<script setup lang="ts">
import { computed, ref } from 'vue'
import { useDog, useSettings } from '../api/queries'
import { dayOf } from '../dates'
import { $t } from '../i18n'
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
  const about = dog.value?.birth_estimated ? $t('dog.about') : ''
  return months < 24 ? $t('dog.months', { about, months }) : $t('dog.years', { about, years: Math.floor(years) })
})
const kilos = computed(() => weight.value.show(dog.value!.weights.at(-1)!.kg))
/** Of a dog that nobody told anything of yet, only how to begin is shown: the rest would be guesses and empty lists. */
const fresh = computed(() => (data.value?.first_steps.length ?? 0) > 0)
const more = kept<boolean>('fribbet-dog-more')
const opened = ref(more.read() ?? false)
function openMore() {
  opened.value = true
  more.keep(true)
}
const measured = computed(() => data.value?.rank.bars.filter(b => b.length.source === 'measured').length ?? 0)
const assumed = computed(() =>
  data.value?.rank.bars.every(b => b.length.source === 'assumed' && b.gap?.source !== 'measured'),
)
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data || !dog" :error="error" :what="$t('dog.this_dog')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1 dir="auto">{{ dog.name }}</h1>
          <p class="soft lead">{{ $t('dog.nails', { age, kilos, n: dog.nails.length }) }}</p>
        </div>
        <div class="aside">
          <RouterLink v-if="!fresh" :to="`/dogs/${dogId}/walk`" class="btn btn-plain btn-big">{{
            $t('dog.check_the_feet')
          }}</RouterLink>
          <RouterLink :to="`/dogs/${dogId}/record`" class="btn btn-plain btn-big">{{
            $t('dog.record_a_trim')
          }}</RouterLink>
          <RouterLink
            v-if="data.open_sitting"
            :to="`/dogs/${dogId}/bench/${data.open_sitting}`"
            class="btn btn-go btn-big"
            >{{ $t('dog.go_on_at_the_bench') }}</RouterLink
          >
          <RouterLink v-else-if="!fresh || data.training" :to="`/dogs/${dogId}/ready`" class="btn btn-go btn-big">{{
            $t('dog.get_ready')
          }}</RouterLink>
        </div>
      </div>

      <FirstSteps
        v-if="fresh && !data.training && !data.open_sitting"
        :dog-id="dogId"
        :name="dog.name"
        :steps="data.first_steps"
      />
      <DogNext
        v-else
        :dog="dog"
        :next="data.next"
        :needs="data.needs"
        :days="data.next_in_days"
        :why-none="data.why_none"
        :training="data.training"
      />
      <QuickPlanNote v-if="data.plan" :plan="data.plan" />
      <CautionList :cautions="data.cautions" />

      <section class="today" aria-labelledby="rank-title">
        <h2 id="rank-title">{{ fresh ? $t('dog.the_nails') : $t('dog.the_nails_today_and_on') }}</h2>
        <RankPicture v-if="fresh" :rank="data.rank" size="large" class="scroll-sideways" />
        <RankForward v-else :dog-id="dogId" :rank="data.rank" :next="data.next" :next-in-days="data.next_in_days" />
        <p v-if="assumed" class="soft small note">{{ $t('dog.drawn_as_usual_for_its') }}</p>
        <details v-if="!fresh" class="key small">
          <summary>{{ $t('dog.what_the_drawing_shows') }}</summary>
          <RankKey />
        </details>
      </section>

      <button v-if="fresh && !opened" type="button" class="more" @click="openMore">
        {{ $t('dog.more_about') }} <bdi>{{ dog.name }}</bdi>
      </button>
      <template v-else>
        <FoldedSection
          name="nails"
          :title="$t('dog.each_nail')"
          :line="
            measured === 0 ? $t('dog.none_measured_yet') : $t('dog.of_measured', { measured, n: dog.nails.length })
          "
          ><NailTable :dog-id="dogId" :rank="data.rank" :next="data.next" :training="data.training_paws"
        /></FoldedSection>
        <FoldedSection
          name="sittings"
          :title="$t('dog.trims')"
          :line="
            data.sittings.length === 0
              ? $t('dog.none_recorded_yet')
              : $t('dog.the_last_on', { n: data.sittings.length, on: dayOf(data.sittings[0]!.on) })
          "
          ><SittingList :dog-id="dogId" :sittings="data.sittings"
        /></FoldedSection>
        <FoldedSection name="history" :title="$t('dog.history')" :line="$t('dog.lengths_and_quicks_over_time')"
          ><DogHistory
            :dog-id="dogId"
            :nails="dog.nails.map(n => n.code)"
            :groups="data.growth.groups.map(g => g.group)"
        /></FoldedSection>
        <FoldedSection
          v-if="data.sittings.length > 0"
          name="hindsight"
          :title="$t('dog.how_right_was_it')"
          :line="$t('dog.what_was_said_before_each')"
          ><p>
            <RouterLink :to="`/dogs/${dogId}/hindsight`">{{ $t('dog.how_its_trims_went_and') }}</RouterLink>
          </p></FoldedSection
        >
        <FoldedSection name="growth" :title="$t('dog.how_fast_they_grow')" :line="$t('dog.by_group_and_what_the')"
          ><DogGrowth :dog-id="dogId" :growth="data.growth"
        /></FoldedSection>
        <FoldedSection
          name="moods"
          :title="$t('dog.how_the_dog_is_about')"
          :line="data.calmer.length > 0 ? $t('dog.paw_by_paw_and_what') : $t('dog.paw_by_paw')"
          ><PawMoods :dog-id="dogId" :moods="data.moods" :calmer="data.calmer" :training="data.training"
        /></FoldedSection>
        <FoldedSection
          name="handling"
          :title="$t('dog.how_it_is_held')"
          :line="
            [
              positions[dog.handling.position],
              dog.handling.muzzle ? $t('dog.muzzle') : '',
              $t('dog.helper', { helper: helpings[dog.handling.helper] }),
            ]
              .filter(Boolean)
              .join(' · ')
          "
          ><DogHandling :dog="dog"
        /></FoldedSection>
        <FoldedSection
          name="profile"
          :title="$t('dog.profile_and_nails')"
          :line="$t('dog.nails_2', { rhythm: rhythms[dog.rhythm], n: dog.nails.length })"
          ><DogProfile :dog="dog"
        /></FoldedSection>
        <FoldedSection name="pictures" :title="$t('dog.pictures')" :line="$t('dog.of_its_paws_and_lengths')"
          ><DogPictures :dog-id="dogId" :nails="dog.nails.map(n => n.code)"
        /></FoldedSection>
        <FoldedSection v-if="groomer" name="visits" :title="$t('dog.visits')" :line="$t('dog.its_time_and_the_next')"
          ><p>
            <RouterLink :to="{ path: '/round/book', query: { dog: dogId } }">{{
              $t('dog.its_visits_and_book_the')
            }}</RouterLink>
          </p></FoldedSection
        >
        <FoldedSection name="take" :title="$t('dog.to_take_along')" :line="$t('dog.a_file_and_a_page')">
          <p class="soft small take">
            {{ $t('dog.everything_about') }} <bdi>{{ dog.name }}</bdi> {{ $t('dog.in_open_formats_with_a') }}
          </p>
          <a class="btn btn-plain" :href="`/api/export?dog_id=${dogId}`" download
            >{{ $t('dog.take') }} <bdi>{{ dog.name }}</bdi> {{ $t('dog.along') }}</a
          >
        </FoldedSection>
      </template>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.today {
  margin-top: 1rem;
}
.take {
  max-width: 46rem;
}
.more {
  background: none;
  border: 0;
  color: var(--go);
  font-weight: 600;
  min-height: 44px;
  padding: 0;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.key summary {
  color: var(--go);
  cursor: pointer;
  line-height: 44px;
}
.note {
  margin-top: 0.5rem;
  max-width: 46rem;
}
</style>
