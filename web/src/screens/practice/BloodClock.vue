<script setup lang="ts">
import { newSeed } from '../../api/practice'
import { $t } from '../../i18n'
import { useStopwatch } from '../../local/stopwatch'

/** A drawn nail bleeds: the clock that runs on a dog, and what is done meanwhile. */
const { clock } = useStopwatch()
const seed = newSeed()
</script>

<template>
  <p class="small blood">
    <strong role="timer">{{ clock }}</strong> {{ $t('practice.on_a_dog_powder_now') }}
    <RouterLink :to="`/practice/blood?seed=${seed}`">{{ $t('practice.against_the_clock') }}</RouterLink>
  </p>
</template>

<style scoped>
.blood {
  border-left: var(--bar) solid var(--vet-edge);
  padding-left: 0.75rem;
}
strong {
  font-size: 1.25rem;
  font-variant-numeric: tabular-nums;
}
</style>
