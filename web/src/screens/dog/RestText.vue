<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { useUnits } from '../../units'

/** Where this dog's quicks rest, and whether its own records or the usual say so. */
defineProps<{ rest: Schemas['Estimate'] }>()
const { length } = useUnits()
</script>

<template>
  <p class="rest">
    {{ rest.source === 'learnt' ? '◆ Learnt from this dog:' : '○ As is usual for its size:' }}
    a quick holds still where {{ length.show(rest.mm) }} stand safely before it ({{ length.range(rest.low_mm, rest.high_mm) }}), draws back where there is less, grows where there is more.
  </p>
</template>

<style scoped>
.rest { margin-top: 0.5rem; max-width: 52rem; }
</style>
