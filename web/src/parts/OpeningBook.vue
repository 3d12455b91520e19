<script setup lang="ts">
import { opening } from '../local/opening'

/** Stands in place of every screen while the book is being opened. */
</script>

<template>
  <div class="opening" role="status">
    <h1>Opening your book</h1>
    <template v-if="opening && opening.all > 0">
      <p>An earlier version of Fribbet wrote it. Every trim is worked out again, once: {{ opening.done.toLocaleString('en-GB') }} of {{ opening.all.toLocaleString('en-GB') }}.</p>
      <progress :value="opening.done" :max="opening.all">{{ opening.done }} of {{ opening.all }}</progress>
    </template>
    <p v-else>A moment. Nothing needs to be pressed.</p>
    <p class="soft">What you save meanwhile waits in this browser.</p>
  </div>
</template>

<style scoped>
.opening { margin-inline: auto; max-width: 36rem; padding: 4rem 1rem; }
.opening h1 { margin-bottom: 1rem; }
progress { accent-color: var(--go); height: 1.25rem; width: 100%; }
</style>
