<script setup lang="ts">
import { usePicturesKept } from '../../api/pictures'

/** What the pictures take, and where they are. */
const { data } = usePicturesKept()
</script>

<template>
  <section v-if="data" class="section" aria-labelledby="room-title">
    <h2 id="room-title">Pictures</h2>
    <p class="says"><template v-if="data.pictures === 0">None are kept.</template><template v-else><strong>{{ data.pictures }}</strong> {{ data.pictures === 1 ? 'picture takes' : 'pictures take' }} <strong>{{ (data.bytes / 1e6).toFixed(1) }} MB</strong>.</template> They are files in <code>{{ data.place }}</code>, without place and time of the camera, and go along with every backup. Each is deleted on its dog’s page.</p>
  </section>
</template>

<style scoped>
.says { max-width: 46rem; }
.says code { overflow-wrap: anywhere; }
</style>
