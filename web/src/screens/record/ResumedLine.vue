<script setup lang="ts">
import { dayOf } from '../../dates'
import { $t } from '../../i18n'
import { today } from '../../local/day'

/** Whether this is a new page, or one that is gone on with; or that the one before reached the book. */
defineProps<{ arrived: string; resumed: boolean; day: string }>()
const emit = defineEmits<{ again: [] }>()
</script>

<template>
  <p v-if="arrived" class="resumed" role="status">
    {{ $t('record.the_trim_of_which_was', { arrived: dayOf(arrived) }) }}
  </p>
  <p v-else-if="!resumed" class="soft lead">{{ $t('record.say_what_was_different_then') }}</p>
  <p v-else class="resumed" role="status">
    {{ $t('record.going_on_where_you_were')
    }}<template v-if="day !== today()">{{ $t('record.on', { day: dayOf(day) }) }}</template
    >. <button type="button" @click="emit('again')">{{ $t('record.start_over') }}</button>
  </p>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.resumed {
  margin: 0.15rem 0 0;
}
.resumed button {
  background: none;
  border: 0;
  color: var(--go);
  font-weight: 600;
  min-height: 32px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
@media (max-width: 900px) {
  .lead {
    display: none;
  }
}
</style>
