<script setup lang="ts">
import { Refusal } from '../api/client'
import { $t } from '../i18n'
import { keeps } from '../local/outbox'
import { textKeeps } from '../local/storage'

/** What of a sitting or a walk-round is safe where it is: as the browser truly keeps it. */
defineProps<{ error: Error | null; begun: boolean }>()
</script>

<template>
  <p v-if="error instanceof Refusal && error.unreachable && keeps" class="kept" role="alert">
    <strong>{{ $t('parts.kept_in_this_browser_not') }}</strong> {{ $t('parts.fribbet_does_not_answer_it') }}
  </p>
  <p v-else-if="error instanceof Refusal && error.unreachable" class="kept lost" role="alert">
    <strong>{{ $t('parts.not_kept_until_it_is') }}</strong> {{ $t('parts.this_browser_keeps_nothing_for') }}
  </p>
  <p v-else-if="begun && !textKeeps" class="kept lost" role="alert">
    <strong>{{ $t('parts.not_kept_until_it_is_saved') }}</strong>
    {{ $t('parts.this_browser_keeps_nothing_for_fribbet') }}
  </p>
</template>

<style scoped>
.kept {
  background: var(--caution-ground);
  border-left: var(--bar) solid var(--caution-edge);
  margin-block: 0.75rem;
  padding: 0.5rem 0.75rem;
}
.lost {
  border-left-color: var(--stop);
}
</style>
