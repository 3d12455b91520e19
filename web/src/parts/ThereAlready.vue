<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { $t } from '../i18n'

/** Something is in the book under the same id, told otherwise: what is there, and whose word stands. */
defineProps<{ error: Error; what: string }>()
const emit = defineEmits<{ theirs: []; another: [] }>()
</script>

<template>
  <div class="there" role="alert">
    <p>{{ error.message }}</p>
    <BButton variant="plain" @click="emit('theirs')">{{ $t('parts.keep_what_is_in_the') }}</BButton>
    <BButton variant="plain" @click="emit('another')">{{ $t('parts.save_this_as_another', { what }) }}</BButton>
  </div>
</template>

<style scoped>
.there {
  background: var(--caution-ground);
  border-left: var(--bar) solid var(--caution-edge);
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  margin-block: 0.75rem;
  padding: 0.5rem 0.75rem;
}
.there p {
  flex-basis: 100%;
  margin: 0;
}
</style>
