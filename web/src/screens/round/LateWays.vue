<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import type { Schemas } from '../../api/client'
import { offerVisitBack, useKeepVisit } from '../../api/round'
import { $t } from '../../i18n'
import { clock } from '../../local/clock'
import RefusalNote from '../../parts/RefusalNote.vue'

/** The day runs late: what would ease it. Nothing of it happens by itself. */
const props = defineProps<{ day: Schemas['RoundDay'] }>()
const { mutate, isPending, error } = useKeepVisit()
const visitOf = (way: Schemas['RoundWay']) => props.day.visits.find(v => v.id === way.visit_id)
function move(way: Schemas['RoundWay']) {
  const v = visitOf(way)
  if (v && way.to !== undefined)
    mutate(
      {
        id: v.id,
        dog_id: v.dog.dog_id,
        on: v.on,
        start: way.to,
        minutes: v.minutes,
        state: v.state,
        sequence: v.sequence,
        note: v.note,
      },
      {
        onSuccess: now => offerVisitBack($t('round.comes_at_3', { name: v.dog.name, start: clock(now.start) }), v, now),
      },
    )
}
</script>

<template>
  <section class="late" :aria-label="$t('round.the_day_runs_late')">
    <h2>{{ $t('round.the_day_runs_late') }}</h2>
    <p class="small soft">{{ $t('round.what_would_ease_it_the') }}</p>
    <ul>
      <li v-for="way in day.ways" :key="way.visit_id + way.words">
        <span dir="auto">{{ way.words }}</span>
        <BButton v-if="way.to !== undefined" variant="plain" :disabled="isPending" @click="move(way)">{{
          $t('round.they_agree_move_to', { to: clock(way.to) })
        }}</BButton>
      </li>
    </ul>
    <RefusalNote :error="error" />
  </section>
</template>

<style scoped>
.late {
  border-left: var(--bar) solid var(--caution-edge);
  margin-top: 1.25rem;
  padding-left: 0.75rem;
}
h2 {
  font-size: 1.0625rem;
  margin: 0;
}
.late p {
  margin: 0.15rem 0 0.4rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-top: 1px solid var(--line);
  padding-block: 0.4rem;
}
li .btn {
  display: block;
  margin-top: 0.3rem;
}
</style>
