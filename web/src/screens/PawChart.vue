<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { $t } from '../i18n'
import { print } from '../local/print'
import { pawWords } from '../words'

/** A chart to hang at the table: which nail is which, and what a cut end says. */
const paws = Object.entries(pawWords) as [keyof typeof pawWords, string][]
/** Where the toes of a left paw stand, seen from above with the dog looking up the page; a right paw is its mirror. */
const toes: [number, number, number][] = [
  [5, -30, -4],
  [4, -13, -22],
  [3, 9, -22],
  [2, 27, -6],
  [1, 40, 24],
]
const x = (paw: string, at: number) => (paw.startsWith('R') ? -at : at)
const ends: [string, string, string][] = [
  ['white', $t('chart.dry_white'), $t('chart.go_on')],
  ['grey', $t('chart.light_grey'), $t('chart.thinner_now')],
  ['dark', $t('chart.a_dark_centre'), $t('chart.the_first_sign_stop_or')],
  ['dot', $t('chart.a_dot'), $t('chart.stop_the_quick_is_right')],
  ['pink', $t('chart.pinkish_of_a_light_nail'), $t('chart.the_first_sign_stop')],
]
</script>

<template>
  <div class="screen chart">
    <div class="screen-head">
      <div>
        <h1>{{ $t('chart.paw_chart') }}</h1>
        <p class="soft lead no-print">{{ $t('chart.to_print_and_hang_at') }}</p>
      </div>
      <div class="aside no-print">
        <BButton variant="go" @click="print">{{ $t('chart.print_it') }}</BButton>
      </div>
    </div>
    <div class="paws">
      <figure v-for="[paw, words] in paws" :key="paw">
        <svg viewBox="-60 -52 120 110" role="img" :aria-label="$t('chart.the_paw_with_its_toes', { words })">
          <ellipse class="pad" cx="0" cy="16" rx="22" ry="17" />
          <g v-for="[n, at, y] in toes" :key="n">
            <ellipse
              :class="['toe', { dew: n === 1 }]"
              :cx="x(paw, at)"
              :cy="y"
              :rx="n === 1 ? 7 : 9"
              :ry="n === 1 ? 9 : 13"
            />
            <text :x="x(paw, at)" :y="y + 5">{{ n }}</text>
          </g>
        </svg>
        <figcaption>
          <strong>{{ paw }}</strong> {{ words }}
        </figcaption>
      </figure>
    </div>
    <p>{{ $t('chart.n1_is_the_dewclaw_inside') }}</p>
    <table>
      <thead>
        <tr>
          <th>{{ $t('chart.cut_end') }}</th>
          <th>{{ $t('chart.what_it_looks_like') }}</th>
          <th>{{ $t('chart.what_to_do') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="[kind, looks, does] in ends" :key="kind">
          <td>
            <svg viewBox="-12 -12 24 24" class="end" aria-hidden="true">
              <circle r="10" :class="['horn', kind]" />
              <circle v-if="kind === 'dark'" r="4" class="core" />
              <circle v-if="kind === 'dot'" r="5" class="core" />
              <circle v-if="kind === 'dot'" r="1.6" class="wet" />
            </svg>
          </td>
          <td>{{ looks }}</td>
          <td>{{ does }}</td>
        </tr>
      </tbody>
    </table>
    <p>
      <strong>{{ $t('chart.it_bleeds') }}</strong> {{ $t('chart.stay_calm_styptic_or_cornstarch') }}
    </p>
  </div>
</template>

<style scoped>
.lead {
  margin: 0;
}
.paws {
  display: grid;
  gap: 1rem;
  grid-template-columns: repeat(4, minmax(0, 1fr));
}
figure {
  margin: 0;
  text-align: center;
}
.pad,
.toe {
  fill: var(--toe);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.toe.dew {
  stroke-dasharray: 3 2;
}
text {
  fill: var(--ink);
  font-size: 13px;
  font-weight: 700;
  text-anchor: middle;
}
.end {
  height: 44px;
  width: 44px;
}
.horn {
  fill: #d9cfbc;
  stroke: var(--ink);
}
.horn.white {
  fill: #f4efe4;
}
.horn.grey {
  fill: #b7b2a8;
}
.horn.pink {
  fill: #e9b7ae;
}
.core {
  fill: #2b2421;
}
.wet {
  fill: #a9485b;
}
td {
  vertical-align: middle;
}
@media (max-width: 700px) {
  .paws {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
@media print {
  .no-print {
    display: none;
  }
}
</style>
