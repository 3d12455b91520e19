<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { $t } from '../../i18n'
import type { Aside, Tap } from '../../local/outbox'
import { useUnits } from '../../units'

/** A tap that the book did not believe: kept after all, or forgotten. */
defineProps<{ one: Aside & Tap }>()
const emit = defineEmits<{ settle: [keep: boolean] }>()
const { length } = useUnits()
</script>

<template>
  <div class="kept aside-told" role="alert">
    <strong>{{ $t('bench.not_in_the_book', { nail: one.event.nail }) }}</strong> {{ one.why }}
    <BButton v-if="one.event.mm !== undefined" variant="plain" @click="emit('settle', true)">{{
      $t('bench.it_is_keep_it', { mm: length.show(one.event.mm) })
    }}</BButton>
    <BButton variant="plain" @click="emit('settle', false)">{{ $t('bench.forget_it') }}</BButton>
  </div>
</template>

<style scoped>
.aside-told {
  align-items: center;
  background: var(--caution-ground);
  border-left: var(--bar) solid var(--caution-edge);
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  margin: 0 0 0.5rem;
  padding: 0.35rem 0.75rem;
}
</style>
