<script setup lang="ts">
import type { Schemas } from '../api/client'
import { fullDayOf } from '../dates'
import { useUnits } from '../units'
import { rhythms } from '../words'

/** The plan to bring the quicks back, and whether it is on track. */
defineProps<{ plan: Schemas['QuickPlan'] }>()
const { length } = useUnits()
const marks: Record<Schemas['QuickPlan']['track'], string> = { reached: '✓ reached', on_track: '● on track', behind: '▲ behind', early: '○ just begun' }
</script>

<template>
  <div :class="['plan', plan.track]">
    <p class="state"><strong>{{ marks[plan.track] }}</strong> bringing the quicks back, {{ rhythms[plan.plan.rhythm] }} since {{ fullDayOf(plan.plan.started) }}</p>
    <p>
      Back {{ length.show(plan.back_mm) }} of {{ length.show(plan.plan.back_mm) }}, planned by now {{ length.bare(plan.expected_mm) }} ·
      {{ plan.held }} of {{ plan.due }} trims held<template v-if="plan.plan.done"> · to be there on {{ fullDayOf(plan.plan.done) }}</template>.
      <span class="words">{{ plan.words }}.</span>
    </p>
  </div>
</template>

<style scoped>
.plan { border-left: var(--bar) solid var(--line-strong); margin-top: 0.75rem; padding-left: 1rem; }
.plan.on_track, .plan.reached { border-color: var(--go); }
.plan.behind { border-color: var(--caution-edge); }
.plan p { margin: 0; }
.words { display: block; }
.words::first-letter { text-transform: uppercase; }
</style>
