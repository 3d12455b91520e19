<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { drawn, newSeed, useNameEnds } from '../api/practice'
import { act, isTyping, onKey } from '../local/keys'
import AnswerState from '../parts/AnswerState.vue'
import { faces } from '../words'

/** Twenty cut ends, one after the other: what does it show? */
const route = useRoute()
const router = useRouter()
const seed = computed(() => Number(route.query.seed ?? 1))
const said = ref<Schemas['Face'][]>([])
const drill = useNameEnds()
let id = crypto.randomUUID()
const send = () => drill.mutate({ id, seed: seed.value, said: said.value })
watch(seed, () => {
  id = crypto.randomUUID()
  said.value = []
  send()
}, { immediate: true })
const now = computed(() => drill.data.value)
const done = computed(() => now.value !== undefined && now.value.named.asked === now.value.of)
const end = computed(() => (now.value && !done.value ? now.value.ends[now.value.named.asked] : undefined))
const before = computed(() => (now.value && now.value.named.asked > 0 ? now.value.ends[now.value.named.asked - 1] : undefined))
const mine = computed(() => said.value[(now.value?.named.asked ?? 0) - 1])
function name(face: Schemas['Face']) {
  if (drill.isPending.value || done.value) return
  said.value = [...said.value, face]
  send()
}
const again = () => router.replace({ query: { seed: newSeed() } })
onKey((event) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  const face = end.value?.faces[Number(event.key) - 1]
  if (face) act(event, () => name(face))
  else if (done.value && event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) act(event, again)
})
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!now" :error="drill.error.value" what="the cut ends" @again="send()" />
    <template v-else>
      <div class="screen-head"><div><p class="soft small crumb"><RouterLink to="/practice">Practice</RouterLink></p><h1>Name the cut end</h1></div></div>
      <div v-if="end" class="drill">
        <img :src="drawn(end.picture)" :alt="`Cut end ${now.named.asked + 1} of a ${end.light ? 'light' : 'dark'} nail, head-on`" width="300" height="300" />
        <div>
          <p><strong>{{ now.named.asked + 1 }} of {{ now.of }}</strong>, a {{ end.light ? 'light' : 'dark' }} nail. What does it show?</p>
          <div class="choices" role="group" aria-label="What it shows"><button v-for="(f, i) in end.faces" :key="f" type="button" :disabled="drill.isPending.value" @click="name(f)">{{ faces[f] }} <kbd>{{ i + 1 }}</kbd></button></div>
          <p v-if="before" class="before" aria-live="polite"><template v-if="before.face === mine">Right: {{ faces[before.face] }}.</template><template v-else>The last one was {{ faces[before.face!] }}, not {{ faces[mine] }}.</template></p>
        </div>
      </div>
      <template v-else>
        <p class="says" role="status">{{ now.named.right }} of {{ now.named.asked }} right.</p>
        <template v-if="now.named.mixed.length > 0"><p>Mixed up:</p><ul><li v-for="m in now.named.mixed" :key="m.showed + m.said">{{ faces[m.showed] }}, taken for {{ faces[m.said] }}: {{ m.times }} ×</li></ul></template>
        <BButton variant="go" class="btn-big" @click="again">Twenty more</BButton>
      </template>
    </template>
  </div>
</template>

<style scoped>
.drill { display: grid; gap: 1rem 2rem; grid-template-columns: auto minmax(0, 1fr); max-width: 60rem; }
.drill img { border-radius: 50%; }
.before { margin-top: 1rem; min-height: 3em; }
.says { font-size: 1.5rem; font-weight: 650; }
@media (max-width: 700px) { .drill { grid-template-columns: minmax(0, 1fr); } .drill img { height: 220px; width: 220px; } }
</style>
