<script setup lang="ts">
import { Refusal } from '../api/client'
import { keeps } from '../local/outbox'
import { textKeeps } from '../local/storage'

/** What of a sitting or a walk-round is safe where it is: as the browser truly keeps it. */
defineProps<{ error: Error | null; begun: boolean }>()
</script>

<template>
  <p v-if="error instanceof Refusal && error.unreachable && keeps" class="kept" role="alert"><strong>Kept in this browser, not yet in the book.</strong> Fribbet does not answer; it goes by itself when it is back, from any screen.</p>
  <p v-else-if="error instanceof Refusal && error.unreachable" class="kept lost" role="alert"><strong>Not kept until it is sent.</strong> This browser keeps nothing for Fribbet: leave this page open; it goes when Fribbet answers.</p>
  <p v-else-if="begun && !textKeeps" class="kept lost" role="alert"><strong>Not kept until it is saved.</strong> This browser keeps nothing for Fribbet: save before you leave this page.</p>
</template>

<style scoped>
.kept { background: var(--caution-ground); border-left: var(--bar) solid var(--caution-edge); margin-block: 0.75rem; padding: 0.5rem 0.75rem; }
.lost { border-left-color: var(--stop); }
</style>
