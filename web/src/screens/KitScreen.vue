<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { useKit } from '../api/kit'
import AnswerState from '../parts/AnswerState.vue'
import { kitKinds, shelves } from '../words'
import KitForm from './kit/KitForm.vue'
import KitRow from './kit/KitRow.vue'

const { data: kit, error, refetch } = useKit()
const adding = ref(false)
const filled = computed(() =>
  (Object.keys(shelves) as Schemas['Shelf'][])
    .map((shelf) => ({ shelf, items: (kit.value?.items ?? []).filter((i) => i.shelf === shelf) }))
    .filter((s) => s.items.length > 0),
)
const overdue = computed(() => (kit.value?.items ?? []).filter((i) => i.level === 'overdue'))
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!kit" :error="error" what="the kit" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>Kit</h1>
          <p class="soft lead">Cuts and minutes are counted from your trims. A limit is our judgement until you say yours.</p>
        </div>
        <div class="aside"><a v-if="kit.items.length > 0" href="/api/sheets/kit" download class="btn btn-plain">As a spreadsheet</a><BButton :variant="kit.items.length === 0 ? 'go' : 'plain'" :class="{ 'btn-big': kit.items.length === 0 }" :aria-expanded="adding" @click="adding = !adding">{{ adding ? 'Close' : 'Add a piece' }}</BButton></div>
      </div>
      <section v-if="overdue.length > 0" class="due" aria-labelledby="due-title">
        <h2 id="due-title">To see to before the next dog</h2>
        <ul><li v-for="i in overdue" :key="i.id"><strong>{{ kitKinds[i.kind] }}<span v-if="i.name" dir="auto">, {{ i.name }}</span></strong>: {{ i.words }}.</li></ul>
      </section>
      <KitForm v-if="adding" :kit="kit" @kept="adding = false" />
      <div v-if="kit.items.length === 0 && !adding" class="empty">
        <h2>Nothing in the kit yet</h2>
        <p>Say what you work with, and the program chooses the tool for each nail, and says when a blade, a band or a jar is due. Until then it advises from everything there is.</p>
      </div>
      <section v-for="s in filled" :key="s.shelf" class="section" :aria-labelledby="`shelf-${s.shelf}`">
        <h2 :id="`shelf-${s.shelf}`">{{ shelves[s.shelf] }}</h2>
        <ul><KitRow v-for="i in s.items" :key="i.id" :item="i" :kit="kit" /></ul>
      </section>
    </template>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; max-width: 46rem; }
.due { background: var(--caution-ground); border-left: var(--bar) solid var(--caution-edge); padding: 0.6rem 0.9rem; }
.due h2 { font-size: 1rem; }
.empty { max-width: 36rem; padding: 2rem 0; }
</style>
