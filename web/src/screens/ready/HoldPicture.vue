<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { positions, pawWords } from '../../words'
import { head, poses } from './holds'

/**
 * How one paw is held: the held leg drawn in its natural line, a ring where the fingers hold the toe, the cutter on the
 * side of its hand.
 */
const props = defineProps<{ hold: Schemas['Hold'] }>()
const pose = computed(() => poses[props.hold.position])
const hind = computed(() => props.hold.paw.endsWith('H'))
const leg = computed(() => (hind.value ? pose.value.hind : pose.value.fore))
const foot = computed(() => {
  const [x = 0, y = 0] = leg.value.split(/[ML]/).pop()!.trim().split(/\s+/).map(Number)
  return { x, y }
})
/** The held leg is not drawn twice: of each pair the nearer one is lifted. */
const legs = computed(() => {
  const pairs = pose.value.legs.length / 2
  return pose.value.legs.filter((_, i) => i !== (hind.value ? pairs : 0))
})
const mirrored = computed(() => props.hold.paw.startsWith('L'))
/** The cutter comes from the side of the hand that holds it, whichever way the dog is turned. */
const cutter = computed(() => {
  const x = mirrored.value ? 120 - foot.value.x : foot.value.x
  const { y } = foot.value
  const [far, near] = props.hold.left_handed ? [x - 24, x - 8] : [x + 24, x + 8]
  return `M${far} ${y + 2} L${near} ${y - 3} M${far} ${y - 2} L${near} ${y + 4}`
})
</script>

<template>
  <svg
    viewBox="0 0 120 80"
    class="hold"
    role="img"
    :aria-label="
      $t('ready.the_cutter_in_the_hand', {
        paw: pawWords[hold.paw],
        position: positions[hold.position],
        left_handed: hold.left_handed ? $t('ready.left') : $t('ready.right'),
      })
    "
  >
    <g :transform="mirrored ? 'translate(120 0) scale(-1 1)' : undefined">
      <path :d="pose.ground" class="ground" />
      <path :d="pose.body" class="body" />
      <path :d="head" :transform="`translate(${pose.head[0]} ${pose.head[1]}) rotate(${pose.head[2]})`" class="body" />
      <path v-for="d in legs" :key="d" :d="d" class="leg" />
      <path :d="leg" class="held" />
      <circle :cx="foot.x" :cy="foot.y" r="5.5" class="fingers" />
    </g>
    <path :d="cutter" class="cutter" />
  </svg>
</template>

<style scoped>
.hold {
  display: block;
  height: auto;
  width: 132px;
}
path,
circle {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
  stroke-width: 2;
}
.ground {
  stroke: var(--line-strong);
  stroke-width: 1.5;
}
.body {
  fill: var(--toe);
  stroke: var(--ink-soft);
}
.leg {
  stroke: var(--ink-soft);
  stroke-width: 3;
}
.held {
  stroke: var(--go);
  stroke-width: 4.5;
}
.cutter {
  stroke: var(--ink);
}
.fingers {
  stroke: var(--ink);
  stroke-dasharray: 3 2.5;
}
</style>
