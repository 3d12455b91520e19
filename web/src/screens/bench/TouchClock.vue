<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { decimal } from '../../i18n/language'

/** Counts a grinder's touches and counts down how long it may stay on the nail; then a rest to cool. */
const props = defineProps<{
  touches: number
  seconds: number
  cooling: number
  passes: Schemas['PassWords'][]
  speed?: Schemas['Speed']
}>()
const emit = defineEmits<{ touch: [pass: Schemas['Pass'] | undefined] }>()
const began = ref<number>()
const now = ref(0)
useIntervalFn(() => (now.value = Date.now()), 100)
const gone = computed(() => (began.value === undefined ? undefined : (now.value - began.value) / 1000))
const left = computed(() => (gone.value === undefined ? props.seconds : Math.max(0, props.seconds - gone.value)))
const says = computed(() => {
  if (gone.value === undefined)
    return $t('bench.at_most_s_on_the', {
      seconds: props.seconds,
      speed: props.speed ? $t('bench.speed', { speed: props.speed }) : '',
    })
  if (left.value > 0) return $t('bench.on_the_nail')
  return gone.value < props.seconds + props.cooling
    ? $t('bench.lift_look_let_it_cool')
    : $t('bench.ready_for_the_next_touch')
})
/** Where round the nail the work is: a press goes on to the next pass. */
const pass = ref(0)
function touch() {
  began.value = now.value = Date.now()
  emit('touch', props.passes[pass.value]?.pass)
}
const nextPass = () => (pass.value = (pass.value + 1) % Math.max(1, props.passes.length))
defineExpose({ touch, nextPass })
</script>

<template>
  <div :class="['clock', { hot: gone !== undefined && left === 0 && gone < seconds + cooling }]">
    <span class="left" aria-hidden="true">{{ decimal(left, 1) }}</span>
    <span class="says" aria-live="polite">{{ touches }} {{ $t('bench.touch_touches', touches) }} · {{ says }}</span>
    <BButton variant="plain" class="btn-big" @click="touch">{{ $t('bench.touch') }} <kbd>T</kbd></BButton>
  </div>
  <div class="choices passes" role="group" :aria-label="$t('bench.where_round_the_nail')">
    <button v-for="(p, i) in passes" :key="p.pass" type="button" :aria-pressed="pass === i" @click="pass = i">
      {{ i + 1 }}. {{ p.words }}
    </button>
  </div>
</template>

<style scoped>
.clock {
  align-items: center;
  border: 1px solid var(--line-strong);
  display: flex;
  gap: 0.75rem;
  margin-top: 0.5rem;
  padding: 0.3rem 0.3rem 0.3rem 0.8rem;
}
.clock.hot {
  border-left: calc(var(--bar) * 2) solid var(--caution-edge);
}
.left {
  font-size: 1.5rem;
  font-weight: 700;
  min-width: 2.6rem;
}
.says {
  flex: 1;
}
.passes {
  margin-top: 0.4rem;
}
</style>
