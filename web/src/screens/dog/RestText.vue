<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { useUnits } from '../../units'

/** Where this dog's quicks rest, and whether its own records or the usual say so. */
defineProps<{ rest: Schemas['Estimate'] }>()
const { length } = useUnits()
</script>

<template>
  <p class="rest">
    {{
      $t('dog.a_quick_holds_still_where', {
        source: rest.source === 'learnt' ? $t('dog.learnt_from_this_dog') : $t('dog.as_is_usual_for_its'),
        mm: length.show(rest.mm),
        low: length.range(rest.low_mm, rest.high_mm),
      })
    }}
  </p>
</template>

<style scoped>
.rest {
  margin-top: 0.5rem;
  max-width: 52rem;
}
</style>
