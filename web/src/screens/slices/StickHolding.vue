<script setup lang="ts">
import { $t } from '../../i18n'
/** How slices and card lie for the picture: seen from straight above, every slice on its side. */
const left = [20, 40, 61, 82, 102, 123, 144, 164, 185, 206]
</script>

<template>
  <figure class="how">
    <svg viewBox="0 0 320 150" role="img" :aria-label="$t('slices.from_straight_above_a_bank')">
      <rect class="card" x="20" y="10" width="128" height="81" rx="5" />
      <text x="84" y="55">{{ $t('slices.a_bank_cards_size') }}</text>
      <rect v-for="(x, i) in left" :key="x" class="slice" :x="x" :y="106 + (i % 3)" :width="4 + (i % 2)" height="26" />
      <text x="268" y="116">{{ $t('slices.ten_slices') }}</text>
      <text x="268" y="130">{{ $t('slices.on_their_sides') }}</text>
    </svg>
  </figure>
</template>

<style scoped>
.how {
  margin: 0;
  max-width: 30rem;
}
svg {
  background: var(--sheet);
  border: 1px solid var(--line);
  width: 100%;
}
.card {
  fill: none;
  stroke: var(--go);
  stroke-dasharray: 5 3;
  stroke-width: 2;
}
.slice {
  fill: var(--spare-ground);
  stroke: var(--ink);
  stroke-width: 1;
}
text {
  fill: var(--ink);
  font-family: var(--face);
  font-size: 11px;
  text-anchor: middle;
}
</style>
