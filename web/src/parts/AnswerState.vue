<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { Refusal } from '../api/client'
import { $t } from '../i18n'

/** What stands where an answer is still to come, or did not come. */
const props = defineProps<{ error: Error | null; what: string }>()
defineEmits<{ again: [] }>()
const unreachable = computed(() => props.error instanceof Refusal && props.error.unreachable)
</script>

<template>
  <div v-if="error" class="state" role="alert">
    <h2>{{ unreachable ? $t('parts.fribbet_does_not_answer') : $t('parts.this_cannot_be_shown') }}</h2>
    <p>{{ unreachable ? $t('parts.its_program_has_stopped_or') : error.message }}</p>
    <BButton variant="plain" @click="$emit('again')">{{ $t('parts.try_again') }}</BButton>
    <RouterLink to="/" class="home">{{ $t('parts.go_to_due') }}</RouterLink>
  </div>
  <div v-else class="state" role="status">
    <div class="ghost" aria-hidden="true"><span v-for="n in 12" :key="n" /></div>
    <p class="soft">{{ $t('parts.reading', { what }) }}</p>
  </div>
</template>

<style scoped>
.state {
  max-width: 32rem;
  padding: 3rem 0;
}
.home {
  margin-left: 1rem;
}
.ghost {
  border-bottom: 3px solid var(--line);
  display: flex;
  gap: 6px;
  height: 60px;
  margin-bottom: 0.75rem;
  width: max-content;
}
.ghost span {
  background: var(--line);
  height: 70%;
  width: 10px;
}
.ghost span:nth-child(3n) {
  height: 85%;
}
</style>
