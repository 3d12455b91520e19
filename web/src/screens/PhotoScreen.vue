<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, toRaw, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { useAddPicture, usePictures, pictureOf, useReadPhoto } from '../api/pictures'
import { useDog, useRecordCheck } from '../api/queries'
import { $t } from '../i18n'
import { tellBench } from '../local/bench'
import { useOften } from '../local/later'
import { benchEvents, intoRecord, intoWalk, lookOf, type Target, type When } from '../local/photo'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import { useUnits } from '../units'
import { nailInWords } from '../words'
import HeldChoice from './photo/HeldChoice.vue'
import PhotoNumbers from './photo/PhotoNumbers.vue'
import PickPicture from './photo/PickPicture.vue'
import PictureStage from './photo/PictureStage.vue'
import { optional, usePut, type Put } from './photo/put'
import { freshSide, useSide, type Spot } from './photo/side'
import SideChoice from './photo/SideChoice.vue'

/** Lengths off a picture with a card in it: four handles on the card, points on the nail, numbers with their ranges. */
const props = defineProps<{ dogId: string; code: string }>()
const route = useRoute()
const router = useRouter()
const { length } = useUnits()
const { data: view, error: unread, refetch } = useDog(() => props.dogId)
const { data: pictures } = usePictures(() => props.dogId)
const add = useAddPicture(() => props.dogId)
const check = useRecordCheck(() => props.dogId)
const code = computed(() => props.code as Schemas['NailCode'])
const paw = computed(() => props.code.slice(0, 2) as Schemas['Paw'])
const bar = computed(() => view.value?.rank.bars.find(b => b.code === props.code))
const target = computed(() =>
  ['walk', 'record', 'bench'].includes(String(route.query.to)) ? (route.query.to as Target) : 'nail',
)
const back = computed(
  () =>
    ({
      nail: { path: `/dogs/${props.dogId}/nails/${props.code}`, words: $t('photo.nail', { code: props.code }) },
      walk: { path: `/dogs/${props.dogId}/walk`, words: $t('photo.check_the_feet') },
      record: { path: `/dogs/${props.dogId}/record`, words: $t('photo.record') },
      bench: { path: `/dogs/${props.dogId}/bench/${String(route.query.sitting)}`, words: $t('photo.bench') },
    })[target.value],
)
const when = ref<When>(target.value === 'record' ? 'after' : 'before')

const picture = computed(() => pictures.value?.pictures.find(p => p.id === route.query.picture && p.paw === paw.value))
const open = (id?: string) => router.replace({ query: { ...route.query, picture: id } })
const before = computed(() => pictures.value?.pictures.filter(p => p.paw === paw.value && !p.code) ?? [])
const addFile = (file: File) => add.mutate({ file, paw: paw.value }, { onSuccess: p => void open(p.id) })
const { put, handles, lines, active, move, toggle } = usePut(picture, code)
const guessed = computed(() => (picture.value?.corners.length ?? 0) === 4)

/** The second picture, where there is one, and which of the two is on the stage. */
const side = useSide(put, before)
const onSide = ref(false)
const alsoTaken = computed(() => before.value.filter(p => p.id !== picture.value?.id))
function settle(p: Schemas['Picture']) {
  put.side = freshSide(p)
  onSide.value = true
}
const settleBy = (file: File) => add.mutate({ file, paw: paw.value }, { onSuccess: settle })
function unsettle() {
  put.side = undefined
  onSide.value = false
}

const known = computed(() => length.value.typed(put.known))
/** What must still be put where it belongs: what stands where the program drew it says nothing. */
const missing = computed(() => {
  const handles =
    put.reference === 'card' ? (guessed.value ? [] : put.card.map((_, i) => `card${i}`)) : ['ends0', 'ends1']
  if (handles.some(key => !put.touched.includes(key)))
    return put.reference === 'card' ? $t('photo.drag_the_four_squares_to') : $t('photo.drag_the_two_squares_to')
  if (put.reference === 'card' && !put.held && !put.side) return $t('photo.say_how_the_card_was')
  if (put.reference === 'known' && known.value === undefined) return $t('photo.say_how_far_apart_the')
  if (!put.touched.includes('coat') || !put.touched.includes('tip'))
    return $t('photo.drag_the_two_circles_to', { code: props.code })
  return put.reference === 'card' ? side.missing.value : ''
})
const wanted = computed<Schemas['PhotoInput'] | undefined>(() => {
  const p = picture.value
  const m = Object.fromEntries(Object.entries(put.marks).filter(([key]) => put.touched.includes(key))) as Put['marks']
  if (!p || missing.value || !m.coat || !m.tip) return undefined
  return {
    width: p.width,
    height: p.height,
    reference: put.reference,
    handles: put.reference === 'card' ? put.card : put.ends,
    known_mm: put.reference === 'known' ? known.value : undefined,
    held: put.reference === 'card' && !put.side ? put.held : undefined,
    side: put.reference === 'card' ? side.input.value : undefined,
    picture_id: put.reference === 'card' ? p.id : undefined,
    ...m,
    coat: m.coat,
    tip: m.tip,
  }
})
const told = useOften(wanted, 80)
const {
  data: said,
  error: refused,
  isPlaceholderData,
} = useReadPhoto(
  () => props.dogId,
  () => props.code,
  told,
)
const ready = computed(
  () =>
    !missing.value &&
    said.value &&
    !refused.value &&
    !isPlaceholderData.value &&
    told.value &&
    toRaw(told.value) === toRaw(wanted.value),
)
/** The card's plane, drawn through the nail. */
const grid = computed<Spot[][]>(() =>
  put.reference === 'card' && !put.side && !missing.value && !refused.value
    ? ((said.value?.grid ?? []) as Spot[][])
    : [],
)
/** Nails whose numbers were taken from this picture. */
const taken = ref<string[]>([])
const untaken = ref('')
/** A press while a moved point is still being read waits for it, and is not lost. */
const waits = ref(false)
watch([ready, refused], () => {
  if (waits.value && (ready.value || refused.value)) void take()
})
async function take() {
  waits.value = !ready.value && !refused.value && !missing.value
  if (!said.value || !ready.value) return
  untaken.value = ''
  const s = said.value
  if (target.value === 'walk') intoWalk(props.dogId, code.value, s)
  else if (target.value === 'bench')
    await tellBench(props.dogId, String(route.query.sitting), ...benchEvents(code.value, s, when.value))
  else if (target.value === 'record') {
    if (!intoRecord(props.dogId, code.value, s, when.value))
      return (untaken.value = $t('photo.no_trim_is_being_recorded'))
  } else {
    try {
      await check.mutateAsync({
        id: crypto.randomUUID(),
        clicks: false,
        hair: false,
        swelling: false,
        limping: false,
        breaking: false,
        looks: [lookOf(code.value, s)],
      })
    } catch {
      return // the screen says why
    }
  }
  taken.value = [...taken.value, props.code]
}
const others = computed(() => view.value?.rank.bars.filter(b => b.code.startsWith(paw.value)).map(b => b.code) ?? [])
const goTo = (to: string) => router.replace({ path: `/dogs/${props.dogId}/photo/${to}`, query: route.query })
watch(
  () => picture.value?.id,
  () => {
    taken.value = []
    onSide.value = false
  },
)
</script>

<template>
  <div class="screen photo">
    <AnswerState v-if="!view || !bar || !pictures" :error="unread" :what="$t('photo.this_dog')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <p class="soft small crumb">
            <RouterLink :to="back.path">{{ back.words }}</RouterLink> ·
            <RouterLink :to="`/dogs/${dogId}`"
              ><bdi>{{ view.dog.name }}</bdi></RouterLink
            >
          </p>
          <h1>
            {{ code }} <span class="soft words">{{ $t('photo.from_a_picture', { code: nailInWords(code) }) }}</span>
          </h1>
        </div>
        <div v-if="picture" class="aside choices" role="group" :aria-label="$t('photo.nail_2')">
          <button v-for="c in others" :key="c" type="button" :aria-pressed="c === code" @click="goTo(c)">
            {{ c }}<span v-if="taken.includes(c)"> ✓</span>
          </button>
        </div>
      </div>

      <PickPicture
        v-if="!picture"
        :paw="paw"
        :before="before"
        :pending="add.isPending.value"
        :error="add.error.value"
        @file="addFile"
        @open="open"
      />

      <div v-else class="columns">
        <PictureStage
          v-if="onSide && side.picture.value"
          :key="side.picture.value.id"
          v-model="active"
          :picture="{
            src: pictureOf(side.picture.value.hash),
            width: side.picture.value.width,
            height: side.picture.value.height,
          }"
          :alt="$t('photo.the_same_paw_and_card')"
          :handles="side.handles.value"
          :lines="side.lines.value"
          @move="side.move"
        />
        <PictureStage
          v-else
          v-model="active"
          :picture="{ src: pictureOf(picture.hash), width: picture.width, height: picture.height }"
          :alt="$t('photo.the_paw_with_the_card')"
          :handles="handles"
          :lines="lines"
          :grid="grid"
          @move="move"
        />
        <div class="side">
          <p v-if="put.reference === 'card'" class="small">
            {{
              $t('photo.they_belong_where_its_straight', {
                guessed: guessed ? $t('photo.the_four_squares_stand_where') : $t('photo.no_card_was_found_drag'),
              })
            }}
          </p>
          <p v-else class="small">{{ $t('photo.two_points_a_known_distance') }}</p>
          <div class="choices" role="group" :aria-label="$t('photo.of_known_size')">
            <button type="button" :aria-pressed="put.reference === 'card'" @click="put.reference = 'card'">
              {{ $t('photo.a_card') }}
            </button>
            <button type="button" :aria-pressed="put.reference === 'known'" @click="put.reference = 'known'">
              {{ $t('photo.two_points') }}
            </button>
            <label v-if="put.reference === 'known'" class="apart"
              >{{ $t('photo.apart') }}
              <BFormInput v-model="put.known" inputmode="decimal" autocomplete="off" />
              {{ length.symbol }}</label
            >
          </div>
          <template v-if="put.reference === 'card'">
            <div v-if="put.side" class="choices which" role="group" :aria-label="$t('photo.which_picture')">
              <button type="button" :aria-pressed="!onSide" @click="onSide = false">
                {{ $t('photo.first_picture') }}
              </button>
              <button type="button" :aria-pressed="onSide" @click="onSide = true">
                {{ $t('photo.from_the_side') }}
              </button>
              <button type="button" @click="unsettle">{{ $t('photo.without_it') }}</button>
            </div>
            <template v-else>
              <HeldChoice v-model="put.held" />
              <SideChoice :others="alsoTaken" :pending="add.isPending.value" @file="settleBy" @picture="settle" />
            </template>
          </template>
          <p v-if="!onSide" class="small points-title">{{ $t('photo.on_the_nail_coat_line') }}</p>
          <div v-if="!onSide" class="choices" role="group" :aria-label="$t('photo.also_seen')">
            <button
              v-for="(words, mark) in optional"
              :key="mark"
              type="button"
              :aria-pressed="put.marks[mark] !== undefined"
              @click="toggle(mark)"
            >
              {{ words }}
            </button>
          </div>

          <p v-if="missing" class="missing" role="status">{{ missing }}</p>
          <RefusalNote :error="(missing ? null : refused) ?? check.error.value" />
          <p v-if="untaken" class="untaken" role="alert">{{ untaken }}</p>
          <PhotoNumbers
            v-if="said && !refused && !missing"
            :said="said"
            :bar="bar"
            :drawn="put.reference === 'card' && !put.side"
          />
          <p v-if="!missing && target !== 'bench' && (said?.groove || said?.pink)" class="small soft">
            {{ $t('photo.where_the_quick_ends_is') }}
          </p>
          <div
            v-if="target === 'record' || target === 'bench'"
            class="choices"
            role="group"
            :aria-label="$t('photo.this_was')"
          >
            <button
              v-for="w in ['before', 'after'] as const"
              :key="w"
              type="button"
              :aria-pressed="when === w"
              @click="when = w"
            >
              {{ $t('photo.the_cut', { w }) }}
            </button>
          </div>
          <div class="ways">
            <BButton
              variant="go"
              class="btn-big"
              :disabled="missing !== '' || refused !== null || check.isPending.value"
              @click="take"
              >{{ $t('photo.use_these_for', { code }) }}</BButton
            >
            <BButton variant="plain" @click="open()">{{ $t('photo.another_picture') }}</BButton>
            <RouterLink v-if="taken.length > 0" :to="back.path" class="btn btn-plain">{{
              $t('photo.back_to', { back: back.words })
            }}</RouterLink>
          </div>
          <p v-if="taken.includes(code)" class="took" role="status">
            {{ $t('photo.taken_for_the_corners_stay', { code }) }}
          </p>
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  gap: 1.5rem 2rem;
  grid-template-columns: minmax(0, 1.7fr) minmax(0, 1fr);
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  margin-top: 1rem;
}
.side .choices {
  align-items: center;
}
.apart {
  align-items: center;
  display: flex;
  gap: 0.4rem;
}
.apart .form-control {
  width: 5rem;
}
.which {
  margin-block: 0.5rem;
}
.side p {
  margin: 0 0 0.4rem;
}
.points-title {
  margin-top: 0.75rem !important;
}
.missing {
  font-size: 1.125rem;
  font-weight: 600;
  margin-block: 0.75rem !important;
}
.took {
  border-left: var(--bar) solid var(--go);
  margin-top: 0.75rem !important;
  padding-left: 0.75rem;
}
.untaken {
  border-left: var(--bar) solid var(--caution-edge);
  padding-left: 0.75rem;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
  .words {
    display: none;
  }
}
</style>
