<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { dayOf, fullDayOf, inDays, shortDayOf } from '../../dates'
import { useChangeDog, useSettings } from '../../api/queries'
import { $t } from '../../i18n'
import RefusalNote from '../../parts/RefusalNote.vue'
import WhyTable from '../../parts/WhyTable.vue'
import { rhythms } from '../../words'
import { useNailNames } from '../../local/nailNames'

const { names } = useNailNames()
const props = defineProps<{
  dog?: Schemas['Dog']
  next?: Schemas['Next']
  needs?: Schemas['Needs']
  days?: number
  whyNone: string
  training?: string
}>()
const { data: settings } = useSettings()
const today = computed(() => settings.value?.today ?? '9999')
/** The nails that meet the floor before the date, but for those that are soon down again whatever is done. */
const sooner = computed(() => props.next?.first.filter(n => !props.next!.again.includes(n)) ?? [])
const first = computed(() => $t('dog.touch', { nails: names(sooner.value) }, sooner.value.length))
const { mutate, isPending, error } = useChangeDog(() => props.dog?.id ?? '')
</script>

<template>
  <div v-if="!next" class="next">
    <p class="date">{{ training ? $t('dog.on_the_ladder') : $t('dog.no_date_yet') }}</p>
    <p class="why">{{ training || whyNone }}.</p>
  </div>
  <div v-else class="next">
    <p class="date">
      <span class="soft">{{ $t('dog.next') }}</span>{{ ' '
      }}<template v-if="(days ?? 0) < 0"
        >{{ $t('dog.today') }}
        <span class="days late">{{ $t('dog.late_since', { due: shortDayOf(next.due) }) }}</span></template
      ><template v-else
        >{{ fullDayOf(next.due) }} <span class="days">{{ inDays(days ?? 0) }}</span></template
      >
    </p>
    <p class="why">
      {{ next.reason }}.
      <template v-if="next.late">{{ $t('dog.there_is_no_working_day') }}{{ ' ' }}</template>
      <template v-else-if="next.due !== next.earliest"
        >{{ $t('dog.moved_to_a_working_day', { earliest: dayOf(next.earliest) }) }}{{ ' ' }}</template
      >
    </p>
    <p v-if="next.touches && sooner.length > 0" class="why touches">
      {{ $t('dog.from', { first }) }} <strong>{{ dayOf(next.touches) }}</strong>.
      <template v-if="next.clear_rhythm"
        >{{ $t('dog.done_it_would_stay_clear', { clear_rhythm: rhythms[next.clear_rhythm] }) }}
        <button
          v-if="dog"
          type="button"
          :disabled="isPending"
          @click="mutate({ version: dog!.version, rhythm: next.clear_rhythm })"
        >
          {{ $t('dog.do_it', { clear_rhythm: rhythms[next.clear_rhythm] }) }}
        </button></template
      >
      <template v-if="dog && next.touches > today"
        >{{ ' '
        }}<button
          type="button"
          :disabled="isPending"
          @click="mutate({ version: dog!.version, come_once: next.touches })"
        >
          {{ $t('dog.come_on_this_once', { touches: dayOf(next.touches) }) }}
        </button></template
      >
    </p>
    <p v-if="dog?.come_once && next.rule === 'once'" class="why touches">
      {{ $t('dog.agreed_for_this_once') }}
      <button type="button" :disabled="isPending" @click="mutate({ version: dog!.version, come_once: '' })">
        {{ $t('dog.take_it_back') }}
      </button>
    </p>
    <p v-if="next.again.length > 0" class="why touches">
      {{
        $t('dog.on_the_floor_again_days', { again: names(next.again), n: $t('dog.stands_stand', next.again.length) })
      }}
      <RouterLink v-if="dog" :to="`/dogs/${dog.id}/rhythm`">{{ $t('dog.bring_it_back') }}</RouterLink>
    </p>
    <RefusalNote v-if="error" :error="error" />
    <details>
      <summary>{{ $t('dog.why_this_date') }}</summary>
      <p v-if="needs" class="why">
        {{
          $t('dog.its_nails_need_about_days', {
            days: Math.round(needs.days),
            low_days: Math.round(needs.low_days),
            high_days: Math.round(needs.high_days),
          })
        }}
      </p>
      <WhyTable :why="next.why" :nails="next.per_nail.length" />
      <p class="soft small">
        {{
          $t('dog.you_can_change_this_under', {
            dates: next.dates === 'calendar' ? $t('dog.by_the_calendar_a_trim') : $t('dog.by_the_floor_a_trim'),
          })
        }}
      </p>
    </details>
  </div>
</template>

<style scoped>
.next {
  border-left: var(--bar) solid var(--go);
  padding-left: 1rem;
}
.date {
  font-size: 1.5rem;
  font-weight: 650;
  margin: 0;
}
.date .soft {
  font-size: 1rem;
  font-weight: 400;
}
.days {
  font-size: 1rem;
  font-weight: 400;
  margin-left: 0.5rem;
}
.days.late {
  color: var(--quick-text);
  font-weight: 650;
}
.days.late::before {
  content: '◀ ';
}
.why {
  margin: 0.1rem 0 0.25rem;
}
.touches button {
  background: none;
  border: 0;
  color: var(--go);
  font-weight: 600;
  min-height: 44px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.why::first-letter {
  text-transform: uppercase;
}
summary {
  color: var(--go);
  cursor: pointer;
  font-weight: 600;
  min-height: 32px;
}
</style>
