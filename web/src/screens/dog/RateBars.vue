<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { useUnits } from '../../units'
import { groups } from '../../words'

/** Growth of each group beside what is usual: the dewclaws, which nothing wears, against the worn nails. */
const props = defineProps<{ growth: Schemas['Growth'] }>()
const { length } = useUnits()
const rows = computed(() => [...props.growth.groups].reverse()) // the dewclaws first: the reference
const most = computed(() =>
  Math.max(
    1,
    ...props.growth.groups.flatMap(g => [g.net.high_mm_week, g.usual.high_mm_week, ...g.seen.map(s => s.rate.mm_week)]),
  ),
)
const at = (mm: number) => `${Math.min(100, Math.max(0, (mm / most.value) * 100))}%`
const span = (r: Schemas['Rate']) => ({
  left: at(r.low_mm_week),
  width: `calc(${at(r.high_mm_week)} - ${at(r.low_mm_week)})`,
})
const say = (r: Schemas['Rate']) =>
  `${length.value.bare(r.mm_week)} (${length.value.range(r.low_mm_week, r.high_mm_week)})`
</script>

<template>
  <div class="scroll-sideways">
    <table class="rates">
      <thead>
        <tr>
          <th>{{ $t('dog.nails_4') }}</th>
          <th class="number">{{ $t('dog.a_week', { symbol: length.symbol }) }}</th>
          <th class="plot">
            {{ $t('dog.usual') }} <span class="key usual" /> {{ $t('dog.this_dog') }} <span class="key net" />
            {{ $t('dog.seen') }} <span class="key seen">·</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="g in rows" :key="g.group">
          <td class="nowrap">
            {{ groups[g.group]
            }}<span v-if="g.group === 'dewclaw'" class="soft small">{{ ' ' }}{{ $t('dog.nothing_wears_them') }}</span>
          </td>
          <td class="number">
            <strong>{{ say(g.net) }}</strong><br /><span class="soft small">{{
              $t('dog.usual_2', { usual: say(g.usual) })
            }}</span>
          </td>
          <td class="plot">
            <div class="line" aria-hidden="true">
              <span class="usual" :style="span(g.usual)" />
              <span class="net" :style="span(g.net)" />
              <span
                v-for="(s, i) in g.seen"
                :key="i"
                class="seen"
                :style="{ left: at(s.rate.mm_week), top: `${20 + ((i * 37) % 60)}%` }"
              />
              <span class="mean" :style="{ left: at(g.net.mm_week) }" />
            </div>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.rates {
  max-width: 60rem;
}
.plot {
  padding-right: 0;
  width: 55%;
}
.line {
  border-bottom: 1px solid var(--line-strong);
  border-left: 2px solid var(--ink);
  height: 2.4rem;
  position: relative;
}
.line span {
  position: absolute;
}
.usual {
  border: 2px dashed var(--line-strong);
  bottom: 15%;
  top: 15%;
}
.line .net {
  background: color-mix(in srgb, var(--spare) 65%, transparent);
  bottom: 32%;
  top: 32%;
}
.line .mean {
  background: var(--ink);
  bottom: 10%;
  top: 10%;
  transform: translateX(-50%);
  width: 3px;
}
.line .seen {
  background: var(--ink-soft);
  border-radius: 50%;
  height: 4px;
  transform: translate(-50%, -50%);
  width: 4px;
}
.key {
  display: inline-block;
  height: 0.7em;
  margin-right: 0.75rem;
  width: 1.2em;
}
.key.usual {
  border: 2px dashed var(--line-strong);
}
.key.net {
  background: color-mix(in srgb, var(--spare) 65%, transparent);
}
@media (max-width: 700px) {
  .rates tr {
    display: block;
  }
  .rates td {
    border: 0;
    display: block;
    text-align: left;
    width: 100%;
  }
  .rates thead th:not(.plot) {
    display: none;
  }
}
</style>
