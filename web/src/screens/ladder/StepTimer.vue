<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'

/** The clock of a step: one try, or rounds of a sound that comes and goes. */
const props = defineProps<{ step: Schemas['LadderStep'] }>()
const began = ref<number>()
const now = ref(0)
const ticking = useIntervalFn(
  () => {
    now.value = Date.now()
    if (gone.value >= whole.value) ticking.pause()
  },
  100,
  { immediate: false },
)

const length = computed(() =>
  props.step.sound ? props.step.sound.on_seconds + props.step.sound.rest_seconds : props.step.seconds,
)
const whole = computed(() => length.value * (props.step.sound?.rounds ?? 1))
const gone = computed(() => (began.value === undefined ? 0 : Math.min(whole.value, (now.value - began.value) / 1000)))
const round = computed(() => Math.min(props.step.sound?.rounds ?? 1, Math.floor(gone.value / length.value) + 1))
const within = computed(() => gone.value - (round.value - 1) * length.value)
const on = computed(() => !props.step.sound || within.value < props.step.sound.on_seconds)
const left = computed(() =>
  Math.ceil((on.value && props.step.sound ? props.step.sound.on_seconds : length.value) - within.value),
)
const running = computed(() => began.value !== undefined && gone.value < whole.value)
const says = computed(() => {
  if (began.value === undefined)
    return props.step.sound
      ? $t('ladder.rounds_sound_s_rest_s', {
          rounds: props.step.sound.rounds,
          on_seconds: props.step.sound.on_seconds,
          rest_seconds: props.step.sound.rest_seconds,
        })
      : $t('ladder.seconds_a_try', { seconds: props.step.seconds })
  if (!running.value) return $t('ladder.done_the_word_the_treat')
  if (!props.step.sound) return $t('ladder.hold')
  return $t('ladder.round_of', {
    round: round.value,
    rounds: props.step.sound.rounds,
    on: on.value ? $t('ladder.sound_on_treat') : $t('ladder.sound_off_rest'),
  })
})

function toggle() {
  if (running.value) return stop()
  began.value = now.value = Date.now()
  ticking.resume()
}
function stop() {
  ticking.pause()
  began.value = undefined
}
watch(() => props.step.words, stop)
defineExpose({ toggle })
</script>

<template>
  <div :class="['timer', { on: running && on }]">
    <span class="count" aria-hidden="true">{{ running ? left : '' }}</span>
    <span class="says" aria-live="polite">{{ says }}</span>
    <BButton variant="plain" @click="toggle"
      >{{ running ? $t('ladder.stop') : $t('ladder.timer') }} <kbd>T</kbd></BButton
    >
  </div>
</template>

<style scoped>
.timer {
  align-items: center;
  border: 1px solid var(--line-strong);
  display: flex;
  gap: 0.9rem;
  margin-block: 0.75rem;
  padding: 0.4rem 0.4rem 0.4rem 0.9rem;
}
.timer.on {
  border-left: calc(var(--bar) * 2) solid var(--go);
}
.count {
  font-size: 1.75rem;
  font-weight: 700;
  min-width: 2.2rem;
}
.count:empty {
  display: none;
}
.says {
  flex: 1;
}
</style>
