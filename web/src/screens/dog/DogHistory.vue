<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useHistory } from '../../api/queries'
import { fullDayOf } from '../../dates'
import { eventsOf } from '../../chart/events'
import { $t } from '../../i18n'
import AnswerState from '../../parts/AnswerState.vue'
import { useUnits } from '../../units'
import { groups as groupWords, nailInWords } from '../../words'

/** How each nail, or each group, came to be what it is, and where it goes. */
const HistoryChart = defineAsyncComponent(() => import('../../chart/HistoryChart.vue'))
const props = defineProps<{ dogId: string; nails: Schemas['NailCode'][]; groups: Schemas['Group'][] }>()
const group = ref<Schemas['Group'] | undefined>(props.groups[0])
const nail = ref<Schemas['NailCode']>()
const asTable = ref(false)
const { data, error, refetch } = useHistory(
  () => props.dogId,
  () => nail.value ?? group.value!,
)
const { length } = useUnits()
const name = computed(() =>
  nail.value ? `${nail.value}, ${nailInWords(nail.value)}` : $t('dog.on_the_mean', { group: groupWords[group.value!] }),
)

function pickGroup(g: Schemas['Group']) {
  group.value = g
  nail.value = undefined
}
const rows = computed(() =>
  data.value
    ? [
        ...eventsOf(data.value.past).map(e => ({ ...e, ahead: false })),
        ...data.value.forecast.map(p => ({ after: p, before: undefined, ahead: true })),
      ]
    : [],
)
</script>

<template>
  <section :aria-label="$t('dog.history')">
    <div class="head">
      <button type="button" class="btn btn-plain" :aria-pressed="asTable" @click="asTable = !asTable">
        {{ asTable ? $t('dog.as_a_picture') : $t('dog.as_a_table') }}
      </button>
    </div>
    <div class="pick">
      <div class="choices" role="group" :aria-label="$t('dog.group_of_nails')">
        <button v-for="g in groups" :key="g" type="button" :aria-pressed="!nail && group === g" @click="pickGroup(g)">
          {{ groupWords[g] }}
        </button>
      </div>
      <label class="one"
        >{{ $t('dog.or_one_nail') }}
        <select v-model="nail" class="form-select">
          <option :value="undefined">–</option>
          <option v-for="code in nails" :key="code" :value="code">{{ code }}</option>
        </select>
      </label>
    </div>
    <AnswerState v-if="!data" :error="error" :what="$t('dog.its_history')" @again="refetch()" />
    <p v-else-if="data.past.length === 0" class="soft">{{ $t('dog.no_trim_and_no_check') }}</p>
    <template v-else-if="!asTable">
      <HistoryChart :history="data" :name="name" />
      <p class="soft small legend">
        <span class="mark nail" /> {{ $t('dog.nail_hatched_down_to_the') }} <span class="mark quick" />
        {{ $t('dog.end_of_the_quick') }} <span class="mark floor" /> {{ $t('dog.length_at_which_it_touches') }}
        <span class="blood">▲</span> {{ $t('dog.bled_check_of_the_feet') }}
      </p>
    </template>
    <div v-else class="scroll-sideways table" tabindex="0" role="region" :aria-label="$t('dog.history_as_a_table')">
      <table>
        <thead>
          <tr>
            <th>{{ $t('dog.day') }}</th>
            <th class="number">{{ $t('dog.before', { symbol: length.symbol }) }}</th>
            <th class="number">{{ $t('dog.off') }}</th>
            <th class="number">{{ $t('dog.nail') }}</th>
            <th class="number">{{ $t('dog.quick') }}</th>
            <th class="number">{{ $t('dog.touches_at') }}</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="(r, i) in rows" :key="i" :class="{ ahead: r.ahead }">
            <td class="nowrap">{{ fullDayOf(r.after.on) }}</td>
            <td class="number">{{ r.before ? length.bare(r.before.length_mm) : '' }}</td>
            <td class="number">{{ r.after.removed_mm > 0 ? length.bare(r.after.removed_mm) : '' }}</td>
            <td class="number">
              {{ length.bare(r.after.length_mm) }}
              <span class="soft small">{{ length.range(r.after.length_low_mm, r.after.length_high_mm) }}</span>
            </td>
            <td class="number">
              {{ length.bare(r.after.quick_mm) }}
              <span class="soft small">{{ length.range(r.after.quick_low_mm, r.after.quick_high_mm) }}</span>
            </td>
            <td class="number">
              {{ r.after.floor_mm === undefined ? $t('dog.never') : length.bare(r.after.floor_mm) }}
            </td>
            <td>
              {{
                r.ahead
                  ? $t('dog.if_nobody_trims')
                  : r.after.blood
                    ? $t('dog.bled')
                    : r.after.sitting
                      ? r.after.measured
                        ? $t('dog.measured')
                        : ''
                      : $t('dog.check_of_the_feet')
              }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.head {
  align-items: center;
  display: flex;
  justify-content: space-between;
}
.pick {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1.25rem;
  margin-block: 0.5rem;
}
.one {
  align-items: center;
  display: flex;
  font-weight: 400;
  gap: 0.5rem;
  margin: 0;
}
.one select {
  width: 6.5rem;
}
.table {
  max-height: 26rem;
  overflow-y: auto;
}
.ahead td {
  color: var(--ink-soft);
}
.mark {
  border-top: 3px solid var(--ink);
  display: inline-block;
  vertical-align: middle;
  width: 1.4em;
}
.mark.quick {
  border-color: var(--quick);
}
.mark.floor {
  border-color: var(--go);
  border-top-style: dotted;
}
.blood {
  color: var(--quick-text);
}
</style>
