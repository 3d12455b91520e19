<script setup lang="ts">
import { $t } from '../../i18n'
/** How card and foot are held for a picture: from the side, the card flat beside the nail. */
</script>

<template>
  <figure class="how">
    <svg viewBox="0 0 320 150" role="img" :aria-label="$t('photo.from_the_side_the_card')">
      <path class="floor" d="M8 132H312" />
      <path class="paw" d="M14 60Q60 52 92 66Q116 74 122 92Q124 108 112 118Q88 130 60 128Q34 128 14 118Z" />
      <path class="nail" d="M116 82Q142 86 152 116L146 122Q130 104 112 104Z" />
      <rect class="card" x="166" y="40" width="128" height="81" rx="5" />
      <path class="line" d="M116 82L116 20M152 116L152 20" />
      <text x="134" y="16">{{ $t('photo.the_nail_from_the_side') }}</text>
      <text x="230" y="84">{{ $t('photo.a_bank_cards_size') }}</text>
      <text x="230" y="98">{{ $t('photo.flat_beside_the_nail') }}</text>
    </svg>
    <figcaption class="small soft">{{ $t('photo.hold_the_card_flat_beside') }}</figcaption>
  </figure>
</template>

<style scoped>
.how {
  margin: 0;
  max-width: 34rem;
}
svg {
  background: var(--sheet);
  border: 1px solid var(--line);
  width: 100%;
}
.floor {
  stroke: var(--line-strong);
  stroke-width: 2;
}
.paw {
  fill: var(--toe);
  stroke: var(--line-strong);
}
.nail {
  fill: var(--spare-ground);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.card {
  fill: none;
  stroke: var(--go);
  stroke-dasharray: 5 3;
  stroke-width: 2;
}
.line {
  stroke: var(--line-strong);
  stroke-dasharray: 2 3;
}
text {
  fill: var(--ink);
  font-family: var(--face);
  font-size: 11px;
  text-anchor: middle;
}
figcaption {
  margin-top: 0.5rem;
}
</style>
