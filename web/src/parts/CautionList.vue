<script setup lang="ts">
import type { Schemas } from '../api/client'
import { $t } from '../i18n'
import AppIcon from './AppIcon.vue'

defineProps<{ cautions: Schemas['Caution'][] }>()
</script>

<template>
  <ul v-if="cautions.length > 0" class="cautions" :aria-label="$t('parts.cautions')">
    <li v-for="c in cautions" :key="c.words" :class="{ vet: c.kind === 'veterinarian' }">
      <AppIcon :name="c.kind === 'veterinarian' ? 'vet' : 'caution'" />{{ c.words }}
    </li>
  </ul>
</template>

<style scoped>
.cautions {
  display: grid;
  gap: 0.35rem;
  margin-block: 0.75rem;
}
li {
  align-items: baseline;
  background: var(--caution-ground);
  border-left: var(--bar) solid var(--caution-edge);
  display: flex;
  gap: 0.6rem;
  padding: 0.4rem 0.75rem;
}
li.vet {
  background: var(--vet-ground);
  border-left: calc(var(--bar) * 2) double var(--vet-edge);
  font-weight: 600;
}
.icon {
  align-self: center;
}

@media (max-width: 700px) {
  .cautions {
    gap: 0.2rem;
    margin-block: 0.4rem;
  }
  li {
    font-size: var(--small);
    line-height: 1.25;
    padding: 0.2rem 0.5rem;
  }
}
</style>
