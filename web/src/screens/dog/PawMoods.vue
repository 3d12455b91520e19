<script setup lang="ts">
import { computed } from 'vue'
import { $t } from '../../i18n'
import CalmerNote from '../../parts/CalmerNote.vue'
import type { Schemas } from '../../api/client'
import { fullDayOf, shortDayOf } from '../../dates'
import { pawWords, reactionOf } from '../../words'

/**
 * How each paw was taken, sitting by sitting: the taller the bar, the harder; below it how long the dog stayed calm.
 */
const props = defineProps<{ moods: Schemas['Mood'][]; calmer: Schemas['Calmer'][]; training: string; dogId: string }>()
const most = 26
const shown = computed(() => props.moods.slice(-most))
const paws = Object.keys(pawWords) as Schemas['Paw'][]

const left = 40,
  column = 26,
  row = 34
const width = computed(() => left + shown.value.length * column + 8)
const calm = computed(() => shown.value.filter(m => m.minutes !== undefined))
const longest = computed(() => Math.max(1, ...calm.value.map(m => m.minutes!)))
const height = 4 * row + 76
const base = 4 * row + 58
const bar = (minutes: number) => (minutes / longest.value) * 44
const of = (m: Schemas['Mood'], paw: Schemas['Paw']) => m.paws.find(p => p.paw === paw)
const summary = computed(() => $t('dog.how_it_took_each_paw', { n: shown.value.length }))
</script>

<template>
  <section :aria-label="$t('dog.how_the_dog_is_about_it')">
    <div class="head">
      <RouterLink :to="`/dogs/${dogId}/ladder`" class="btn btn-plain">{{
        training ? $t('dog.train') : $t('dog.begin_a_ladder')
      }}</RouterLink>
    </div>
    <p v-if="training" class="soft">{{ $t('dog.on_the', { training }) }}</p>
    <CalmerNote :calmer="calmer" />
    <p v-if="shown.length === 0" class="soft">{{ $t('dog.no_trim_has_been_recorded') }}</p>
    <template v-else>
      <div class="scroll-sideways" tabindex="0" role="region" :aria-label="$t('dog.reactions_by_paw')">
        <svg :viewBox="`0 0 ${width} ${height}`" :width="width" :height="height" role="img" :aria-label="summary">
          <g v-for="(paw, r) in paws" :key="paw">
            <text x="0" :y="r * row + 24" class="paw">{{ paw }}</text>
            <line :x1="left" :x2="width - 8" :y1="r * row + 28" :y2="r * row + 28" class="line" />
            <g v-for="(m, c) in shown" :key="c">
              <template v-if="of(m, paw)">
                <rect
                  :x="left + c * column + 5"
                  :y="r * row + 25 - 5 * of(m, paw)!.strain"
                  width="15"
                  :height="3 + 5 * of(m, paw)!.strain"
                  :class="of(m, paw)!.worst ?? 'untold'"
                >
                  <title>
                    {{
                      $t('dog.nails_3', {
                        on: fullDayOf(m.on),
                        paw: pawWords[paw],
                        worst: reactionOf(of(m, paw)!.worst) || $t('dog.nobody_said'),
                        nails: of(m, paw)!.nails,
                      })
                    }}
                  </title>
                </rect>
                <path
                  v-if="of(m, paw)!.strain >= 3"
                  :d="`M${left + c * column + 8} ${r * row + 13 - 5 * (of(m, paw)!.strain - 3)} l9 9 m0 -9 l-9 9`"
                  class="cross"
                />
              </template>
            </g>
          </g>
          <g v-if="calm.length > 0">
            <text x="0" :y="base - 6" class="paw">{{ $t('dog.min') }}</text>
            <template v-for="(m, c) in shown" :key="`t${c}`">
              <template v-if="m.minutes !== undefined">
                <rect
                  :x="left + c * column + 5"
                  :y="base - bar(m.minutes)"
                  width="15"
                  :height="bar(m.minutes)"
                  class="took"
                >
                  <title>
                    {{
                      $t('dog.min_calm_for', {
                        on: fullDayOf(m.on),
                        minutes: m.minutes,
                        calm_minutes: m.calm_minutes ?? m.minutes,
                      })
                    }}
                  </title>
                </rect>
                <rect
                  :x="left + c * column + 5"
                  :y="base - bar(m.calm_minutes ?? m.minutes)"
                  width="15"
                  :height="bar(m.calm_minutes ?? m.minutes)"
                  class="calm-time"
                />
              </template>
            </template>
            <line :x1="left" :x2="width - 8" :y1="base" :y2="base" class="line" />
          </g>
          <text
            v-for="(m, c) in shown.filter((_, i) => i % 4 === 0)"
            :key="`d${c}`"
            :x="left + c * 4 * column + 4"
            :y="height - 4"
            class="day"
          >
            {{ shortDayOf(m.on) }}
          </text>
        </svg>
      </div>
      <p class="soft small legend">{{ $t('dog.low_calm_taller_uneasy_pulling') }}</p>
      <details>
        <summary>{{ $t('dog.the_same_as_a_table') }}</summary>
        <div class="scroll-sideways" tabindex="0" role="region" :aria-label="$t('dog.reactions_as_a_table')">
          <table>
            <thead>
              <tr>
                <th>{{ $t('dog.day') }}</th>
                <th v-for="p in paws" :key="p">{{ p }}</th>
                <th class="number">{{ $t('dog.min') }}</th>
                <th class="number">{{ $t('dog.calm_for') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="m in [...shown].reverse()" :key="m.on">
                <td class="nowrap">{{ fullDayOf(m.on) }}</td>
                <td v-for="p in paws" :key="p">
                  {{ of(m, p) ? reactionOf(of(m, p)!.worst) || $t('dog.not_said') : '' }}
                </td>
                <td class="number">{{ m.minutes ?? '' }}</td>
                <td class="number">{{ m.calm_minutes ?? (m.minutes !== undefined ? $t('dog.all_2') : '') }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </details>
    </template>
  </section>
</template>

<style scoped>
.head {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  justify-content: space-between;
}
svg {
  display: block;
}
text {
  fill: var(--ink-soft);
  font-size: 13px;
}
.paw {
  fill: var(--ink);
  font-weight: 650;
}
.line {
  stroke: var(--line-strong);
}
rect {
  fill: var(--go);
}
.uneasy {
  fill: var(--spare);
}
.pulling {
  fill: var(--spare);
  stroke: var(--ink);
}
.fighting,
.snapping {
  fill: var(--quick);
}
.cross {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.took {
  fill: var(--sunk);
  stroke: var(--line-strong);
}
.untold {
  fill: none;
  stroke: var(--line-strong);
}
.calm-time {
  fill: var(--go);
}
.legend {
  margin-top: 0.35rem;
}
summary {
  color: var(--go);
  cursor: pointer;
  font-weight: 600;
  min-height: 32px;
}
</style>
