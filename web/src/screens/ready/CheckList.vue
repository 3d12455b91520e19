<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'

/** What to lay out: a tick is remembered with the sitting, and nothing waits for one. */
defineProps<{ things: Schemas['Thing'][] }>()
const ticks = defineModel<string[]>({ required: true })
function toggle(key: string) {
  ticks.value = ticks.value.includes(key) ? ticks.value.filter(k => k !== key) : [...ticks.value, key]
}
</script>

<template>
  <ul class="checklist">
    <li v-for="t in things" :key="t.key">
      <button type="button" role="checkbox" :aria-checked="ticks.includes(t.key)" @click="toggle(t.key)">
        <span class="box" aria-hidden="true">{{ ticks.includes(t.key) ? '✓' : '' }}</span>
        <span>
          <strong>{{ t.words }}</strong> <span class="soft small">{{ t.why }}</span>
          <span v-if="t.trouble" class="trouble small">{{ t.trouble }}</span>
          <span v-if="t.missed && !ticks.includes(t.key)" class="soft small missed">{{
            $t('ready.not_laid_out_last_time')
          }}</span>
        </span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
li {
  border-top: 1px solid var(--line);
}
button {
  align-items: baseline;
  background: none;
  border: 0;
  color: var(--ink);
  display: flex;
  gap: 0.7rem;
  line-height: 1.3;
  min-height: 44px;
  padding: 0.35rem 0;
  text-align: left;
  width: 100%;
}
.box {
  align-items: center;
  align-self: center;
  border: 2px solid var(--line-strong);
  border-radius: 3px;
  color: var(--go);
  display: inline-flex;
  flex: none;
  font-weight: 700;
  height: 26px;
  justify-content: center;
  width: 26px;
}
[aria-checked='true'] .box {
  border-color: var(--go);
}
.trouble,
.missed {
  display: block;
}
.trouble {
  color: var(--quick-text);
  font-weight: 600;
}
.trouble::before {
  content: '◀ ';
}
</style>
