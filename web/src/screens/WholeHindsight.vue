<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useWholeHindsight } from '../api/hindsight'
import { momentOf } from '../dates'
import AnswerState from '../parts/AnswerState.vue'
import HindsightSaid from '../parts/HindsightSaid.vue'

/** The same of all dogs together, worked out in the background. */
const { data, error, refetch, anew } = useWholeHindsight()
</script>

<template>
  <div class="screen hindsight">
    <AnswerState v-if="!data" :error="error" what="how right it was" @again="refetch()" />
    <template v-else>
      <div class="screen-head"><div><h1>How right was it</h1><p class="soft lead">All your dogs together. Each dog’s own page has its own.</p></div></div>
      <p v-if="data.progress" role="status">Working it out: {{ data.progress.done }} of {{ data.progress.all }} dogs. You can leave this page.<progress :value="data.progress.done" :max="data.progress.all" /></p>
      <p v-else-if="data.at" class="small soft">From {{ data.dogs }} dogs, worked out {{ momentOf(data.at) }}<template v-if="data.skipped > 0">; {{ data.skipped }} could not be worked out</template>. <BButton variant="plain" @click="anew">Work it out anew</BButton></p>
      <HindsightSaid v-if="data.said" :data="data.said" />
    </template>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; }
progress { accent-color: var(--go); display: block; margin-top: 0.5rem; width: min(24rem, 100%); }
</style>
