<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { clock } from '../../local/clock'
import CautionList from '../../parts/CautionList.vue'
import RankSmall from '../../rank/RankSmall.vue'
import { minutesInWords } from '../../words'
import VisitActs from './VisitActs.vue'

/** The next dog is the biggest thing: read between two dogs, with wet hands. */
const props = defineProps<{ visit: Schemas['Visit']; now: number; here: boolean }>()
const begun = computed(() => props.visit.state === 'here')
const when = computed(() => {
  const s = props.visit.starts
  if (begun.value) return $t('round.on_the_table')
  if (!s) return clock(props.visit.start)
  const range = s.high - s.low >= 5 ? ` (${clock(s.low)}–${clock(s.high)})` : ''
  return s.late
    ? $t('round.about_booked_for', { likely: clock(s.likely), range, start: clock(props.visit.start) })
    : clock(props.visit.start)
})
const takes = computed(() =>
  $t('round.held_until', {
    minutes: minutesInWords(props.visit.dog.takes.minutes),
    low: Math.floor(props.visit.dog.takes.low),
    high: Math.ceil(props.visit.dog.takes.high),
    ends: clock(props.visit.ends),
  }),
)
</script>

<template>
  <section class="next" :aria-label="$t('round.next')">
    <p class="soft">{{ begun ? $t('round.now') : $t('round.next') }}</p>
    <h2>
      <RouterLink :to="`/dogs/${visit.dog.dog_id}`" dir="auto">{{ visit.dog.name }}</RouterLink>
    </h2>
    <p class="when">
      {{ when
      }}<span v-if="visit.starts?.waits" class="late">{{ ' ' }}{{ $t('round.the_owner_is_waiting_tell') }}</span>
    </p>
    <RankSmall v-if="visit.dog.rank" :rank="visit.dog.rank" />
    <p>
      {{ $t('round.nails', { nails: visit.dog.nails, takes })
      }}<template v-if="visit.dog.owner">
        ·
        <RouterLink :to="`/owners/${visit.dog.owner_id}`"
          ><bdi>{{ visit.dog.owner }}</bdi></RouterLink
        ></template
      >
    </p>
    <p v-if="visit.dog.help === 'needed'" class="mark">{{ $t('round.not_without_somebody_to_hold') }}</p>
    <p v-if="visit.dog.hard" class="mark">{{ $t('round.a_hard_dog_not_when') }}</p>
    <CautionList v-if="visit.dog.cautions" :cautions="visit.dog.cautions" />
    <RouterLink
      v-if="begun && visit.sitting_id"
      :to="`/dogs/${visit.dog.dog_id}/bench/${visit.sitting_id}`"
      class="btn btn-go btn-big begin"
      >{{ $t('round.go_on_at_the_bench') }}</RouterLink
    >
    <RouterLink v-else-if="here" :to="`/dogs/${visit.dog.dog_id}/ready`" class="btn btn-go btn-big begin"
      ><span
        >{{ $t('round.get') }} <bdi>{{ visit.dog.name }}</bdi> {{ $t('round.ready') }}</span
      ></RouterLink
    >
    <VisitActs v-if="!begun" :visit="visit" bare />
  </section>
</template>

<style scoped>
.next p {
  margin: 0.25rem 0;
}
h2 {
  font-size: 2.5rem;
  line-height: 1.1;
  margin: 0;
  overflow-wrap: anywhere;
}
h2 a {
  color: var(--ink);
  text-decoration: none;
}
.when {
  font-size: 1.25rem;
  font-weight: 600;
}
.late {
  color: var(--spare-text);
}
.mark {
  border-left: var(--bar) solid var(--caution-edge);
  padding-left: 0.6rem;
}
.begin {
  margin-top: 0.75rem;
  width: 100%;
}
</style>
