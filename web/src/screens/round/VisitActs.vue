<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { useMessages, useTellOwner } from '../../api/messages'
import { useKeepVisit } from '../../api/round'
import { dayOf } from '../../dates'
import { clock } from '../../local/clock'
import RefusalNote from '../../parts/RefusalNote.vue'
import { visitStates } from '../../words'

/** What can be said of a visit, one press each. */
const props = defineProps<{ visit: Schemas['Visit']; bare?: boolean }>()
const { mutate, isPending, error } = useKeepVisit()
const say = (state: Schemas['VisitState']) =>
  mutate({ id: props.visit.id, dog_id: props.visit.dog.dog_id, on: props.visit.on, start: props.visit.start, minutes: props.visit.minutes, sequence: props.visit.sequence, state })
const { data: post } = useMessages()
const tell = useTellOwner()
/** What its owner may be told of it now. */
const tellable = computed(() => (post.value?.goes && props.visit.dog.owner_id ? props.visit.tell : undefined))
const tellWords: Partial<Record<Schemas['MessageKind'], string>> = { late: 'Tell the owner that it runs late', agreed: 'Send the owner the time', moved: 'Tell the owner that it moved', missed: 'Write to the owner' }
const told = computed(() => ['here', 'done'].includes(props.visit.state))
const others = computed(() => (['agreed', 'missed', 'called_off'] as const).filter((s) => s !== props.visit.state))
</script>

<template>
  <div class="acts">
    <p v-if="!bare"><strong dir="auto">{{ visit.dog.name }}</strong> · {{ dayOf(visit.on) }} {{ clock(visit.start) }}–{{ clock(visit.ends) }} · {{ visitStates[visit.state] }}<template v-if="visit.dog.owner"> · <RouterLink :to="`/owners/${visit.dog.owner_id}`"><bdi>{{ visit.dog.owner }}</bdi></RouterLink></template></p>
    <p v-if="visit.breaks" class="breaks">{{ visit.breaks }}</p>
    <div v-if="!told" class="ways"><BButton v-for="s in others" :key="s" variant="plain" :disabled="isPending" @click="say(s)">{{ { agreed: 'Agreed', missed: 'Missed', called_off: 'Called off' }[s] }}</BButton></div>
    <p v-if="tell.data.value" class="small" role="status">To <bdi>{{ tell.data.value.owner }}</bdi>: “<bdi>{{ tell.data.value.text }}</bdi>”</p>
    <BButton v-if="tellable" variant="plain" class="tell" :disabled="tell.isPending.value" @click="tell.mutate({ dogId: visit.dog.dog_id, kind: tellable })">{{ tellWords[tellable] }}</BButton>
    <RefusalNote :error="error ?? tell.error.value" />
  </div>
</template>

<style scoped>
.acts { margin-top: 0.75rem; }
.acts p { margin: 0 0 0.4rem; }
.tell { margin-top: 0.5rem; }
.ways { display: flex; flex-wrap: wrap; gap: 0.5rem; }
.breaks { border-left: var(--bar) solid var(--caution-edge); padding-left: 0.6rem; }
.breaks::first-letter { text-transform: uppercase; }
</style>
