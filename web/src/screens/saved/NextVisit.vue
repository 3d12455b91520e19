<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { useDogVisits, useKeepVisit } from '../../api/round'
import { dayOf, inDays } from '../../dates'
import { $t } from '../../i18n'
import { clock } from '../../local/clock'
import RefusalNote from '../../parts/RefusalNote.vue'

/** The dog's next visit, one press, while its owner is still there. */
const props = defineProps<{ dogId: string }>()
const { data } = useDogVisits(() => props.dogId)
const { mutate, isPending, error } = useKeepVisit()
const coming = computed(() =>
  data.value?.visits.filter(v => ['next', 'to_come'].includes(v.standing) && v.state !== 'here').at(-1),
)
const give = (o: Schemas['Offer']) =>
  mutate({
    id: crypto.randomUUID(),
    dog_id: props.dogId,
    on: o.on,
    start: o.start,
    minutes: o.minutes,
    state: 'agreed',
  })
const off = () =>
  coming.value &&
  mutate({
    id: coming.value.id,
    dog_id: props.dogId,
    on: coming.value.on,
    start: coming.value.start,
    minutes: coming.value.minutes,
    sequence: coming.value.sequence,
    state: 'called_off',
    off_by: 'us',
  })
</script>

<template>
  <div v-if="data" class="next-visit">
    <p v-if="coming" role="status">
      <strong>{{ $t('saved.next_visit_at', { on: dayOf(coming.on), start: clock(coming.start) }) }}</strong>{{
        $t('saved.min', { minutes: coming.minutes })
      }}
      <RouterLink :to="{ path: '/round', query: { on: coming.on } }">{{ $t('saved.that_day') }}</RouterLink>{{ ' '
      }}<BButton variant="plain" class="off" :disabled="isPending" @click="off">{{ $t('saved.call_it_off') }}</BButton>
    </p>
    <template v-else-if="data.offers.length > 0">
      <p class="soft">{{ $t('saved.the_next_visit_min', { minutes: data.dog.minutes }) }}</p>
      <div class="ways">
        <BButton
          v-for="(o, i) in data.offers"
          :key="o.on + o.start"
          :variant="i === 0 ? 'go' : 'plain'"
          :disabled="isPending"
          :title="o.reasons.join(', ')"
          @click="give(o)"
          >{{ dayOf(o.on) }} {{ clock(o.start) }} <span class="small">{{ inDays(o.in_days) }}</span></BButton
        >
      </div>
    </template>
    <RefusalNote :error="error" />
  </div>
</template>

<style scoped>
.next-visit {
  border-left: var(--bar) solid var(--go);
  margin-block: 1rem;
  padding-left: 0.75rem;
}
.next-visit p {
  margin: 0 0 0.4rem;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
.off {
  margin-left: 0.5rem;
}
</style>
