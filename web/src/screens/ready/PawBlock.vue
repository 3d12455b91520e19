<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '../../api/client'
import { atMost, useUnits } from '../../units'
import { pawWords, tools } from '../../words'
import HoldPicture from './HoldPicture.vue'
import ToolAdvice from './ToolAdvice.vue'

/** One paw of today's work: how it is held, and its nails in their order. */
const props = defineProps<{ dogId: string; stops: Schemas['Stop'][]; nails: Schemas['PlannedNail'][]; hold: Schemas['Hold']; again: boolean }>()
const asked = ref<Schemas['NailCode']>()
const { length } = useUnits()
const planned = (code: string) => props.nails.find((n) => n.code === code)!
/** One sliver after the other, a look after each: what comes off is the end's to say. */
const take = (code: string) => {
  const n = planned(code)
  return n.slivers === 0 ? 'a landmark first' : atMost(n, length.value)
}
const toolOf = (s: Schemas['Stop']) => `${tools[s.tool]}${s.grit ? `, ${s.grit} grit` : ''}${s.speed ? `, ${s.speed} speed` : ''}`
</script>

<template>
  <li class="paw">
    <HoldPicture :hold="hold" />
    <div class="how">
      <h3>{{ pawWords[hold.paw] }}</h3>
      <p v-if="!again" class="small">{{ hold.limb }} {{ hold.pull }}</p>
    </div>
    <ol>
      <li v-for="s in stops" :key="s.code">
        <div class="stop">
          <span :class="['code', { urgent: s.urgent }]">{{ s.code }}</span>
          <span class="why"><strong class="take">{{ take(s.code) }}</strong> {{ s.why || planned(s.code).why }}</span>
          <button type="button" class="tool" :aria-expanded="asked === s.code" @click="asked = asked === s.code ? undefined : s.code">{{ toolOf(s) }}<span class="visually-hidden">: why, for {{ s.code }}</span></button>
        </div>
        <ToolAdvice v-if="asked === s.code" :dog-id="dogId" :code="s.code" />
      </li>
    </ol>
  </li>
</template>

<style scoped>
.paw { border-top: 1px solid var(--line-strong); column-gap: 1.25rem; display: grid; grid-template-columns: 132px minmax(0, 1fr); padding-block: 0.6rem; }
.how { align-self: center; }
.how p { margin: 0.15rem 0 0; }
ol { grid-column: 1 / -1; list-style: none; margin: 0.25rem 0 0; padding: 0; }
.stop { align-items: center; border-top: 1px solid var(--line); display: grid; gap: 0 0.75rem; grid-template-columns: 3.75rem minmax(0, 1fr) auto; }
.code { font-weight: 700; }
.code.urgent::after { color: var(--quick-text); content: ' ▼'; }
.why { line-height: 1.25; }
.take { font-weight: 600; margin-right: 0.4rem; }
.tool { background: none; border: 0; color: var(--go); min-height: 36px; padding: 0; text-align: right; text-decoration: underline; text-underline-offset: 3px; }

@media (max-width: 700px) {
  .paw { grid-template-columns: 104px minmax(0, 1fr); }
  .hold { width: 104px; }
  .stop { grid-template-columns: 3.5rem minmax(0, 1fr); padding-block: 0.2rem; }
  .tool { grid-column: 2; min-height: 44px; text-align: left; }
}
</style>
