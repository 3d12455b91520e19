<script setup lang="ts">
import type { Schemas } from '../../api/client'

/** The fresh end of a nail, head-on. */
defineProps<{ face: Schemas['Face'] | undefined; light: boolean }>()
</script>

<template>
  <svg viewBox="-22 -22 44 44" :class="['face', { light }]" aria-hidden="true">
    <circle r="20" class="horn" />
    <g v-if="face === 'white'"><path d="M-12 -4 l6 -4 M-2 7 l8 -3 M4 -9 l7 3 M-10 8 l5 1" class="flake" /></g>
    <circle v-else-if="face === 'grey'" r="14" class="grey" />
    <circle v-else-if="face === 'dark_centre'" r="9" class="dark" />
    <g v-else-if="face === 'dot'">
      <circle r="17" class="dark" />
      <circle r="3.5" class="moist" />
    </g>
    <circle v-else-if="face === 'blush'" r="13" class="blush" />
    <g v-else-if="face === 'pink_dot'">
      <circle r="14" class="blush" />
      <circle r="4.5" class="pink" />
    </g>
    <g v-else-if="face === 'blood'">
      <circle r="16" class="blood" />
      <path d="M0 -10 C5 -3 7 1 7 4 A7 7 0 0 1 -7 4 C-7 1 -5 -3 0 -10 Z" class="drop" />
    </g>
    <path v-else d="M-8 0 h16" class="none" />
  </svg>
</template>

<style scoped>
.face {
  display: block;
  height: 52px;
  width: 52px;
}
.horn {
  fill: #cfc7b6;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.light .horn {
  fill: #f3e9d4;
}
.flake,
.none {
  fill: none;
  stroke: #6b6557;
  stroke-linecap: round;
  stroke-width: 1.8;
}
.grey {
  fill: #8d8a84;
}
.dark {
  fill: #1d1b1a;
}
.moist {
  fill: #f7f4ee;
  stroke: #b9a;
}
.blush {
  fill: #e6b7a6;
}
.pink {
  fill: #c9405e;
}
.blood {
  fill: #8e2a45;
}
.drop {
  fill: #f3d6d9;
}
</style>
