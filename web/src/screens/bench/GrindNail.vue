<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, useTemplateRef } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { useUnits } from '../../units'
import { faces, stopSigns } from '../../words'
import FacePicture from './FacePicture.vue'
import NailUnderHands from './NailUnderHands.vue'
import TouchClock from './TouchClock.vue'

/** A nail by touches of the grinder, in three passes; a look at the end after each. */
const props = defineProps<{ bench: Schemas['Bench']; nail: Schemas['BenchNail']; reckoning: boolean }>()
const emit = defineEmits<{ touch: [pass: Schemas['Pass'] | undefined]; face: [face: Schemas['Face']]; smooth: [] }>()
const { length } = useUnits()
const clock = useTemplateRef('clock')
const last = computed(() => props.nail.cuts[props.nail.cuts.length - 1])
const stop = computed(() => props.nail.asks === 'smooth' || props.nail.asks === undefined)
function next() {
  if (stop.value) emit('smooth')
  else clock.value?.touch()
}
defineExpose({
  next,
  touch: () => clock.value?.touch(),
  nextPass: () => clock.value?.nextPass(),
  answer: (place: number) => props.nail.faces[place] && last.value && emit('face', props.nail.faces[place]),
})
</script>

<template>
  <div class="grind">
    <NailUnderHands :nail="nail" />
    <p class="say">
      {{ reckoning ? $t('bench.working_it_out') : nail.advice.because }}.<template v-if="nail.advice.chance && !stop"
        >{{ ' ' }}<strong class="chance">{{ nail.advice.chance }}</strong> {{ $t('bench.to_bleed') }}</template
      >
      {{ $t('bench.stop_at', { stop_at: stopSigns[nail.stop_at] }) }}
    </p>
    <TouchClock
      ref="clock"
      :key="`clock ${nail.code}`"
      :touches="nail.cuts.filter(c => c.touch).length"
      :seconds="bench.contact_seconds"
      :cooling="bench.cooling_seconds"
      :passes="bench.passes"
      :speed="bench.speed"
      @touch="emit('touch', $event)"
    />
    <BButton v-if="stop" variant="go" class="next" @click="next"
      >{{ nail.cuts.length > 0 ? $t('bench.smooth_done') : $t('bench.leave_it') }}
      <kbd>{{ $t('bench.space') }}</kbd></BButton
    >
    <p v-else class="soft small">{{ $t('bench.about_a_touch_with_this', { touch: length.show(bench.touch_mm) }) }}</p>
    <div
      v-if="last"
      :class="['faces', { both: nail.faces.length > 5 }]"
      role="group"
      :aria-label="$t('bench.what_the_cut_end_shows')"
    >
      <button
        v-for="(f, i) in nail.faces"
        :key="f"
        type="button"
        :aria-pressed="last.face === f"
        @click="emit('face', f)"
      >
        <FacePicture :face="f" :light="nail.colour === 'light' || f === 'blush' || f === 'pink_dot'" /><span>{{
          faces[f]
        }}</span
        ><kbd>{{ i + 1 }}</kbd>
      </button>
    </div>
  </div>
</template>

<style scoped>
.say {
  font-size: 1.125rem;
  margin: 0.35rem 0;
}
.say::first-letter {
  text-transform: uppercase;
}
.next {
  font-size: 1.5rem;
  margin-top: 0.5rem;
  min-height: 84px;
  width: 100%;
}
.faces {
  display: grid;
  gap: 0.4rem;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  margin-top: 0.5rem;
}
.faces button {
  align-items: center;
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  color: var(--ink);
  display: flex;
  flex-direction: column;
  gap: 0.2rem;
  line-height: 1.15;
  min-height: 72px;
  padding: 0.4rem 0.2rem;
}
.faces.both {
  grid-template-columns: repeat(7, minmax(0, 1fr));
}
.faces button[aria-pressed='true'] {
  background: var(--sunk);
  box-shadow: inset 0 -4px 0 var(--go);
  font-weight: 650;
}

@media (max-width: 900px) {
  .faces {
    gap: 0.25rem;
  }
  .faces.both {
    grid-template-columns: repeat(4, minmax(0, 1fr));
  }
  .faces button {
    font-size: var(--small);
  }
}
</style>
