<script setup lang="ts">
import type { Schemas } from '../api/client'

/** A small drawing of a nail's run seen from the side. */
defineProps<{ shape: Schemas['Shape'] }>()
const runs: Record<Schemas['Shape'], string> = {
  straight: 'M3 6Q18 8 33 17L31 20Q16 16 3 17Z',
  usual: 'M3 5Q24 5 33 20L29 22Q20 14 3 16Z',
  hooked: 'M3 4Q29 3 31 24L27 24Q24 12 3 15Z',
  curled: 'M3 4Q31 2 30 18Q28 29 17 25L18 22Q25 24 25 17Q24 10 3 14Z',
}
</script>

<template>
  <svg viewBox="0 0 36 30" width="44" height="36" aria-hidden="true"><path :d="runs[shape]" /></svg>
</template>

<style scoped>
path {
  fill: var(--spare-ground);
  stroke: currentcolor;
  stroke-width: 1.5;
}
</style>
