<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { $t } from '../i18n'
import { touchings } from '../words'

/** What is seen before the first cut: do any touch the floor? One press, and it can be passed. */
const arrival = defineModel<Schemas['Arrival']>()
defineProps<{ pass?: boolean }>()
const emit = defineEmits<{ passed: [] }>()
const signs = computed(
  () =>
    [
      ['clicks', $t('parts.it_clicks')],
      ['limps', $t('parts.it_limps')],
      ['sore', $t('parts.it_is_sore')],
    ] as const,
)
const tell = (more: Schemas['Arrival']) => (arrival.value = { ...arrival.value, ...more })
</script>

<template>
  <div :class="['arrival', 'choices', { passes: pass }]" role="group" :aria-label="$t('parts.touching_the_floor')">
    <span>{{ $t('parts.touching_the_floor') }}</span>
    <button
      v-for="(words, t) in touchings"
      :key="t"
      type="button"
      :aria-pressed="arrival?.touching === t"
      @click="tell({ touching: t })"
    >
      {{ words }}
    </button>
    <button v-if="pass" type="button" @click="emit('passed')">{{ $t('parts.did_not_look') }}</button>
    <button
      v-for="[sign, words] in signs"
      :key="sign"
      type="button"
      class="sign"
      :aria-pressed="arrival?.[sign] ?? false"
      @click="tell({ [sign]: !arrival?.[sign] })"
    >
      {{ words }}
    </button>
    <p v-if="arrival?.limps || arrival?.sore" class="vet" role="status">{{ $t('parts.a_dog_that_limps_or') }}</p>
  </div>
</template>

<style scoped>
.arrival {
  align-items: center;
  margin-block: 0.35rem 0.75rem;
}
@media (max-width: 600px) {
  .arrival {
    display: grid;
    gap: 0.3rem;
    grid-template-columns: repeat(12, 1fr);
  }
  .arrival > span,
  .arrival > p {
    grid-column: 1 / -1;
  }
  .arrival button {
    grid-column: span 3;
    line-height: 1.1;
    min-height: 48px;
    min-width: 0;
    padding-inline: 0.2rem;
    white-space: normal;
  }
  .arrival button.sign {
    grid-column: span 4;
  }
  .arrival:not(.passes) button:not(.sign) {
    grid-column: span 4;
  }
}
.arrival > span {
  font-weight: 600;
}
.vet {
  border-left: var(--bar) solid var(--vet-edge);
  flex-basis: 100%;
  margin: 0.25rem 0 0;
  padding-left: 0.6rem;
}
</style>
