<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useMessages, useTellOwner } from '../../api/messages'
import { offerVisitBack, useKeepVisit } from '../../api/round'
import { dayOf } from '../../dates'
import { $t } from '../../i18n'
import { clock } from '../../local/clock'
import RefusalNote from '../../parts/RefusalNote.vue'
import { visitStates } from './words'

/** What can be said of a visit, one press each. */
const props = defineProps<{ visit: Schemas['Visit']; bare?: boolean }>()
const { mutate, isPending, error } = useKeepVisit()
const say = (state: Schemas['VisitState'], off_by?: 'owner' | 'us') => {
  const was = props.visit
  const { id, dog, on, start, minutes, sequence, note } = was
  mutate(
    { id, dog_id: dog.dog_id, on, start, minutes, sequence, note, state, off_by },
    { onSuccess: now => offerVisitBack(`${dog.name}, ${dayOf(on)} ${clock(start)}: ${visitStates[state]}.`, was, now) },
  )
}
const { data: post } = useMessages()
const tell = useTellOwner()
/** What its owner may be told of it now. */
const tellable = computed(() => (post.value?.goes && props.visit.dog.owner_id ? props.visit.tell : undefined))
const tellWords: Partial<Record<Schemas['MessageKind'], string>> = {
  late: $t('round.tell_the_owner_that_it'),
  agreed: $t('round.send_the_owner_the_time'),
  moved: $t('round.tell_the_owner_that_it_moved'),
  missed: $t('round.write_to_the_owner'),
}
const lost = ref(false)
const told = computed(() => ['here', 'done'].includes(props.visit.state))
const off = computed(() => props.visit.state === 'called_off' || props.visit.state === 'missed')
</script>

<template>
  <div class="acts">
    <p v-if="!bare">
      <strong dir="auto">{{ visit.dog.name }}</strong> · {{ dayOf(visit.on) }} {{ clock(visit.start) }}–{{
        clock(visit.ends)
      }}
      · {{ visitStates[visit.state]
      }}<template v-if="visit.dog.owner">
        ·
        <RouterLink :to="`/owners/${visit.dog.owner_id}`"
          ><bdi>{{ visit.dog.owner }}</bdi></RouterLink
        ></template
      >
    </p>
    <p v-if="visit.breaks" class="breaks">{{ visit.breaks }}</p>
    <div v-if="!told" class="ways">
      <BButton v-if="visit.state !== 'agreed'" variant="plain" :disabled="isPending" @click="say('agreed')">{{
        $t('round.agreed')
      }}</BButton>
      <RouterLink
        v-if="!off"
        :to="{ path: '/round/book', query: { dog: visit.dog.dog_id, visit: visit.id } }"
        class="btn btn-plain"
        >{{ $t('round.move') }}</RouterLink
      >
      <BButton v-if="!off" variant="plain" :aria-expanded="lost" @click="lost = !lost">{{
        $t('round.it_does_not_come')
      }}</BButton>
      <template v-if="!off && lost">
        <BButton variant="plain" :disabled="isPending" @click="say('missed')">{{ $t('round.missed') }}</BButton>
        <BButton variant="plain" :disabled="isPending" @click="say('called_off', 'owner')">{{
          $t('round.the_owner_called_off')
        }}</BButton>
        <BButton variant="plain" :disabled="isPending" @click="say('called_off', 'us')">{{
          $t('round.i_called_it_off')
        }}</BButton>
      </template>
    </div>
    <p v-if="tell.data.value" class="small" role="status">
      {{ $t('round.to_whom') }} <bdi>{{ tell.data.value.owner }}</bdi>: “<bdi>{{ tell.data.value.text }}</bdi
      >”
    </p>
    <BButton
      v-if="tellable"
      variant="plain"
      class="tell"
      :disabled="tell.isPending.value"
      @click="tell.mutate({ dogId: visit.dog.dog_id, kind: tellable })"
      >{{ tellWords[tellable] }}</BButton
    >
    <RefusalNote :error="error ?? tell.error.value" />
  </div>
</template>

<style scoped>
.acts {
  margin-top: 0.75rem;
}
.acts p {
  margin: 0 0 0.4rem;
}
.tell {
  margin-top: 0.5rem;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.breaks {
  border-left: var(--bar) solid var(--caution-edge);
  padding-left: 0.6rem;
}
.breaks::first-letter {
  text-transform: uppercase;
}
</style>
