<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { decimal } from '../../i18n/language'
import { useUnits } from '../../units'
import { rhythms } from '../../words'
import QuickLine from './QuickLine.vue'

/** The rhythms side by side over half a year. */
const props = defineProps<{ outlooks: Schemas['Outlook'][]; tool?: Schemas['Tool']; now: Schemas['Rhythm'] }>()
const chosen = defineModel<Schemas['Rhythm']>()
const { length } = useUnits()
const all = () => props.outlooks.flatMap(o => o.quick_mm)
const least = () => Math.min(...all())
const most = () => Math.max(...all())
const ways = { back: 'rhythm.back_marked', grows: 'rhythm.grows_marked', holds: 'rhythm.holds_marked' } as const
const moved = (o: Schemas['Outlook']) => $t(ways[o.quick_way], { mm: length.value.bare(Math.abs(o.quick_move_mm)) })
const hours = (minutes: number) =>
  minutes < 90
    ? $t('rhythm.min', { minutes: Math.round(minutes) })
    : $t('rhythm.h', { minutes: decimal(minutes / 60, 1) })
const ground = (o: Schemas['Outlook']) =>
  o.worn_out === undefined
    ? $t('rhythm.not_ground')
    : `${decimal(o.worn_out, o.worn_out < 1 ? 2 : 1)} ${props.tool === 'grinder_diamond' ? $t('rhythm.of_a_bit') : $t('rhythm.bands')}`
</script>

<template>
  <div class="scroll-sideways" tabindex="0" role="region" :aria-label="$t('rhythm.how_often_side_by_side')">
    <table>
      <thead>
        <tr>
          <th>{{ $t('rhythm.how_often') }}</th>
          <th class="number">{{ $t('rhythm.days_with_a_nail_on') }}</th>
          <th>{{ $t('rhythm.quick_of_the_mean_toe', { symbol: length.symbol }) }}</th>
          <th class="line">{{ $t('rhythm.week_by_week') }}</th>
          <th class="number">{{ $t('rhythm.trims_2') }}</th>
          <th class="number">{{ $t('rhythm.at_the_table') }}</th>
          <th class="number">{{ $t('rhythm.grinder_wears_out') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="o in outlooks" :key="o.rhythm" :class="{ chosen: o.rhythm === chosen }">
          <td>
            <button type="button" class="pick" :aria-pressed="o.rhythm === chosen" @click="chosen = o.rhythm">
              {{ rhythms[o.rhythm] }}</button><span v-if="o.rhythm === now" class="soft small"
              >{{ ' ' }}{{ $t('rhythm.now') }}</span
            ><span v-if="!o.choosable" class="soft small">{{ ' ' }}{{ $t('rhythm.only_to_compare_beyond_the') }}</span>
          </td>
          <td class="number" data-says="on the floor">
            <span
              ><strong>{{ o.floor_days }}</strong
              >{{ ' ' }}<span class="soft small">{{ $t('rhythm.of', { weeks: 7 * o.weeks }) }}</span></span
            >
          </td>
          <td :class="['nowrap', { grows: o.quick_way === 'grows' }]" data-says="quick">
            <span>{{ moved(o) }}</span>
          </td>
          <td class="line"><QuickLine :quick="o.quick_mm" :least="least()" :most="most()" /></td>
          <td class="number" data-says="sittings">{{ o.sittings }}</td>
          <td class="number" data-says="at the table">{{ hours(o.minutes) }}</td>
          <td class="number" data-says="grinder">{{ ground(o) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.pick {
  background: none;
  border: 0;
  color: var(--go);
  font-weight: 600;
  min-height: var(--touch);
  padding: 0;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
  white-space: nowrap;
}
td {
  vertical-align: middle;
}
.chosen td {
  background: var(--sunk);
}
.chosen .pick {
  color: var(--ink);
  font-weight: 650;
}
.chosen .pick::before {
  content: '▸ ';
}
.grows {
  color: var(--quick-text);
}
.line {
  min-width: 9rem;
}
/* one below the other, each number with its words */
@media (max-width: 700px) {
  thead {
    display: none;
  }
  tr {
    border-bottom: 1px solid var(--line);
    column-gap: 1rem;
    display: grid;
    grid-template-columns: 1fr 1fr;
    padding-block: 0.4rem;
  }
  td {
    align-items: baseline;
    border: 0;
    display: flex;
    justify-content: space-between;
    padding: 0.1rem 0;
    text-align: left;
  }
  td[data-says]::before {
    color: var(--ink-soft);
    content: attr(data-says);
    font-size: var(--small);
  }
  td:first-child {
    display: block;
    grid-column: 1 / -1;
  }
  .chosen {
    background: var(--sunk);
  }
}
</style>
