<script setup lang="ts">
import { computed } from 'vue'
import { useSettings } from '../api/queries'
import { placesOf } from '../local/places'

/** Everything that has no place in a phone’s bar. */
const { data } = useSettings()
const places = computed(() => [
  ...placesOf(data.value?.choices.role === 'groomer'),
  { to: '/hindsight', words: 'How right was it, all dogs together' }, { to: '/chart', words: 'Paw chart, to print' }, { to: '/settings', words: 'Settings' }, { to: '/words', words: 'What the words mean' },
])
</script>

<template>
  <div class="screen">
    <div class="screen-head"><h1>More</h1></div>
    <nav aria-label="More"><RouterLink v-for="p in places" :key="p.to" :to="p.to" class="line">{{ p.words }}</RouterLink></nav>
    <p class="small soft about">Fribbet is under the MIT licence; <a href="/licences.txt">what others made and it ships</a>. <a href="/api">For programs</a>.</p>
  </div>
</template>

<style scoped>
.line { align-items: center; border-top: 1px solid var(--line); color: var(--ink); display: flex; font-size: 1.0625rem; min-height: 56px; text-decoration: none; }
.about { margin-top: 1.5rem; }
.line:hover { color: var(--go); }
</style>
