<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { pictureOf } from '../../api/pictures'
import { dayOf } from '../../dates'

/** A second picture from the side, taken now or before, which settles how the nail stands to the card. */
defineProps<{ others: Schemas['Picture'][]; pending: boolean }>()
const emit = defineEmits<{ file: [file: File]; picture: [picture: Schemas['Picture']] }>()
function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file) emit('file', file)
  input.value = ''
}
</script>

<template>
  <details class="side-choice">
    <summary>Settle it with a second picture from the side</summary>
    <p class="small">Keep paw and card as they are, move the camera a good way round, about a third of a right angle, and take it again. From the two the range is about half as wide. Nothing may move in between.</p>
    <div class="ways">
      <label class="btn btn-plain">{{ pending ? 'Reading it…' : 'Take it from the side' }}<input type="file" accept="image/*" capture="environment" class="visually-hidden" :disabled="pending" @change="choose" /></label>
      <label class="btn btn-plain">Choose one<input id="side-file" type="file" accept="image/jpeg,image/png,image/webp" class="visually-hidden" :disabled="pending" @change="choose" /></label>
    </div>
    <ul v-if="others.length > 0" class="strip"><li v-for="p in others" :key="p.id"><button type="button" @click="emit('picture', p)"><img :src="pictureOf(p.hash, true)" :alt="`Picture of ${dayOf(p.on)}`" />{{ dayOf(p.on) }}</button></li></ul>
  </details>
</template>

<style scoped>
.side-choice { margin-block: 0.25rem 0.75rem; }
.ways { display: flex; flex-wrap: wrap; gap: 0.6rem; }
.strip { display: flex; flex-wrap: wrap; gap: 0.5rem; list-style: none; margin: 0.5rem 0 0; padding: 0; }
.strip button { background: none; border: 1px solid var(--line); color: var(--ink); padding: 0.25rem; }
.strip img { display: block; height: 64px; }
</style>
