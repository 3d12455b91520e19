<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { useKeepVisit } from '../../api/round'
import { dayOf } from '../../dates'
import { clock } from '../../local/clock'
import RefusalNote from '../../parts/RefusalNote.vue'
import { visitStates } from '../../words'

/** What can be said of a visit, one press each. */
const props = defineProps<{ visit: Schemas['Visit']; bare?: boolean }>()
const { mutate, isPending, error } = useKeepVisit()
const say = (state: Schemas['VisitState']) =>
  mutate({ id: props.visit.id, dog_id: props.visit.dog.dog_id, on: props.visit.on, start: props.visit.start, minutes: props.visit.ends - props.visit.start, sequence: props.visit.sequence, state })
const told = computed(() => ['here', 'done'].includes(props.visit.state))
const others = computed(() => (['agreed', 'missed', 'called_off'] as const).filter((s) => s !== props.visit.state))
</script>

<template>
  <div class="acts">
    <p v-if="!bare"><strong dir="auto">{{ visit.dog.name }}</strong> · {{ dayOf(visit.on) }} {{ clock(visit.start) }}–{{ clock(visit.ends) }} · {{ visitStates[visit.state] }}<template v-if="visit.dog.owner"> · <RouterLink :to="`/owners/${visit.dog.owner_id}`"><bdi>{{ visit.dog.owner }}</bdi></RouterLink></template></p>
    <p v-if="visit.breaks" class="breaks">{{ visit.breaks }}</p>
    <div v-if="!told" class="ways"><BButton v-for="s in others" :key="s" variant="plain" :disabled="isPending" @click="say(s)">{{ { agreed: 'Agreed', missed: 'Missed', called_off: 'Called off' }[s] }}</BButton></div>
    <RefusalNote :error="error" />
  </div>
</template>

<style scoped>
.acts { margin-top: 0.75rem; }
.acts p { margin: 0 0 0.4rem; }
.ways { display: flex; flex-wrap: wrap; gap: 0.5rem; }
.breaks { border-left: var(--bar) solid var(--caution-edge); padding-left: 0.6rem; }
.breaks::first-letter { text-transform: uppercase; }
</style>
