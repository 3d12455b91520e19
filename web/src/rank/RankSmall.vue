<script setup lang="ts">
import { computed } from 'vue'
import { $t } from '../i18n'
import { deepest, onFloor, pairOf, sizes, type Rank } from './layout'
import { crack, curl, outline, touch } from './outline'

/** The rank of a dog in a list: the same bars in a handful of shapes, since a list has hundreds of them. */
const props = defineProps<{ rank: Rank }>()
const s = sizes.small
const perMm = computed(() => s.depth / deepest(props.rank))
const floorY = computed(() => props.rank.floor_mm * perMm.value + 1.5)
const height = s.depth + s.foot
const pairs = computed(() =>
  [
    pairOf(props.rank, $t('rank.fore_paws'), ['LF', 'RF'], 'small'),
    pairOf(props.rank, $t('rank.hind_paws'), ['LH', 'RH'], 'small'),
  ].filter(p => p.placed.length > 0),
)
/** All bars of a pair as one path of each kind. */
const shapes = computed(() =>
  pairs.value.map(pair => {
    const d = { toe: '', horn: '', spare: '', unsure: '', quick: '', touch: '', curl: '', crack: '', floor: '' }
    for (const { bar, x } of pair.placed) {
      const top = bar.top_mm * perMm.value
      const at = (mm: number) => top + Math.max(0, Math.min(mm, bar.length.mm)) * perMm.value
      const place = { x, w: s.bar, top, tip: at(bar.length.mm) }
      const slab = (from: number, to: number) => (to > from ? `M${x} ${from}h${s.bar}V${to}h${-s.bar}Z` : '')
      const [short, long] = [at(bar.quick_short_mm), at(bar.quick_long_mm)]
      if (top > 0) d.toe += slab(0, top)
      d.spare += outline(place, bar.on_floor)
      d.unsure += slab(short, long)
      d.quick += slab(top, short)
      if (bar.on_floor) d.touch += touch(place)
      if (bar.curling) d.curl += curl(place)
      if (bar.state !== 'sound') d.crack += crack(place)
    }
    for (const f of pair.floors) d.floor += `M${f.from} ${floorY.value}H${f.to}`
    return { name: pair.name, width: pair.width, d }
  }),
)
</script>

<template>
  <div class="rank small" role="img" :aria-label="onFloor(rank)">
    <svg
      v-for="p in shapes"
      :key="p.name"
      :viewBox="`0 0 ${p.width} ${height}`"
      :width="p.width"
      :height="height"
      aria-hidden="true"
    >
      <path class="coat" :d="`M0 0H${p.width}`" />
      <path v-if="p.d.toe" class="toe" :d="p.d.toe" />
      <path class="spare" :d="p.d.spare" />
      <path class="unsure" :d="p.d.unsure" />
      <path class="quick" :d="p.d.quick" />
      <path v-if="p.d.curl" class="curl" :d="p.d.curl" />
      <path v-if="p.d.crack" class="crack" :d="p.d.crack" />
      <path v-if="p.d.touch" class="touch" :d="p.d.touch" />
      <path class="floor" :d="p.d.floor" />
    </svg>
  </div>
</template>
