<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { fullDayOf } from '../../dates'
import WhyTable from '../../parts/WhyTable.vue'
import RankPicture from '../../rank/RankPicture.vue'
import { useUnits } from '../../units'

/** What the owner takes home: printed, and not on the screen. */
const props = defineProps<{ dog: Schemas['DogView']; sitting: Schemas['Bench'] }>()
const { length } = useUnits()
const worked = computed(() => props.sitting.nails.filter((n) => n.cuts.length > 0))
</script>

<template>
  <article class="card" aria-label="Card for the owner">
    <h1 dir="auto">{{ dog.dog.name }}</h1>
    <p>{{ fullDayOf(sitting.on) }}: {{ worked.length }} nails. {{ sitting.praise }}</p>
    <h2>Before</h2>
    <RankPicture v-if="sitting.rank_before" :rank="sitting.rank_before" size="narrow" />
    <h2>After</h2>
    <RankPicture v-if="sitting.rank_after" :rank="sitting.rank_after" size="narrow" />
    <p class="legend">Solid: the living quick. Hatched: spare horn. The line: the floor.</p>
    <p v-if="worked.some((n) => n.blood)">Bled: {{ worked.filter((n) => n.blood).map((n) => n.code).join(', ') }}. Keep an eye on it; bleeding that comes back is a veterinarian’s matter.</p>
    <p>Off: {{ worked.map((n) => `${n.code} ${length.show(n.removed_mm)}`).join(' · ') }}</p>
    <ul v-if="dog.cautions.length > 0"><li v-for="c in dog.cautions" :key="c.words">{{ c.words }}</li></ul>
    <p v-if="dog.next" class="next"><strong>Next: {{ fullDayOf(dog.next.due) }}</strong>, because {{ dog.next.reason }}.</p>
    <WhyTable v-if="dog.next" :why="dog.next.why" :nails="dog.next.per_nail.length" class="because" />
    <p class="legend">Between visits: a nail that touches a hard floor is too long. Torn, swollen, smelling or still bleeding: a veterinarian.</p>
  </article>
</template>

<style scoped>
.card { display: none; }
@media print {
  .card { color: #000; display: block; max-width: 15cm; }
  h2 { font-size: 1rem; margin-top: 0.4cm; }
  .next { font-size: 1.25rem; margin-top: 0.4cm; }
  .legend, .because, .because :deep(.small), .because :deep(th) { font-size: 0.8rem; }
}
</style>
