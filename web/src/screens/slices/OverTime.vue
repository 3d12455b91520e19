<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { dayOf } from '../../dates'
import { $t } from '../../i18n'
import { useUnits } from '../../units'

/** How thick slices came out each time they were measured, beside how thick they were meant to be. */
const props = defineProps<{ all: Schemas['SlicesMeasured'][] }>()
const { length } = useUnits()
const rows = computed(() => [...props.all].reverse())
const most = computed(() => Math.max(...rows.value.map(r => Math.max(r.true_mm.high, r.meant_mm))))
const at = (mm: number) => `${((100 * mm) / most.value).toFixed(1)}%`
</script>

<template>
  <section aria-labelledby="over-time">
    <h2 id="over-time">{{ $t('slices.over_time') }}</h2>
    <ol>
      <li v-for="r in rows" :key="r.on + r.true_mm.value">
        <span>{{ dayOf(r.on) }}</span>
        <span
          >{{ $t('slices.meant_cut', { meant: length.show(r.meant_mm), true: length.show(r.true_mm.value) })
          }}<span class="soft small">{{
            $t('slices.one_differs_from_the_next', { spread: length.show(r.spread_mm) })
          }}</span></span
        >
        <span class="bar" aria-hidden="true"
          ><i class="range" :style="{ left: at(r.true_mm.low), right: `calc(100% - ${at(r.true_mm.high)})` }" /><i
            class="meant"
            :style="{ left: at(r.meant_mm) }" /><i class="dot" :style="{ left: at(r.true_mm.value) }"
        /></span>
      </li>
    </ol>
    <p class="small soft">{{ $t('slices.the_upright_line_is_what') }}</p>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  max-width: 56rem;
  padding: 0;
}
li {
  align-items: center;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 0.25rem 1rem;
  grid-template-columns: 7rem minmax(0, 1fr) minmax(8rem, 16rem);
  padding-block: 0.5rem;
}
.bar {
  border-bottom: 1px solid var(--line-strong);
  display: block;
  height: 22px;
  position: relative;
}
.range {
  background: var(--spare);
  bottom: 6px;
  height: 8px;
  position: absolute;
}
.meant {
  border-left: 2px solid var(--ink);
  bottom: 0;
  height: 22px;
  position: absolute;
}
.dot {
  background: var(--ink);
  border-radius: 50%;
  bottom: 5px;
  height: 10px;
  margin-left: -5px;
  position: absolute;
  width: 10px;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
