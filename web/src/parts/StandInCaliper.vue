<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '../api/client'
import { useMoveStandIn } from '../api/queries'
import { $t } from '../i18n'
import { useUnits } from '../units'

/** The simulated caliper of the demonstration: set the jaw, press its button; or spoil its link. */
defineProps<{ linked: boolean; trouble: string }>()
const { mutate } = useMoveStandIn()
const { length } = useUnits()
const jaw = ref(12.5)
const send = (sends: Schemas['StandInMove']['sends']) => mutate({ jaw_mm: jaw.value, sends })
</script>

<template>
  <details class="device">
    <summary>
      {{ $t('parts.simulated_caliper') }}
      <span class="soft">{{ linked ? $t('parts.linked') : $t('parts.no_link') }}</span>
    </summary>
    <div class="body">
      <div class="jaws" aria-hidden="true">
        <span class="fixed" /><span class="moving" :style="{ left: `${8 + jaw * 5}px` }" />
      </div>
      <label for="jaw" class="visually-hidden">{{ $t('parts.jaw', { symbol: length.symbol }) }}</label>
      <input id="jaw" v-model.number="jaw" type="range" min="0" max="30" step="0.01" />
      <output class="readout">{{ length.show(jaw) }}</output>
      <button type="button" class="btn btn-plain" @click="send('length')">{{ $t('parts.send') }}</button>
      <span class="soft small">{{ $t('parts.spoil_the_link') }}</span>
      <button type="button" class="spoil" @click="send('garbage')">{{ $t('parts.garbage') }}</button>
      <button type="button" class="spoil" @click="send('half')">{{ $t('parts.half_a_reading') }}</button>
      <button type="button" class="spoil" @click="send('unplug')">{{ $t('parts.unplug') }}</button>
    </div>
  </details>
  <p v-if="trouble" class="trouble" role="alert">▲ {{ trouble }}</p>
</template>

<style scoped>
.device {
  border: 1px dashed var(--line-strong);
  margin-top: 0.75rem;
  padding: 0.25rem 0.75rem;
}
summary {
  cursor: pointer;
  font-weight: 600;
  min-height: 32px;
}
.body {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 0.75rem;
}
.jaws {
  border-bottom: 6px solid var(--line-strong);
  height: 26px;
  position: relative;
  width: 180px;
}
.fixed,
.moving {
  background: var(--line-strong);
  height: 20px;
  position: absolute;
  top: 0;
  width: 6px;
}
.fixed {
  left: 2px;
}
input {
  accent-color: var(--go);
  height: 44px;
  width: 12rem;
}
.readout {
  background: var(--sunk);
  border: 1px solid var(--line-strong);
  font-size: 1.25rem;
  font-weight: 650;
  min-width: 6.5rem;
  padding: 0.2rem 0.5rem;
  text-align: right;
}
.spoil {
  background: none;
  border: 0;
  color: var(--go);
  min-height: 44px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.trouble {
  background: var(--caution-ground);
  border-left: var(--bar) solid var(--caution-edge);
  margin: 0.5rem 0 0;
  padding: 0.35rem 0.75rem;
}
</style>
