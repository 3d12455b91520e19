<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'

/** How the nail stood to the card, asked by a picture each: no picture from the side says it by itself. */
type Held = NonNullable<Schemas['PhotoInput']['held']>
const held = defineModel<Held | undefined>()
const ways: Record<Held, string> = {
  beside: $t('photo.beside_the_nail_in_its'),
  under: $t('photo.under_the_paw'),
  unsure: $t('photo.not_sure'),
}
</script>

<template>
  <div class="held" role="group" :aria-label="$t('photo.how_the_card_was_held')">
    <button v-for="(words, way) in ways" :key="way" type="button" :aria-pressed="held === way" @click="held = way">
      <svg viewBox="0 0 90 56" aria-hidden="true">
        <template v-if="way === 'beside'">
          <path class="eye" d="M45 4v10" />
          <path class="toe" d="M8 34h18v8H8z" />
          <path class="nail" d="M26 36h14v3H26z" />
          <path class="card" d="M48 37h34" />
          <path class="plane" d="M4 37.5h82" />
        </template>
        <template v-else-if="way === 'under'">
          <path class="eye" d="M45 4v10" />
          <path class="toe" d="M12 26h24v12H12z" />
          <path class="nail" d="M36 30h16v4H36z" />
          <path class="card" d="M10 42h62" />
          <path class="plane" d="M4 42.5h82" />
        </template>
        <template v-else>
          <path class="toe" d="M8 30h18v8H8z" />
          <path class="nail" d="M26 32h14v3H26z" />
          <text x="62" y="42">?</text>
        </template>
      </svg>
      <span class="small">{{ words }}</span>
    </button>
  </div>
</template>

<style scoped>
.held {
  display: grid;
  gap: 0.4rem;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  margin-block: 0.5rem;
}
button {
  background: none;
  border: 1px solid var(--line-strong);
  color: var(--ink);
  line-height: 1.2;
  min-height: 44px;
  padding: 0.3rem;
}
button[aria-pressed='true'] {
  border-color: var(--go);
  box-shadow: inset 0 0 0 1px var(--go);
}
svg {
  display: block;
  margin-inline: auto;
  max-width: 90px;
  width: 100%;
}
.toe {
  fill: var(--toe);
  stroke: var(--line-strong);
}
.nail {
  fill: var(--ink);
}
.card {
  stroke: var(--go);
  stroke-width: 4;
}
.plane {
  stroke: var(--line-strong);
  stroke-dasharray: 2 2;
}
.eye {
  stroke: var(--ink-soft);
  stroke-width: 2;
}
text {
  fill: var(--ink);
  font-size: 26px;
  font-weight: 700;
  text-anchor: middle;
}
</style>
