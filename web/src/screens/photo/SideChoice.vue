<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { pictureOf } from '../../api/pictures'
import { dayOf } from '../../dates'
import { $t } from '../../i18n'

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
    <summary>{{ $t('photo.settle_it_with_a_second') }}</summary>
    <p class="small">{{ $t('photo.keep_paw_and_card_as') }}</p>
    <div class="ways">
      <label class="btn btn-plain"
        >{{ pending ? $t('photo.reading_it') : $t('photo.take_it_from_the_side')
        }}<input
          type="file"
          accept="image/*"
          capture="environment"
          class="visually-hidden"
          :disabled="pending"
          @change="choose"
      /></label>
      <label class="btn btn-plain"
        >{{ $t('photo.choose_one')
        }}<input
          id="side-file"
          type="file"
          accept="image/jpeg,image/png,image/webp"
          class="visually-hidden"
          :disabled="pending"
          @change="choose"
      /></label>
    </div>
    <ul v-if="others.length > 0" class="strip">
      <li v-for="p in others" :key="p.id">
        <button type="button" @click="emit('picture', p)">
          <img :src="pictureOf(p.hash, true)" :alt="$t('photo.picture_of', { on: dayOf(p.on) })" />{{ dayOf(p.on) }}
        </button>
      </li>
    </ul>
  </details>
</template>

<style scoped>
.side-choice {
  margin-block: 0.25rem 0.75rem;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  list-style: none;
  margin: 0.5rem 0 0;
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
  height: 64px;
}
</style>
