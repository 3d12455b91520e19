<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { dayOf, fullDayOf, inDays, shortDayOf } from '../../dates'
import { useChangeDog, useSettings } from '../../api/queries'
import RefusalNote from '../../parts/RefusalNote.vue'
import WhyTable from '../../parts/WhyTable.vue'
import { rhythms } from '../../words'

const props = defineProps<{ dog?: Schemas['Dog']; next?: Schemas['Next']; needs?: Schemas['Needs']; days?: number; whyNone: string; training?: string }>()
const { data: settings } = useSettings()
const today = computed(() => settings.value?.today ?? '9999')
/** The nails that meet the floor before the date, but for those that are soon down again whatever is done. */
const sooner = computed(() => props.next?.first.filter((n) => !props.next!.again.includes(n)) ?? [])
const first = computed(() => `${sooner.value.join(' ')} ${sooner.value.length > 1 ? 'touch' : 'touches'}`)
const { mutate, isPending, error } = useChangeDog(() => props.dog?.id ?? '')
</script>

<template>
  <div v-if="!next" class="next"><p class="date">{{ training ? 'On the ladder' : 'No date yet' }}</p><p class="why">{{ training || whyNone }}.</p></div>
  <div v-else class="next">
    <p class="date"><span class="soft">next</span> <template v-if="(days ?? 0) < 0">today <span class="days late">late since {{ shortDayOf(next.due) }}</span></template><template v-else>{{ fullDayOf(next.due) }} <span class="days">{{ inDays(days ?? 0) }}</span></template></p>
    <p class="why">
      {{ next.reason }}.
      <template v-if="next.late">There is no working day before. </template>
      <template v-else-if="next.due !== next.earliest">Moved to a working day from {{ dayOf(next.earliest) }}. </template>
    </p>
    <p v-if="next.touches && sooner.length > 0" class="why touches">
      {{ first }} from <strong>{{ dayOf(next.touches) }}</strong>.
      <template v-if="next.clear_rhythm">Done {{ rhythms[next.clear_rhythm] }} it would stay clear. <button v-if="dog" type="button" :disabled="isPending" @click="mutate({ version: dog!.version, rhythm: next.clear_rhythm })">Do it {{ rhythms[next.clear_rhythm] }}</button></template>
      <template v-if="dog && next.touches > today"> <button type="button" :disabled="isPending" @click="mutate({ version: dog!.version, come_once: next.touches })">Come on {{ dayOf(next.touches) }}, this once</button></template>
    </p>
    <p v-if="dog?.come_once && next.rule === 'once'" class="why touches">Agreed for this once. <button type="button" :disabled="isPending" @click="mutate({ version: dog!.version, come_once: '' })">Take it back</button></p>
    <p v-if="next.again.length > 0" class="why touches">{{ next.again.join(' ') }} {{ next.again.length === 1 ? 'stands' : 'stand' }} on the floor again days after a trim: only a shorter quick helps. <RouterLink v-if="dog" :to="`/dogs/${dog.id}/rhythm`">Bring it back</RouterLink></p>
    <RefusalNote v-if="error" :error="error" />
    <details>
      <summary>Why this date</summary>
      <p v-if="needs" class="why">Its nails need about {{ Math.round(needs.days) }} days ({{ Math.round(needs.low_days) }} to {{ Math.round(needs.high_days) }}).</p>
      <WhyTable :why="next.why" :nails="next.per_nail.length" />
      <p class="soft small">{{ next.dates === 'calendar' ? 'By the calendar: a trim comes as often as you agreed. It comes sooner when a nail stands past its pad or a dewclaw would curl. Where you want short quicks, it also comes before they would grow.' : 'By the floor: a trim comes when the first nail touches the floor. A dewclaw that would curl brings it sooner. It never waits longer than you agreed, and there must be enough to cut. Where you want short quicks, it also comes before they would grow.' }} You can change this under “Profile and nails”.</p>
    </details>
  </div>
</template>

<style scoped>
.next { border-left: var(--bar) solid var(--go); padding-left: 1rem; }
.date { font-size: 1.5rem; font-weight: 650; margin: 0; }
.date .soft { font-size: 1rem; font-weight: 400; }
.days { font-size: 1rem; font-weight: 400; margin-left: 0.5rem; }
.days.late { color: var(--quick-text); font-weight: 650; }
.days.late::before { content: '◀ '; }
.why { margin: 0.1rem 0 0.25rem; }
.touches button { background: none; border: 0; color: var(--go); font-weight: 600; min-height: 44px; text-decoration: underline; text-underline-offset: 3px; }
.why::first-letter { text-transform: uppercase; }
summary { color: var(--go); cursor: pointer; font-weight: 600; min-height: 32px; }
</style>
