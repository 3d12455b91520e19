<script setup lang="ts">
import { $t } from '../../i18n'
import { keeps } from '../../local/outbox'

/** What was told and is not in the book yet: kept here, or, where this browser keeps nothing, lost with the page. */
defineProps<{ pending: number; unreachable: boolean }>()
</script>

<template>
  <p v-if="pending > 0 && !keeps" class="kept lost" role="alert">
    <strong>{{ $t('bench.not_kept_until_it_is') }}</strong>{{
      $t('bench.this_browser_keeps_nothing_for', { n: pending, n2: $t('bench.tap_taps', pending) })
    }}
  </p>
  <p v-else-if="unreachable || pending > 0" class="kept passing" role="status">
    <strong>{{ $t('bench.kept_here_not_yet_saved') }}</strong>: {{ pending }} {{ $t('bench.tap_taps', pending)
    }}<template v-if="unreachable">{{ $t('bench.fribbet_does_not_answer_they') }}</template
    >.
  </p>
</template>

<style scoped>
.kept {
  background: var(--caution-ground);
  border-left: var(--bar) solid var(--caution-edge);
  margin: 0 0 0.5rem;
  padding: 0.35rem 0.75rem;
}
/* Over the page, not in it: what comes and goes with every tap must not move a button away from under the finger. */
.passing {
  box-shadow: 0 2px 8px rgb(0 0 0 / 25%);
  left: 0.5rem;
  max-width: calc(100% - 1rem);
  pointer-events: none;
  position: fixed;
  top: 0.4rem;
  z-index: 20;
}
</style>
