<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { howFar } from '../../words'

/** How far a trim went that is written down afterwards: without it, what was not told is kept as both. */
type Far = NonNullable<Schemas['SittingInput']['how_far']>
defineProps<{ far?: Far }>()
const emit = defineEmits<{ far: [far: Far | undefined] }>()
</script>

<template>
  <div class="choices far" role="group" :aria-label="$t('record.how_far_did_you_go')">
    <span>{{ $t('record.how_far_did_you_go') }}</span>
    <button
      v-for="(words, f) in howFar"
      :key="f"
      type="button"
      :aria-pressed="far === f"
      @click="emit('far', far === f ? undefined : f)"
    >
      {{ words }}
    </button>
  </div>
  <p class="soft small far-why">
    {{ far ? $t('record.cuts_that_you_take_over') : $t('record.without_it_both_are_kept') }}
  </p>
</template>

<style scoped>
.far {
  align-items: center;
  margin-top: 0.5rem;
}
.far button {
  min-height: 56px;
}
.far-why {
  margin: 0.25rem 0 0.75rem;
}
</style>
