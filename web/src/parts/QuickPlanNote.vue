<script setup lang="ts">
import type { Schemas } from '../api/client'
import { fullDayOf } from '../dates'
import { $t } from '../i18n'
import { useUnits } from '../units'
import { rhythms } from '../words'

/** The plan to bring the quicks back, and whether it is on track. */
defineProps<{ plan: Schemas['QuickPlan'] }>()
const { length } = useUnits()
const marks: Record<Schemas['QuickPlan']['track'], string> = {
  reached: $t('parts.reached'),
  on_track: $t('parts.on_track'),
  behind: $t('parts.behind'),
  early: $t('parts.just_begun'),
}
</script>

<template>
  <div :class="['plan', plan.track]">
    <p class="state">
      <strong>{{ marks[plan.track] }}</strong>
      {{
        $t('parts.bringing_the_quicks_back_since', {
          rhythm: rhythms[plan.plan.rhythm],
          started: fullDayOf(plan.plan.started),
        })
      }}
    </p>
    <p>
      {{
        $t('parts.back_of_planned_by_now', {
          back: length.show(plan.back_mm),
          back2: length.show(plan.plan.back_mm),
          expected: length.bare(plan.expected_mm),
          held: plan.held,
          due: plan.due,
        })
      }}<template v-if="plan.plan.done"
        >{{ ' ' }}{{ $t('parts.to_be_there_on', { done: fullDayOf(plan.plan.done) }) }}</template
      >.
      <span class="words">{{ plan.words }}.</span>
    </p>
  </div>
</template>

<style scoped>
.plan {
  border-left: var(--bar) solid var(--line-strong);
  margin-top: 0.75rem;
  padding-left: 1rem;
}
.plan.on_track,
.plan.reached {
  border-color: var(--go);
}
.plan.behind {
  border-color: var(--caution-edge);
}
.plan p {
  margin: 0;
}
.words {
  display: block;
}
.words::first-letter {
  text-transform: uppercase;
}
</style>
