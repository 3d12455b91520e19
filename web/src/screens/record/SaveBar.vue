<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { $t } from '../../i18n'

/** What was told so far, counted, and what ends it. */
defineProps<{
  trimmed: number
  untold: number
  left: number
  bled: number
  /** Whether anything was said that can be saved. */
  begun: boolean
  saving: boolean
  undoable: boolean
}>()
const emit = defineEmits<{ undo: []; all: []; save: [] }>()
</script>

<template>
  <div class="finish">
    <p class="tally" aria-live="polite">
      <strong>{{ trimmed }}</strong> {{ $t('record.trimmed')
      }}<template v-if="untold > 0">
        · <strong>{{ untold }}</strong> {{ $t('record.not_said') }}</template
      ><template v-else>
        · <strong>{{ left }}</strong> {{ $t('record.left_out') }}</template
      ><template v-if="bled">
        · <strong>{{ bled }}</strong> {{ $t('record.bled') }}</template
      >
    </p>
    <BButton variant="plain" :disabled="!undoable" @click="emit('undo')">{{ $t('record.undo') }}</BButton>
    <BButton v-if="!begun" variant="go" class="btn-big" @click="emit('all')"
      >{{ $t('record.all_as_planned') }} <kbd>A</kbd></BButton
    >
    <BButton v-else variant="go" class="btn-big" :disabled="saving" @click="emit('save')">{{
      $t('record.save_the_trim')
    }}</BButton>
  </div>
</template>

<style scoped>
.finish {
  align-items: center;
  background: var(--paper);
  border-top: 2px solid var(--ink);
  bottom: 0;
  display: flex;
  gap: 1rem;
  margin-top: 1rem;
  padding-block: 0.6rem;
  position: sticky;
}
.finish .btn {
  white-space: nowrap;
}
.finish .tally {
  flex: 1;
  margin: 0;
}

@media (max-width: 900px) {
  .finish {
    bottom: 60px;
    flex-wrap: wrap;
    gap: 0.5rem;
    padding-block: 0.4rem;
  }
  .finish .btn {
    max-width: 100%;
    white-space: normal;
  }
  .finish .btn-big {
    font-size: 1.05rem;
    padding-inline: 0.9rem;
  }
}
</style>
