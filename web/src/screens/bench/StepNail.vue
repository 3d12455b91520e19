<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { useUnits } from '../../units'
import { asks, colours, faces, stopSigns } from '../../words'
import EndPicture from './EndPicture.vue'
import FacePicture from './FacePicture.vue'
import NailUnderHands from './NailUnderHands.vue'

/** One question at a time, in the order in which a practised hand thinks. */
const props = defineProps<{ dogId: string; sittingId: string; nail: Schemas['BenchNail']; reckoning: boolean }>()
const emit = defineEmits<{
  colour: [colour: Schemas['Colour']]
  landmark: [mark: Schemas['Landmark'], mm: number]
  unclear: []
  cut: [mm: number]
  face: [face: Schemas['Face']]
  smooth: []
}>()
const { length } = useUnits()
const ask = computed(() => props.nail.asks)
const light = computed(() => props.nail.colour === 'light')
/** Where the mark stands on the drawn nail, mm from the tip. */
const mark = ref(0)
const likely = computed(() => props.nail.landmark_mm[1]!)
watch([() => props.nail.code, ask, likely], () => (mark.value = likely.value), { immediate: true })
const pickable = ['dark', 'light', 'mixed'] as Schemas['Colour'][]
/** What a press of the one large button, the space bar or the pedal does. */
function next() {
  if (props.reckoning) return
  if (ask.value === 'sliver') emit('cut', props.nail.advice.cut_mm)
  if (ask.value === 'smooth') emit('smooth')
  if (ask.value === 'landmark') emit('landmark', props.nail.landmark, mark.value)
}
/** A number key: the answer that stands in that place. */
function answer(place: number) {
  if (props.reckoning) return
  if (ask.value === 'colour' && pickable[place]) emit('colour', pickable[place])
  if (ask.value === 'landmark' && props.nail.landmark_mm[place] !== undefined)
    emit('landmark', props.nail.landmark, props.nail.landmark_mm[place])
  if (ask.value === 'face' && props.nail.faces[place]) emit('face', props.nail.faces[place])
}
defineExpose({ next, answer })
const pictures = [$t('bench.near_the_tip'), $t('bench.in_between'), $t('bench.far_back')]
</script>

<template>
  <div class="steps" aria-live="polite">
    <p v-if="reckoning" class="soft">{{ $t('bench.working_it_out_2') }}</p>
    <h2 v-if="ask" class="ask">
      {{
        ask === 'landmark'
          ? $t('bench.seen_from_the_tip', {
              light: light ? $t('bench.where_does_the_pink_end') : $t('bench.where_does_the_groove_end'),
            })
          : asks[ask]
      }}
    </h2>
    <template v-if="ask === 'colour'">
      <div class="answers three">
        <button v-for="(c, i) in pickable" :key="c" type="button" @click="emit('colour', c)">
          <span :class="['chip', c]" />{{ colours[c] }}<kbd>{{ i + 1 }}</kbd>
        </button>
      </div>
      <BButton variant="plain" class="pass" @click="emit('colour', 'unknown')">{{ $t('bench.cannot_tell') }}</BButton>
    </template>
    <template v-else-if="ask === 'landmark'">
      <NailUnderHands :nail="nail" :mark="mark" @mark="mark = $event" />
      <p class="soft small">
        {{
          $t('bench.drag_the_mark_there', {
            light: light ? $t('bench.hold_a_light_behind_it') : $t('bench.look_from_below_the_groove'),
          })
        }}
      </p>
      <BButton variant="go" class="next" :disabled="reckoning" @click="next"
        >{{ $t('bench.here_from_the_tip', { mark: length.show(mark) }) }} <kbd>{{ $t('bench.space') }}</kbd></BButton
      >
      <div class="answers three">
        <button
          v-for="(mm, i) in nail.landmark_mm"
          :key="mm"
          type="button"
          @click="emit('landmark', nail.landmark, mm)"
        >
          <strong>{{ length.show(mm) }}</strong>{{ pictures[i] }}<kbd>{{ i + 1 }}</kbd>
        </button>
      </div>
      <BButton variant="plain" class="pass" @click="emit('unclear')">{{ $t('bench.cannot_tell') }}</BButton>
    </template>
    <template v-else-if="ask === 'sliver'">
      <NailUnderHands :nail="nail" />
      <p class="say">
        {{ nail.advice.because }}.<template v-if="nail.advice.chance"
          >{{ ' ' }}<strong class="chance">{{ nail.advice.chance }}</strong> {{ $t('bench.to_bleed') }}</template
        >
        {{ $t('bench.stop_at', { stop_at: stopSigns[nail.stop_at] }) }}
      </p>
      <BButton variant="go" class="next" :disabled="reckoning" @click="next"
        >{{
          $t('bench.look', {
            action: nail.advice.action === 'touch' ? $t('bench.touch') : $t('bench.cut'),
            cut: length.show(nail.advice.cut_mm),
          })
        }}
        <kbd>{{ $t('bench.space') }}</kbd></BButton
      >
    </template>
    <div v-else-if="ask === 'face'" class="answers faces" role="group" :aria-label="$t('bench.what_the_end_shows')">
      <button
        v-for="(f, i) in nail.faces"
        :key="f"
        type="button"
        :class="{ sign: f === nail.stop_at }"
        @click="emit('face', f)"
      >
        <FacePicture :face="f" :light="light || f === 'blush' || f === 'pink_dot'" />{{ faces[f]
        }}<kbd>{{ i + 1 }}</kbd>
      </button>
    </div>
    <template v-else-if="ask === 'smooth'">
      <NailUnderHands :nail="nail" />
      <p class="say">{{ nail.advice.because }}.</p>
      <BButton variant="go" class="next" :disabled="reckoning" @click="next"
        >{{ $t('bench.smooth_done') }} <kbd>{{ $t('bench.space') }}</kbd></BButton
      >
      <BButton
        v-if="nail.advice.kind === 'leave' && nail.advice.cut_mm > 0"
        variant="plain"
        class="pass"
        @click="emit('cut', nail.advice.cut_mm)"
        >{{ $t('bench.take_all_the_same_2', { cut: length.show(nail.advice.cut_mm) }) }}</BButton
      >
    </template>
    <EndPicture
      v-if="nail.cuts.length > 0 && !nail.blood && (ask === 'face' || ask === 'sliver')"
      :dog-id="dogId"
      :sitting-id="sittingId"
      :nail="nail"
    />
  </div>
</template>

<style scoped>
.ask {
  font-size: 1.5rem;
  margin: 0.25rem 0 0.5rem;
}
.say {
  font-size: 1.125rem;
  margin: 0.35rem 0 0.5rem;
}
.say::first-letter {
  text-transform: uppercase;
}
.answers {
  display: grid;
  gap: 0.5rem;
  margin-block: 0.5rem;
}
.three {
  grid-template-columns: repeat(3, minmax(0, 1fr));
}
.faces {
  grid-template-columns: repeat(auto-fit, minmax(8.5rem, 1fr));
}
.answers button {
  align-items: center;
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  color: var(--ink);
  display: flex;
  flex-direction: column;
  font-size: 1.125rem;
  gap: 0.3rem;
  justify-content: center;
  line-height: 1.2;
  min-height: 104px;
  padding: 0.6rem 0.3rem;
}
.faces :deep(svg) {
  height: 76px;
  width: 76px;
}
.answers .sign {
  border: 3px solid var(--go);
  font-weight: 650;
}
.next {
  font-size: 1.5rem;
  min-height: 84px;
  width: 100%;
}
.pass {
  margin-top: 0.25rem;
  min-height: 64px;
  width: 100%;
}
.chip {
  border: 1.5px solid var(--ink);
  display: inline-block;
  height: 40px;
  width: 40px;
}
.chip.dark {
  background: #14181b;
}
.chip.light {
  background: #f4e9d6;
}
.chip.mixed {
  background: linear-gradient(135deg, #14181b 50%, #f4e9d6 50%);
}
</style>
