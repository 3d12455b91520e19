<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { kinds, newSeed, usePractice } from '../api/practice'
import { dayOf } from '../dates'
import AnswerState from '../parts/AnswerState.vue'
import { useUnits } from '../units'
import { faces } from '../words'

/** Where nothing can bleed: drawn nails by what is hard about them, cut ends to name, and how it goes. */
const { data, error, refetch } = usePractice()
const { length } = useUnits()
const seed = newSeed()
const tried = computed(() => data.value?.kinds.filter((k) => k.mine.nails > 0) ?? [])
const per100 = (t: Schemas['PracticeTally']) => `${t.per_100.value.toFixed(0)} (${t.per_100.low.toFixed(0)} to ${t.per_100.high.toFixed(0)})`
const left = (t: Schemas['PracticeTally']) => (t.bled < t.nails ? length.value.show(t.left.value) : '')
</script>

<template>
  <div class="screen practice">
    <AnswerState v-if="!data" :error="error" what="your practice" @again="refetch()" />
    <template v-else>
      <div class="screen-head"><div><h1>Practice</h1><p class="soft lead">Nothing can bleed here. Each nail is drawn, with a quick that nobody sees until it is done.</p></div></div>
      <section aria-labelledby="nails-title">
        <h2 id="nails-title">Cut a nail</h2>
        <p class="soft small">A step is passed when most of its last twenty nails went well and hardly any bled. It comes again before it is forgotten. <template v-if="!data.next">Nothing more today.</template></p>
        <ul>
          <li v-for="k in data.kinds" :key="k.kind" class="line">
            <div><strong>{{ kinds[k.kind].words }}</strong><div class="soft small">{{ kinds[k.kind].hard }}</div></div>
            <div class="small"><template v-if="k.passed && k.again">passed; again {{ dayOf(k.again) }}</template><template v-else-if="k.lately > 0">{{ k.well }} of the last {{ k.lately }} went well</template><template v-else>not tried yet</template></div>
            <RouterLink :to="`/practice/${k.kind}?seed=${seed}&n=1`" :class="['btn', k.kind === data.next ? 'btn-go btn-big' : 'btn-plain']">{{ k.mine.nails > 0 ? 'Go on' : 'Try' }}<span class="visually-hidden"> {{ kinds[k.kind].words }}</span></RouterLink>
          </li>
        </ul>
      </section>
      <section aria-labelledby="ends-title">
        <h2 id="ends-title">Name the cut end</h2>
        <p>Twenty ends, about a minute. <template v-if="data.ends.asked > 0">Lately {{ data.ends.right }} of {{ data.ends.asked }} right.</template></p>
        <ul v-if="data.ends.mixed.length > 0" class="mixed"><li v-for="m in data.ends.mixed.slice(0, 3)" :key="m.showed + m.said" class="small">{{ faces[m.showed] }}, taken for {{ faces[m.said] }}: {{ m.times }} ×</li></ul>
        <RouterLink :to="`/practice/ends?seed=${seed}`" class="btn btn-plain btn-big">Name twenty ends</RouterLink>
      </section>
      <section aria-labelledby="dog-title">
        <h2 id="dog-title">Read the dog</h2>
        <p>Moments at the table: go on, ease off, or stop. And what now, when something went wrong.</p>
        <RouterLink :to="`/practice/dog?seed=${seed}`" class="btn btn-plain btn-big">Read the dog</RouterLink>
      </section>
      <section aria-labelledby="hand-title">
        <h2 id="hand-title">Your hand</h2>
        <p>Ten slices off a stick say how thick yours come out, and how even.</p>
        <RouterLink to="/settings/slices" class="btn btn-plain">How thick you cut</RouterLink>
      </section>
      <section v-if="tried.length > 0" aria-labelledby="how-title">
        <h2 id="how-title">How it goes</h2>
        <p class="soft small">Your last 40 nails of a kind, and the same nails by Fribbet’s careful advice and by a hand that takes 1 mm slices and asks nobody. Ranges hold nine times in ten.</p>
        <div class="scroll" role="region" tabindex="0" aria-label="How it goes, by kind of nail"><table class="table">
          <thead><tr><th scope="col">of 100 nails like these</th><th scope="col">yours bleed</th><th scope="col">by the advice</th><th scope="col">1 mm, unasked</th><th scope="col">you leave</th><th scope="col">the advice leaves</th><th scope="col">too early · too many</th></tr></thead>
          <tbody><tr v-for="k in tried" :key="k.kind"><th scope="row">{{ kinds[k.kind].words }}</th><td>{{ per100(k.mine) }}</td><td>{{ per100(k.advised) }}</td><td>{{ per100(k.unasked) }}</td><td>{{ left(k.mine) }}</td><td>{{ left(k.advised) }}</td><td>{{ k.early }} · {{ k.late }}</td></tr></tbody>
        </table></div>
      </section>
    </template>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; }
section { margin-bottom: 2rem; }
ul { list-style: none; margin: 0; padding: 0; }
.line { align-items: center; border-top: 1px solid var(--line); display: grid; gap: 0.5rem 1.5rem; grid-template-columns: minmax(0, 1fr) 11rem 9rem; padding-block: 0.6rem; }
.line .btn { justify-self: end; }
.mixed { margin-bottom: 0.75rem; }
.table { font-variant-numeric: tabular-nums; max-width: 60rem; }
.table td, .table thead th:not(:first-child) { text-align: right; }
.table tbody th { border-bottom: 1px solid var(--line); font-size: inherit; font-weight: 400; }
.scroll { overflow-x: auto; }
@media (max-width: 900px) { .line { grid-template-columns: minmax(0, 1fr) auto; } .line > :first-child { grid-column: 1 / -1; } }
</style>
