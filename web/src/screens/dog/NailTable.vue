<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { shortDayOf } from '../../dates'
import { $t } from '../../i18n'
import EstimateText from '../../parts/EstimateText.vue'
import { useUnits } from '../../units'
import { colours, rules, sourceMarks, sources, states } from '../../words'

const props = defineProps<{
  dogId: string
  rank: Schemas['Rank']
  next?: Schemas['Next']
  training: Schemas['Paw'][]
}>()
/** Nothing here is told by the user as a number. */
const shownSources = (Object.keys(sources) as Schemas['Source'][]).filter(s => s !== 'told')
const { length } = useUnits()
/** Why a nail has no date. */
const why = (code: string) => {
  if (props.training.some(p => code.startsWith(p))) return $t('dog.on_the_ladder_2')
  return props.next ? $t('dog.a_veterinarian_first') : $t('dog.no_trim_yet')
}
const dateOf = (code: string) => props.next?.per_nail.find(n => n.code === code)
</script>

<template>
  <section :aria-label="$t('dog.each_nail')">
    <div class="scroll-sideways" tabindex="0" role="region" :aria-label="$t('dog.each_nail')">
      <table>
        <thead>
          <tr>
            <th>{{ $t('dog.nail') }}</th>
            <th>{{ $t('dog.colour') }}</th>
            <th class="number">{{ $t('dog.length', { symbol: length.symbol }) }}</th>
            <th class="number">{{ $t('dog.safe_to_trim') }}</th>
            <th class="number">{{ $t('dog.gap_to_the_floor') }}</th>
            <th class="number">{{ $t('dog.grows_a_week') }}</th>
            <th>{{ $t('dog.due') }}</th>
            <th>{{ $t('dog.because') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="bar in rank.bars" :key="bar.code">
            <td>
              <RouterLink :to="`/dogs/${dogId}/nails/${bar.code}`"
                ><strong>{{ bar.code }}</strong></RouterLink
              ><span v-if="bar.state !== 'sound'"> {{ states[bar.state] }}</span>
            </td>
            <td>{{ colours[bar.colour] }}</td>
            <td class="number"><EstimateText :estimate="bar.length" /></td>
            <td class="number"><EstimateText :estimate="bar.spare" /></td>
            <td class="number">
              <EstimateText v-if="bar.gap" :estimate="bar.gap" /><span v-else class="soft">{{
                $t('dog.no_floor')
              }}</span>
            </td>
            <td class="number">
              {{ length.bare(bar.net_mm_week) }} <span class="soft small">± {{ length.bare(bar.sd_mm_week) }}</span>
            </td>
            <template v-if="dateOf(bar.code)">
              <td class="nowrap">{{ shortDayOf(dateOf(bar.code)!.due) }}</td>
              <td>
                {{ dateOf(bar.code)!.long_quick ? $t('dog.long_quick') : rules[dateOf(bar.code)!.rule]
                }}<span v-if="dateOf(bar.code)!.can_wait" class="soft">{{ $t('dog.can_wait') }}</span>
              </td>
            </template>
            <template v-else
              ><td class="soft">–</td>
              <td class="soft">{{ why(bar.code) }}</td></template
            >
          </tr>
        </tbody>
      </table>
    </div>
    <p class="soft small key">
      {{ $t('dog.in_grey_the_range_that') }}
      <span v-for="source in shownSources" :key="source"> {{ sourceMarks[source] }} {{ sources[source] }}.</span>
    </p>
  </section>
</template>

<style scoped>
.key {
  margin-top: 0.5rem;
}
.key span {
  margin-inline: 0.5em;
}
td {
  white-space: nowrap;
}
</style>
