<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { Refusal } from '../api/client'

/** What stands where an answer is still to come, or did not come. */
const props = defineProps<{ error: Error | null; what: string }>()
defineEmits<{ again: [] }>()
const unreachable = computed(() => props.error instanceof Refusal && props.error.unreachable)
</script>

<template>
  <div v-if="error" class="state" role="alert">
    <h2>{{ unreachable ? 'Fribbet does not answer' : 'This cannot be shown' }}</h2>
    <p>{{ unreachable ? 'Its program has stopped or is starting. What was saved is safe in its file.' : error.message }}</p>
    <BButton variant="plain" @click="$emit('again')">Try again</BButton>
    <RouterLink to="/" class="home">Go to Due</RouterLink>
  </div>
  <div v-else class="state" role="status">
    <div class="ghost" aria-hidden="true"><span v-for="n in 12" :key="n" /></div>
    <p class="soft">Reading {{ what }}…</p>
  </div>
</template>

<style scoped>
.state { max-width: 32rem; padding: 3rem 0; }
.home { margin-left: 1rem; }
.ghost { border-bottom: 3px solid var(--line); display: flex; gap: 6px; height: 60px; margin-bottom: 0.75rem; width: max-content; }
.ghost span { background: var(--line); height: 70%; width: 10px; }
.ghost span:nth-child(3n) { height: 85%; }
</style>
