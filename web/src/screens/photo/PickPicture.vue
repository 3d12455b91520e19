<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { pictureOf } from '../../api/pictures'
import { dayOf } from '../../dates'
import { $t } from '../../i18n'
import RefusalNote from '../../parts/RefusalNote.vue'
import { pawWords } from '../../words'
import HoldingCard from './HoldingCard.vue'

/** How a picture comes here: taken now, from a file, or one that was taken before. */
defineProps<{ paw: Schemas['Paw']; before: Schemas['Picture'][]; pending: boolean; error: Error | null }>()
const emit = defineEmits<{ file: [file: File]; open: [id: string] }>()
function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file) emit('file', file)
  input.value = ''
}
</script>

<template>
  <HoldingCard />
  <div class="ways">
    <label class="btn btn-go btn-big"
      >{{ pending ? $t('photo.reading_it') : $t('photo.take_a_picture')
      }}<input
        type="file"
        accept="image/*"
        capture="environment"
        class="visually-hidden"
        :disabled="pending"
        @change="choose"
    /></label>
    <label class="btn btn-plain btn-big"
      >{{ $t('photo.choose_one')
      }}<input
        id="photo-file"
        type="file"
        accept="image/jpeg,image/png,image/webp"
        class="visually-hidden"
        :disabled="pending"
        @change="choose"
    /></label>
  </div>
  <RefusalNote :error="error" />
  <template v-if="before.length > 0">
    <h2>{{ $t('photo.pictures_of_the_paw', { paw: pawWords[paw] }) }}</h2>
    <ul class="strip">
      <li v-for="p in before" :key="p.id">
        <button type="button" @click="emit('open', p.id)">
          <img
            :src="pictureOf(p.hash, true)"
            :alt="$t('photo.the_paw_on', { paw: pawWords[paw], on: dayOf(p.on) })"
          />{{ dayOf(p.on) }}
        </button>
      </li>
    </ul>
  </template>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  margin-top: 1rem;
}
h2 {
  margin-top: 1.5rem;
}
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
  list-style: none;
  margin: 0;
  padding: 0;
}
.strip button {
  background: none;
  border: 1px solid var(--line);
  color: var(--ink);
  padding: 0.25rem;
}
.strip img {
  display: block;
  height: 96px;
}
</style>
