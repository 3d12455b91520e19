<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref, useTemplateRef, watch } from 'vue'
import type { Schemas } from '../api/client'
import { useDogLadders, useEndLadder, useRecordTry, useStartLadder, useWithdrawTry } from '../api/ladders'
import { fullDayOf, inDays } from '../dates'
import { $t } from '../i18n'
import { act, isTyping, onKey } from '../local/keys'
import { print } from '../local/print'
import AnswerState from '../parts/AnswerState.vue'
import CautionList from '../parts/CautionList.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import { ladderKinds, pawWords, reactions } from '../words'
import LadderJournal from './ladder/LadderJournal.vue'
import LadderRungs from './ladder/LadderRungs.vue'
import PuppyDays from './ladder/PuppyDays.vue'
import ReactionButtons from './ladder/ReactionButtons.vue'
import ReadyForecast from './ladder/ReadyForecast.vue'
import StepTimer from './ladder/StepTimer.vue'

const props = defineProps<{ dogId: string }>()
const { data, error: unread, refetch } = useDogLadders(() => props.dogId)
const start = useStartLadder(() => props.dogId)
const end = useEndLadder(() => props.dogId)
const record = useRecordTry(() => props.dogId)
const withdraw = useWithdrawTry(() => props.dogId)
const error = computed(() => record.error.value ?? withdraw.error.value ?? start.error.value ?? end.error.value)

const chosen = ref<string>()
const ladder = computed(() => data.value?.ladders.find(l => l.id === chosen.value) ?? data.value?.ladders[0])
const step = computed(() => ladder.value?.steps[ladder.value.step])
const paws = Object.keys(pawWords) as Schemas['Paw'][]
const paw = ref<Schemas['Paw']>()
/** The paw of a step that is passed paw by paw: the next one, unless another was chosen. */
const about = computed(() => ladder.value?.paw ?? paw.value ?? ladder.value?.next_paw)
const oneMore = ref(false)
watch(
  () => ladder.value?.step,
  () => {
    oneMore.value = false
    paw.value = undefined
  },
)
const note = ref('')
const timer = useTemplateRef('timer')
const beginning = ref(false)
const keeps = $t('ladder.it_keeps_fore_nails_where')
const named = (l: Schemas['Ladder']) => `${ladderKinds[l.kind]}${l.paw ? `, ${l.paw}` : ''}`

function tell(reaction: Schemas['Reaction']) {
  if (!ladder.value || record.isPending.value) return
  record.mutate(
    { ladder: ladder.value.id, id: crypto.randomUUID(), reaction, paw: about.value, note: note.value },
    {
      onSuccess: () => {
        note.value = ''
        if (ladder.value?.paws) paw.value = undefined
      },
    },
  )
}
function undo() {
  const last = ladder.value?.journal[0]
  if (last && !withdraw.isPending.value) withdraw.mutate({ ladder: ladder.value.id, id: last.id })
}
function begin(kind: Schemas['LadderKind'], only?: Schemas['Paw']) {
  const id = crypto.randomUUID()
  start.mutate(
    { id, kind, paw: only },
    {
      onSuccess: () => {
        chosen.value = id
        beginning.value = false
      },
    },
  )
}
onKey(event => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || !step.value) return
  const reaction = (Object.keys(reactions) as Schemas['Reaction'][])['12345'.indexOf(event.key)]
  if (reaction && (!ladder.value?.ended || oneMore.value)) act(event, () => tell(reaction))
  else if (event.key === 'u') act(event, undo)
  else if (event.key === 't') act(event, () => timer.value?.toggle())
})
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="unread" :what="$t('ladder.the_ladder')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>
            <bdi>{{ data.name }}</bdi>{{ $t('ladder.ladder') }}
          </h1>
          <p class="soft lead">{{ $t('ladder.never_force_never_wrestle_one') }}</p>
        </div>
        <div class="aside">
          <div v-if="data.ladders.length > 1" class="choices" role="group" :aria-label="$t('ladder.which_ladder')">
            <button
              v-for="l in data.ladders"
              :key="l.id"
              type="button"
              :aria-pressed="l.id === ladder?.id"
              @click="chosen = l.id"
            >
              {{ named(l) }}
            </button>
          </div>
          <BButton v-if="ladder" variant="plain" :aria-expanded="beginning" @click="beginning = !beginning">{{
            $t('ladder.another_ladder')
          }}</BButton>
          <RouterLink :to="`/dogs/${dogId}`" class="btn btn-plain"
            ><span
              >{{ $t('ladder.open') }} <bdi>{{ data.name }}</bdi></span
            ></RouterLink
          >
        </div>
      </div>
      <CautionList :cautions="data.cautions" />
      <div v-if="!ladder || beginning" class="begin">
        <p v-if="!ladder">{{ $t('ladder.is_on_no_ladder_begin', { name: data.name }) }}</p>
        <BButton
          :variant="ladder ? 'plain' : 'go'"
          class="btn-big"
          :disabled="start.isPending.value"
          @click="begin('clipper')"
          >{{ $t('ladder.begin_the_clipper_ladder') }}</BButton
        >
        <BButton variant="plain" class="btn-big" :disabled="start.isPending.value" @click="begin('grinder')">{{
          $t('ladder.begin_the_grinder_ladder')
        }}</BButton>
        <BButton variant="plain" class="btn-big" :disabled="start.isPending.value" @click="begin('board')">{{
          $t('ladder.teach_it_the_scratch_board')
        }}</BButton>
        <BButton variant="plain" class="btn-big" :disabled="start.isPending.value" @click="begin('muzzle')">{{
          $t('ladder.teach_it_a_muzzle')
        }}</BButton>
        <div class="choices one" role="group" :aria-label="$t('ladder.clipper_ladder_for_one_paw')">
          <span>{{ $t('ladder.or_for_one_paw_only') }}</span>
          <button
            v-for="p in paws"
            :key="p"
            type="button"
            :disabled="start.isPending.value"
            @click="begin('clipper', p)"
          >
            {{ p }}
          </button>
        </div>
      </div>
      <template v-if="ladder">
        <div class="columns">
          <section v-if="step" class="today" aria-labelledby="step-title">
            <p class="soft">
              {{
                $t('ladder.of_ladder_of_tries_today', {
                  ended: ladder.ended ? $t('ladder.tomorrow_step') : $t('ladder.step'),
                  step: ladder.step + 1,
                  n: ladder.steps.length,
                  ladder: named(ladder),
                  tries_today: ladder.tries_today,
                  tries: step.tries,
                })
              }}
            </p>
            <h2 id="step-title">{{ step.words }}</h2>
            <p>
              {{ step.how }} <strong>{{ ladder.reward }}</strong>
            </p>
            <p v-if="step.nail && ladder.kind === 'grinder'" class="care small">
              {{ $t('ladder.hair_away_from_what_spins') }}
            </p>
            <p v-if="ladder.kind === 'board'" class="care small">{{ keeps }}</p>
            <p v-if="ladder.wait" class="care">
              {{ $t('ladder.the_first_nail_waits_until', { wait: fullDayOf(ladder.wait) }) }}
            </p>
            <p v-if="ladder.says || ladder.ended" class="says" aria-live="polite">
              {{ ladder.says }} <strong v-if="ladder.ended">{{ ladder.ended }}</strong>
            </p>
            <div
              v-if="ladder.paws && (!ladder.ended || oneMore)"
              class="choices by-paw"
              role="group"
              :aria-label="$t('ladder.which_paw_it_was_about')"
            >
              <button
                v-for="p in ladder.paws"
                :key="p.paw"
                type="button"
                :aria-pressed="about === p.paw"
                @click="paw = p.paw"
              >
                {{ p.paw }}
                <span class="small">{{
                  $t('ladder.of', { calm: Math.min(p.calm, ladder.needed), needed: ladder.needed })
                }}</span>
              </button>
            </div>
            <StepTimer v-if="!ladder.ended || oneMore" ref="timer" :step="step" />
            <BButton v-if="ladder.ended && !oneMore" variant="plain" @click="oneMore = true">{{
              $t('ladder.save_one_more_try_all')
            }}</BButton>
            <ReactionButtons v-if="!ladder.ended || oneMore" :disabled="record.isPending.value" @tell="tell" />
            <div class="about">
              <div
                v-if="!ladder.paw && !ladder.paws && (!ladder.ended || oneMore)"
                class="choices"
                role="group"
                :aria-label="$t('ladder.which_paw_it_was_about')"
              >
                <button
                  v-for="p in paws"
                  :key="p"
                  type="button"
                  :aria-pressed="paw === p"
                  @click="paw = paw === p ? undefined : p"
                >
                  {{ p }}
                </button>
              </div>
              <label for="try-note" class="visually-hidden">{{ $t('ladder.note_for_the_next_try') }}</label>
              <BFormInput
                v-if="!ladder.ended || oneMore"
                id="try-note"
                v-model="note"
                :placeholder="$t('ladder.note_for_the_next_try_2')"
                autocomplete="off"
                dir="auto"
              />
              <BButton variant="plain" :disabled="ladder.journal.length === 0 || withdraw.isPending.value" @click="undo"
                >{{ $t('ladder.undo') }} <kbd>U</kbd></BButton
              >
            </div>
            <RefusalNote :error="error" />
            <ReadyForecast :ready="ladder.ready" />
          </section>
          <section v-else class="today">
            <h2>{{ $t('ladder.through') }}</h2>
            <p v-if="ladder.kind === 'board'">{{ $t('ladder.a_few_strokes_a_day', { says: ladder.says, keeps }) }}</p>
            <p v-else>{{ $t('ladder.its_nails_are_trimmed_again', { says: ladder.says }) }}</p>
            <RouterLink :to="`/dogs/${dogId}/ready`" class="btn btn-go btn-big">{{
              $t('ladder.get_ready_for_a_trim')
            }}</RouterLink>
          </section>
          <div>
            <LadderRungs :ladder="ladder" />
            <p class="soft small next">
              {{
                $t('ladder.next_begun', {
                  next_in_days: inDays(ladder.next_in_days),
                  started: fullDayOf(ladder.started),
                })
              }}
              <BButton variant="plain" size="sm" :disabled="end.isPending.value" @click="end.mutate(ladder.id)">{{
                $t('ladder.end_this_ladder')
              }}</BButton>
            </p>
          </div>
        </div>
        <p>
          <BButton variant="plain" size="sm" @click="print">{{ $t('ladder.print_for_home') }}</BButton>
        </p>
        <PuppyDays v-if="data.puppyhood" :dog-id="dogId" :puppy="data.puppyhood" />
        <LadderJournal
          :ladder="ladder"
          :busy="withdraw.isPending.value"
          @withdraw="withdraw.mutate({ ladder: ladder.id, id: $event })"
        />
      </template>
      <PuppyDays v-else-if="data.puppyhood" :dog-id="dogId" :puppy="data.puppyhood" />
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.begin {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
  padding-block: 0.75rem 1.25rem;
}
.begin p {
  flex-basis: 100%;
  margin: 0;
}
.one {
  align-items: center;
}
.columns {
  display: grid;
  gap: 1.5rem 3rem;
  grid-template-columns: minmax(0, 1fr) minmax(17rem, 22rem);
}
.today h2 {
  font-size: 1.75rem;
}
.today > p {
  margin: 0.15rem 0 0;
}
.care {
  border-left: var(--bar) solid var(--caution-edge);
  padding-left: 0.6rem;
}
.today > .says {
  background: var(--sunk);
  margin-top: 0.75rem;
  padding: 0.5rem 0.75rem;
}
.by-paw {
  margin: 0.75rem 0;
}
.about {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  margin-top: 0.75rem;
}
.about .form-control {
  flex: 1;
  min-width: 10rem;
}
.next {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  margin-top: 0.5rem;
}

@media (max-width: 900px) {
  .lead {
    display: none;
  }
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
