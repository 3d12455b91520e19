<script setup lang="ts">
import { computed } from 'vue'
import { $t } from '../i18n'
import { useUnits } from '../units'
import { nailInWords } from '../words'
import RankBar from './RankBar.vue'
import { deepest, onFloor, pairOf, sizes, type Bar, type Pair, type Rank, type Size } from './layout'

/**
 * The rank: every nail hangs from its own coat line, grouped by paw as the dog stands seen from
 * above, its end as far above the floor line as it has growth left. All from the core's numbers.
 */
const props = defineProps<{
  rank: Rank
  size: Exclude<Size, 'small'>
  selected?: string
  /** By nail: planned, done, left, blood. */
  marks?: Record<string, string>
  /** Hind paws under the fore paws, as on a narrow page. */
  stacked?: boolean
}>()
const emit = defineEmits<{ select: [code: string] }>()

const { length } = useUnits()
const s = computed(() => sizes[props.size])
const perMm = computed(() => s.value.depth / deepest(props.rank))
const floorY = computed(() => s.value.head + props.rank.floor_mm * perMm.value)
/** Side by side both pairs are as deep as the deeper one; under each other each is as deep as its own nails. */
const height = (pair: Pair) => {
  const mm = deepest(props.stacked ? { floor_mm: props.rank.floor_mm, bars: pair.placed.map(p => p.bar) } : props.rank)
  return s.value.head + mm * perMm.value + s.value.foot
}
const pairs = computed(() =>
  [
    pairOf(props.rank, $t('rank.fore_paws'), ['LF', 'RF'], props.size),
    pairOf(props.rank, $t('rank.hind_paws'), ['LH', 'RH'], props.size),
  ].filter(p => p.placed.length > 0),
)
// Both pairs are drawn as wide as the wider one, so that a narrow page shrinks them alike: one scale a dog.
const width = computed(() => Math.max(...pairs.value.map(p => p.width)))
const pickable = computed(() => props.marks !== undefined)
const markWords: Record<string, string> = {
  left: $t('rank.left_out'),
  blood: $t('rank.bled'),
  done: $t('rank.done'),
  planned: $t('rank.as_planned'),
}
const about = (bar: Bar) =>
  $t('rank.long', {
    code: bar.code,
    code2: nailInWords(bar.code),
    mm: length.value.show(bar.length.mm),
    spare: bar.spare ? $t('rank.spare', { low: length.value.range(bar.spare.low_mm, bar.spare.high_mm) }) : '',
    code3: markWords[props.marks?.[bar.code] ?? ''] ?? '',
  })
/** A rule at the left edge: a tick every millimetre, a longer one every five. */
const scale = computed(() => {
  let path = ''
  for (let mm = 0; mm <= props.rank.floor_mm; mm++)
    path += `M0 ${s.value.head + mm * perMm.value}h${mm % 5 === 0 ? 8 : 4}`
  return path
})
const label = (code: string) => code.slice(2).replace('1b', '1′')
</script>

<template>
  <div
    :class="['rank', size, { stacked }]"
    :role="pickable ? 'group' : 'img'"
    :aria-label="pickable ? $t('rank.choose_a_nail') : onFloor(rank)"
  >
    <svg
      v-for="pair in pairs"
      :key="pair.name"
      :viewBox="`0 0 ${width} ${height(pair)}`"
      :width="width"
      :height="height(pair)"
      :aria-hidden="!pickable"
      :role="pickable ? 'group' : undefined"
      :aria-label="pickable ? pair.name : undefined"
    >
      <path v-if="size === 'large'" class="scale" :d="scale" />
      <line class="coat" x1="0" :x2="pair.width" :y1="s.head" :y2="s.head" />
      <g v-for="{ bar, x } in pair.placed" :key="bar.code">
        <RankBar
          :bar="bar"
          :x="x"
          :size="size"
          :per-mm="perMm"
          :selected="bar.code === selected"
          :mark="marks?.[bar.code]"
        />
        <text v-if="s.labels" class="digit" :x="x + s.bar / 2" :y="height(pair) - s.foot + 16">
          {{ label(bar.code) }}
        </text>
        <text v-if="marks && marks[bar.code] !== 'planned'" class="marked" :x="x + s.bar / 2" :y="height(pair) - 1">
          {{ { done: '✓', left: '–', blood: '◆' }[marks[bar.code]!] }}
        </text>
      </g>
      <line
        v-for="f in pair.floors"
        :key="f.from"
        class="floor"
        :x1="f.from"
        :x2="f.to"
        :y1="floorY + 1.5"
        :y2="floorY + 1.5"
      />
      <g v-if="s.labels">
        <line
          v-for="{ bar, x } in pair.placed.filter(p => p.bar.gap?.source === 'assumed')"
          :key="bar.code"
          class="floor-guess"
          :x1="x - s.gap / 2"
          :x2="x + s.bar + s.gap / 2"
          :y1="floorY + 1.5"
          :y2="floorY + 1.5"
        />
      </g>
      <g v-if="s.labels">
        <text v-for="paw in pair.paws" :key="paw.name" class="paw" :x="paw.x" :y="s.head - 6">{{ paw.name }}</text>
      </g>
      <g v-if="pickable">
        <rect
          v-for="{ bar, x } in pair.placed"
          :key="bar.code"
          class="pick"
          :class="{ selected: bar.code === selected }"
          role="button"
          tabindex="-1"
          :x="x - s.gap / 2"
          y="1"
          :width="s.bar + s.gap"
          :height="height(pair) - 2"
          :aria-label="about(bar)"
          :aria-pressed="bar.code === selected"
          @click="emit('select', bar.code)"
        />
      </g>
    </svg>
  </div>
</template>
