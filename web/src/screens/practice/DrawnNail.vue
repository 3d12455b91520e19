<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { at, lineOf, pathOf, toeOf } from '../../nail/geometry'

/** A drawn nail from the side, with where the blade would go; its quick once it is done. */
const props = defineProps<{ nail: Schemas['PracticeGame']; blade?: Schemas['PracticeBlade']; moves?: boolean }>()
/** A dog that moves draws its paw back and forth under the blade while one waits, mm. */
const shift = ref(0)
useIntervalFn(
  () => (shift.value = props.moves ? shift.value - Math.sign(shift.value || 1) * (0.5 + Math.random()) : 0),
  1200,
)
const box = computed(() => {
  const xs = props.nail.whole.map(p => at(p).x)
  const zs = props.nail.whole.map(p => -at(p).y)
  const left = Math.min(...xs) - 5
  const top = Math.max(...zs) + 2
  return { left, top: -top, width: Math.max(...xs) + 6 - left, height: top - Math.min(...zs) + 2 }
})
</script>

<template>
  <svg
    :viewBox="`${box.left} ${box.top} ${box.width} ${box.height}`"
    :class="['drawn', nail.colour]"
    role="img"
    :aria-label="nail.over ? $t('practice.the_nail_from_the_side') : $t('practice.the_nail_from_the_side_2')"
  >
    <g class="paw" :style="{ transform: `translateX(${moves ? shift : 0}px)` }">
      <path class="toe" :d="toeOf(nail.outline, box.left)" />
      <path class="off" :d="pathOf(nail.whole)" />
      <path class="horn" :d="pathOf(nail.outline)" />
      <path v-if="nail.quick" class="quick" :d="pathOf(nail.quick)" />
      <path class="edge" :d="pathOf(nail.outline)" />
    </g>
    <template v-if="blade">
      <line v-for="c in ['under', 'blade']" :key="c" :class="c" v-bind="lineOf(...blade.line)" />
    </template>
  </svg>
</template>

<style scoped>
.drawn {
  display: block;
  height: auto;
  max-height: 50vh;
  width: 100%;
}
@media (prefers-reduced-motion: no-preference) {
  .paw {
    transition: transform 0.25s ease-in-out;
  }
}
path,
line {
  vector-effect: non-scaling-stroke;
}
.toe {
  fill: var(--toe);
}
.dark .horn {
  fill: #57504a;
}
.light .horn {
  fill: #eadcc2;
}
.quick {
  fill: var(--quick);
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.off {
  fill: none;
  stroke: var(--ink-soft);
  stroke-dasharray: 3 3;
}
.under {
  stroke: var(--paper);
  stroke-width: 7;
}
.blade {
  stroke: var(--go);
  stroke-width: 3;
}
</style>
