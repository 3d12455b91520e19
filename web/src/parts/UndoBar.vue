<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { ref, watch } from 'vue'
import { $t } from '../i18n'
import { forgetUndo, undoable } from '../local/undo'
import RefusalNote from './RefusalNote.vue'

/** What the last press took away or moved, on whatever screen: given back by one press, for a minute. */
const cache = useQueryClient()
const busy = ref(false)
const error = ref<Error>()
watch(undoable, () => (error.value = undefined))
async function back() {
  if (!undoable.value || busy.value) return
  busy.value = true
  try {
    await undoable.value.back()
    forgetUndo()
    await cache.invalidateQueries()
  } catch (e) {
    error.value = e as Error
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div v-if="undoable" class="undo-bar" role="status">
    <RefusalNote v-if="error" :error="error" />
    <span v-else dir="auto">{{ undoable.words }}</span>
    <BButton v-if="!error" variant="plain" :disabled="busy" @click="back">{{ $t('parts.undo') }}</BButton>
    <BButton variant="plain" :aria-label="$t('parts.close')" @click="forgetUndo">×</BButton>
  </div>
</template>

<style scoped>
.undo-bar {
  align-items: center;
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  border-left: var(--bar) solid var(--go);
  bottom: 1rem;
  box-shadow: 0 2px 8px rgb(0 0 0 / 18%);
  display: flex;
  gap: 0.75rem;
  left: 50%;
  max-width: calc(100vw - 2rem);
  padding: 0.4rem 0.5rem 0.4rem 0.9rem;
  position: fixed;
  transform: translateX(-50%);
  z-index: 20;
}
.undo-bar .btn {
  flex: none;
}
@media (max-width: 900px) {
  .undo-bar {
    bottom: calc(4.25rem + env(safe-area-inset-bottom));
    width: calc(100vw - 2rem);
  }
  .undo-bar span {
    flex: 1;
  }
}
</style>
