<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { kinds, useTogether, type Kind } from '../api/practice'
import AnswerState from '../parts/AnswerState.vue'

/** The nails of one series, and how everybody decided: for a class. */
const props = defineProps<{ kind: string }>()
const route = useRoute()
const kind = computed(() => props.kind as Kind)
const seed = computed(() => Number(route.query.seed ?? 1))
const { data, error, refetch } = useTogether(kind, seed)
const people = computed(() => [...new Set(data.value?.nails.map((n) => n.who) ?? [])])
const numbers = computed(() => [...new Set(data.value?.nails.map((n) => n.number) ?? [])].sort((a, b) => a - b))
const of = (who: string, number: number) => data.value?.nails.find((n) => n.who === who && n.number === number)
const link = computed(() => `${location.origin}/practice/${kind.value}?seed=${seed.value}&n=1`)
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" what="this series" @again="refetch()" />
    <template v-else>
      <div class="screen-head"><div><p class="soft small crumb"><RouterLink to="/practice">Practice</RouterLink></p><h1>{{ kinds[kind]?.words }} <span class="soft words">series {{ seed }}</span></h1></div></div>
      <p>Whoever opens this link gets the same nails, on any device of the house: <a :href="link">{{ link }}</a></p>
      <p v-if="data.nails.length === 0" class="soft">Nobody has done one yet.</p>
      <div v-else class="scroll" role="region" tabindex="0" aria-label="Who did which nail how">
        <table class="table">
          <thead><tr><th scope="col">nail</th><th v-for="who in people" :key="who" scope="col"><bdi>{{ who || 'nobody named' }}</bdi></th></tr></thead>
          <tbody><tr v-for="n in numbers" :key="n"><th scope="row">{{ n }}</th><td v-for="who in people" :key="who"><template v-if="of(who, n)">{{ of(who, n)!.says[0]?.says }} <span class="soft small">Cuts: {{ of(who, n)!.cuts }}.</span></template></td></tr></tbody>
        </table>
      </div>
    </template>
  </div>
</template>

<style scoped>
.scroll { overflow-x: auto; }
.table { max-width: 60rem; }
</style>
