<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { cutBy, howMany, useUnits } from '../../units'
import { pawWords, tools } from '../../words'
import HoldPicture from './HoldPicture.vue'
import HoldWords from './HoldWords.vue'
import ToolAdvice from './ToolAdvice.vue'

/** One paw of today's work: what its nails share stands once, and each nail says what differs. */
const props = defineProps<{
  dogId: string
  stops: Schemas['Stop'][]
  nails: Schemas['PlannedNail'][]
  hold: Schemas['Hold']
  again: boolean
}>()
const asked = ref<Schemas['NailCode']>()
const { length } = useUnits()
const planned = (code: string) => props.nails.find(n => n.code === code)!
/** One cut after the other, a look after each: what comes off is the end's to say. */
const take = (code: string) => {
  const { plan } = planned(code)
  return plan.cuts_mm.length === 0 ? $t('ready.a_landmark_first') : `${cutBy(plan, length.value)}: ${howMany(plan)}`
}
/** What a paw's nails share is told by the first of them: no paw stands here without one. */
const lead = (stops: Schemas['Stop'][]) => stops[0]!
const first = computed(() => lead(props.stops))
const toolOf = (s: Schemas['Stop']) =>
  `${tools[s.tool]}${s.grit ? $t('ready.grit', { grit: s.grit }) : ''}${s.speed ? $t('ready.speed', { speed: s.speed }) : ''}${s.then_tool ? $t('ready.then_ground_round', { then_tool: tools[s.then_tool] }) : ''}`
/** The tool of the paw's first nail; another's own stands beside it. */
const tool = computed(() => toolOf(first.value))
/** Nails that come off alike share a line. */
const lots = computed(() => {
  const found = new Map<string, Schemas['Stop'][]>()
  for (const s of props.stops) {
    const key = [take(s.code), toolOf(s), s.urgent ? planned(s.code).why : ''].join('|')
    found.set(key, [...(found.get(key) ?? []), s])
  }
  return [...found.values()].map(lot => ({ lot, one: lead(lot) }))
})
const ask = (code: Schemas['NailCode']) => (asked.value = asked.value === code ? undefined : code)
</script>

<template>
  <li class="paw">
    <HoldPicture :hold="hold" />
    <div class="how">
      <h3>
        {{ pawWords[hold.paw] }}
        <button type="button" class="tool" :aria-expanded="asked === first.code" @click="ask(first.code)">
          {{ tool }}<span class="visually-hidden">{{ $t('ready.why_for', { code: first.code }) }}</span>
        </button>
      </h3>
      <p v-if="first.why" class="small soft">{{ first.why }}</p>
      <ol>
        <li v-for="{ lot, one } in lots" :key="one.code" class="lot">
          <span :class="['code', { urgent: one.urgent }]">{{ lot.map(s => s.code).join(' ') }}</span>
          <span
            >{{ take(one.code) }}<template v-if="one.urgent">, {{ planned(one.code).why }}</template
            ><button
              v-if="toolOf(one) !== tool"
              type="button"
              class="tool own"
              :aria-expanded="asked === one.code"
              @click="ask(one.code)"
            >
              {{ toolOf(one) }}
            </button></span
          >
        </li>
      </ol>
      <details v-if="!again" class="small">
        <summary>{{ $t('ready.how_it_is_held') }}</summary>
        <HoldWords :hold="hold" />
      </details>
    </div>
    <ToolAdvice v-if="asked" :dog-id="dogId" :code="asked" class="advised" />
  </li>
</template>

<style scoped>
.paw {
  border-top: 1px solid var(--line-strong);
  column-gap: 1.25rem;
  display: grid;
  grid-template-columns: 132px minmax(0, 1fr);
  padding-block: 0.5rem;
}
.how p {
  margin: 0;
}
h3 {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.75rem;
  justify-content: space-between;
}
ol {
  list-style: none;
  margin: 0.2rem 0 0;
  padding: 0;
}
.lot {
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.75rem;
  line-height: 1.35;
  padding-block: 0.1rem;
}
.code {
  font-weight: 700;
}
.code.urgent::after {
  color: var(--quick-text);
  content: ' ▼';
}
.tool {
  background: none;
  border: 0;
  color: var(--go);
  font-size: 1rem;
  font-weight: 400;
  min-height: 44px;
  padding: 0;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.own {
  margin-left: 0.5rem;
}
summary {
  color: var(--go);
  cursor: pointer;
  min-height: 32px;
}
.advised {
  grid-column: 1 / -1;
}

@media (max-width: 700px) {
  .paw {
    column-gap: 0.75rem;
    grid-template-columns: 76px minmax(0, 1fr);
  }
  .hold {
    width: 76px;
  }
}
</style>
