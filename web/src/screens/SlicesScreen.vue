<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import type { Schemas } from '../api/client'
import { useFindCard, useForgetSlices, useKeepSlices, useReadSlices, useSlices, useTakeStandIn } from '../api/slices'
import { dayOf } from '../dates'
import { $t } from '../i18n'
import { useOften } from '../local/later'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import { useUnits } from '../units'
import PictureStage, { type Handle } from './photo/PictureStage.vue'
import OverTime from './slices/OverTime.vue'
import StickHolding from './slices/StickHolding.vue'

/** How thick the user's own slices come out: ten off a stick, one picture, two points on each. */
const { length } = useUnits()
const { data: known, error: unread, refetch } = useSlices()
const find = useFindCard()
const standIn = useTakeStandIn()
const keep = useKeepSlices()
const forget = useForgetSlices()

type Spot = [number, number]
const meant = ref(1)
const again = ref(false)
const picture = shallowRef<{ src: string; width: number; height: number }>()
const guessed = ref(false)
const card = ref<Spot[]>([])
const spots = ref<Spot[]>([]) // two for each slice, one after the other
const moved = ref<string[]>([])
const active = ref<string>()
const asked = 5

function close() {
  if (picture.value) URL.revokeObjectURL(picture.value.src)
  picture.value = undefined
}
onBeforeUnmount(close)
async function open(file: Blob) {
  try {
    const found = await find.mutateAsync(file)
    close()
    const at = (x: number, y: number): Spot => [found.width * x, found.height * y]
    guessed.value = found.corners.length === 4
    card.value = guessed.value
      ? (found.corners as Spot[])
      : [at(0.25, 0.15), at(0.75, 0.15), at(0.75, 0.6), at(0.25, 0.6)]
    spots.value = []
    moved.value = []
    active.value = undefined
    picture.value = { src: URL.createObjectURL(file), width: found.width, height: found.height }
  } catch {
    // the screen says why
  }
}
function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file) void open(file)
  input.value = ''
}
const simulated = () => standIn.mutate(undefined, { onSuccess: file => void open(file) })

const corners = [
  $t('slices.first_corner'),
  $t('slices.second_corner'),
  $t('slices.third_corner'),
  $t('slices.fourth_corner'),
]
const handles = computed<Handle[]>(() => [
  ...card.value.map(([x, y], i) => ({ key: `card${i}`, label: corners[i]!, x, y, corner: true })),
  ...spots.value.map(([x, y], i) => ({
    key: `slice${i}`,
    label: $t('slices.slice_side', { i: Math.floor(i / 2) + 1, i2: i % 2 ? $t('slices.other') : $t('slices.one') }),
    x,
    y,
  })),
])
const pairs = computed(() =>
  Array.from({ length: Math.floor(spots.value.length / 2) }, (_, i) => spots.value.slice(2 * i, 2 * i + 2)),
)
const lines = computed<Spot[][]>(() => [[...card.value, ...card.value.slice(0, 1)], ...pairs.value])
function move(key: string, x: number, y: number) {
  if (!moved.value.includes(key)) moved.value.push(key)
  const at = Number(/\d+$/.exec(key)![0])
  if (key.startsWith('card')) card.value[at] = [x, y]
  else spots.value[at] = [x, y]
}
/** A press on the picture is a face; the second one ends its slice. */
function press(x: number, y: number) {
  spots.value.push([x, y])
  active.value = `slice${spots.value.length - 1}`
}
/** The same without a pointer: a slice in the middle, to be moved with the arrow keys. */
function addOne() {
  const { width, height } = picture.value!
  if (spots.value.length % 2 === 0) press(width / 2, height * 0.75)
  press(width / 2 + width / 60, height * 0.75)
}
const removeLast = () => spots.value.splice(spots.value.length - (spots.value.length % 2 || 2))

const missing = computed(() => {
  if (!guessed.value && corners.some((_, i) => !moved.value.includes(`card${i}`)))
    return $t('slices.drag_the_four_squares_to')
  if (spots.value.length % 2) return $t('slices.now_press_the_other_side', { n: pairs.value.length + 1 })
  const more = asked - pairs.value.length
  return more > 0
    ? $t('slices.press_both_sides_of_each', {
        more:
          more === asked
            ? $t('slices.at_least_five_slices_ten')
            : $t('slices.more_at_least', { more, more2: $t('slices.slice_slices', more) }),
      })
    : ''
})
const wanted = computed<Schemas['SlicesInput'] | undefined>(() => {
  const p = picture.value
  return p && !missing.value
    ? { width: p.width, height: p.height, handles: card.value, meant_mm: meant.value, slices: pairs.value }
    : undefined
})
const settled = useOften(wanted, 120)
const { data: said, error: refused } = useReadSlices(settled)
const use = () =>
  wanted.value &&
  keep.mutate(wanted.value, {
    onSuccess: () => {
      close()
      again.value = false
    },
  })
const range = (n: Schemas['PhotoNumber']) => length.value.show(n.mm)
</script>

<template>
  <div class="screen slices">
    <AnswerState v-if="!known" :error="unread" :what="$t('slices.your_hand')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <p class="soft small crumb">
            <RouterLink to="/settings">{{ $t('slices.settings') }}</RouterLink>
          </p>
          <h1>{{ $t('slices.how_thick_you_cut') }}</h1>
        </div>
      </div>

      <section v-if="known.learnt && !picture && !again" :aria-label="$t('slices.what_is_known')">
        <p v-for="line in known.learnt.says" :key="line.key" class="said">{{ line.says }}</p>
        <p class="small soft">
          {{ $t('slices.slices_measured_on_nine_times', { count: known.learnt.count, on: dayOf(known.on!) }) }}
        </p>
        <div class="ways">
          <BButton variant="plain" @click="again = true">{{ $t('slices.measure_again') }}</BButton>{{ ' '
          }}<BButton variant="plain" :disabled="forget.isPending.value" @click="forget.mutate(known.id!)">{{
            $t('slices.forget_it')
          }}</BButton>
        </div>
        <RefusalNote :error="forget.error.value" />
        <OverTime v-if="(known.all?.length ?? 0) > 1" :all="known.all!" />
      </section>

      <template v-else-if="!picture">
        <p class="lead">{{ $t('slices.not_every_1_mm_is', { thick: length.show(1) }) }}</p>
        <div class="columns even">
          <StickHolding />
          <div>
            <p class="title">{{ $t('slices.each_slice_was_to_be') }}</p>
            <div class="choices" role="group" :aria-label="$t('slices.each_slice_was_to_be')">
              <button
                v-for="mm in [0.5, 1, 2]"
                :key="mm"
                type="button"
                :aria-pressed="meant === mm"
                @click="meant = mm"
              >
                {{ length.show(mm) }}
              </button>
            </div>
            <p class="small">{{ $t('slices.stand_them_on_their_sides') }}</p>
          </div>
        </div>
        <div class="ways">
          <label class="btn btn-go btn-big"
            >{{ find.isPending.value ? $t('slices.looking_at_it') : $t('slices.take_a_picture')
            }}<input
              type="file"
              accept="image/*"
              capture="environment"
              class="visually-hidden"
              :disabled="find.isPending.value"
              @change="choose"
          /></label>
          <label class="btn btn-plain btn-big"
            >{{ $t('slices.choose_one')
            }}<input
              id="stick-file"
              type="file"
              accept="image/jpeg,image/png,image/webp"
              class="visually-hidden"
              :disabled="find.isPending.value"
              @change="choose"
          /></label>
          <BButton
            v-if="known.stand_in"
            variant="plain"
            class="btn-big"
            :disabled="standIn.isPending.value"
            @click="simulated"
            >{{ $t('slices.let_the_simulated_camera_take') }}</BButton
          >
        </div>
        <RefusalNote :error="find.error.value ?? standIn.error.value" />
      </template>

      <div v-else class="columns">
        <PictureStage
          v-model="active"
          :picture="picture"
          :alt="$t('slices.slices_beside_a_card')"
          :handles="handles"
          :lines="lines"
          pressed
          :pending="spots.length % 2 === 1"
          @move="move"
          @press="press"
        />
        <div class="side">
          <p class="small">
            {{
              $t('slices.they_belong_where_its_straight', {
                guessed: guessed ? $t('slices.the_four_squares_stand_where') : $t('slices.no_card_was_found_drag'),
              })
            }}
          </p>
          <p v-if="missing" class="missing" role="status">{{ missing }}</p>
          <RefusalNote :error="missing ? null : (refused ?? keep.error.value)" />
          <div v-if="said && !refused && !missing" aria-live="polite">
            <p v-for="line in said.learnt.says" :key="line.key" class="said">{{ line.says }}</p>
            <ol class="thick small">
              <li v-for="(n, i) in said.slices" :key="i">{{ range(n) }}</li>
            </ol>
          </div>
          <div class="ways">
            <BButton
              variant="go"
              class="btn-big"
              :disabled="missing !== '' || !said || refused !== null || keep.isPending.value"
              @click="use"
              >{{ $t('slices.use_these') }}</BButton
            >
            <BButton variant="plain" @click="addOne">{{ $t('slices.add_a_slice') }}</BButton>
            <BButton variant="plain" :disabled="spots.length === 0" @click="removeLast">{{
              $t('slices.remove_the_last')
            }}</BButton>
            <BButton variant="plain" @click="close">{{ $t('slices.another_picture') }}</BButton>
          </div>
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
.columns.even {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  margin-top: 1rem;
  max-width: 60rem;
}
.title {
  font-weight: 600;
  margin: 0 0 0.4rem;
}
.title ~ p {
  margin-top: 0.75rem;
}
.ways > .btn {
  align-items: center;
  display: inline-flex;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  margin-top: 1rem;
}
.side p {
  margin: 0 0 0.5rem;
}
.said {
  font-size: 1.125rem;
  margin: 0 0 0.4rem;
  max-width: 40rem;
}
.missing {
  font-size: 1.125rem;
  font-weight: 600;
  margin-block: 0.75rem !important;
}
.thick {
  columns: 2;
  margin: 0.5rem 0;
  padding-left: 1.6rem;
}
@media (max-width: 900px) {
  .columns,
  .columns.even {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
