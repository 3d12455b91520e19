<script setup lang="ts">
import add from 'bootstrap-icons/icons/plus-lg.svg'
import back from 'bootstrap-icons/icons/arrow-left.svg'
import caution from 'bootstrap-icons/icons/exclamation-triangle.svg'
import blood from 'bootstrap-icons/icons/droplet-fill.svg'
import due from 'bootstrap-icons/icons/calendar2-check.svg'
import go from 'bootstrap-icons/icons/arrow-right.svg'
import kit from 'bootstrap-icons/icons/tools.svg'
import ladder from 'bootstrap-icons/icons/bar-chart-steps.svg'
import round from 'bootstrap-icons/icons/clock.svg'
import settings from 'bootstrap-icons/icons/sliders.svg'
import bench from 'bootstrap-icons/icons/scissors.svg'
import practice from 'bootstrap-icons/icons/bullseye.svg'
import more from 'bootstrap-icons/icons/three-dots.svg'
import today from 'bootstrap-icons/icons/sun.svg'
import vet from 'bootstrap-icons/icons/telephone.svg'

const icons = { add, back, bench, blood, caution, due, go, kit, ladder, more, practice, round, settings, today, vet }
defineProps<{ name: keyof typeof icons }>()
</script>

<template>
  <span class="icon" aria-hidden="true" :style="{ maskImage: `url(&quot;${icons[name]}&quot;)` }" />
</template>

<style scoped>
.icon {
  background: currentcolor;
  display: inline-block;
  flex: none;
  height: 1em;
  mask-repeat: no-repeat;
  mask-size: contain;
  width: 1em;
}
</style>
