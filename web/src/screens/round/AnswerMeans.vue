<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import type { Schemas } from '../../api/client'
import { useReadSo } from '../../api/messages'
import { $t } from '../../i18n'
import RefusalNote from '../../parts/RefusalNote.vue'

/** What an owner's answer means that waits for a person: one press, the guess first to see. */
defineProps<{ message: Schemas['Message'] }>()
const { mutate, isPending, error } = useReadSo()
</script>

<template>
  <div class="ways" role="group" :aria-label="$t('round.what_this_answer_means')">
    <template v-if="message.places"
      ><BButton
        v-for="(p, i) in message.places"
        :key="p"
        :variant="message.guess?.place === i + 1 ? 'go' : 'plain'"
        :disabled="isPending"
        @click="mutate({ id: message.id, place: i + 1 })"
        >{{ p }}</BButton
      >
      <BButton
        :variant="message.guess?.no ? 'go' : 'plain'"
        :disabled="isPending"
        @click="mutate({ id: message.id, no: true })"
        >{{ $t('round.not_now') }}</BButton
      ></template
    >
    <BButton
      :variant="message.guess?.stop ? 'go' : 'plain'"
      :disabled="isPending"
      @click="mutate({ id: message.id, stop: true })"
      >{{ $t('round.no_more_messages') }}</BButton
    >
    <BButton variant="plain" :disabled="isPending" @click="mutate({ id: message.id, seen: true })">{{
      $t('round.seen_to')
    }}</BButton>
    <RefusalNote :error="error" />
  </div>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  margin-top: 0.3rem;
}
</style>
