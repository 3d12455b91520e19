<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { drawn, newSeed, useNameEnds } from '../api/practice'
import { $t } from '../i18n'
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
watch(
  seed,
  () => {
    id = crypto.randomUUID()
    said.value = []
    send()
  },
  { immediate: true },
)
const now = computed(() => drill.data.value)
const done = computed(() => now.value !== undefined && now.value.named.asked === now.value.of)
const end = computed(() => (now.value && !done.value ? now.value.ends[now.value.named.asked] : undefined))
const before = computed(() =>
  now.value && now.value.named.asked > 0 ? now.value.ends[now.value.named.asked - 1] : undefined,
)
const mine = computed(() => said.value[(now.value?.named.asked ?? 0) - 1])
function name(face: Schemas['Face']) {
  if (drill.isPending.value || done.value) return
  said.value = [...said.value, face]
  send()
}
const again = () => router.replace({ query: { seed: newSeed() } })
onKey(event => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  const face = end.value?.faces[Number(event.key) - 1]
  if (face) act(event, () => name(face))
  else if (done.value && event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) act(event, again)
})
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!now" :error="drill.error.value" :what="$t('practice.the_cut_ends')" @again="send()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <p class="soft small crumb">
            <RouterLink to="/practice">{{ $t('practice.practice') }}</RouterLink>
          </p>
          <h1>{{ $t('practice.name_the_cut_end') }}</h1>
        </div>
      </div>
      <div v-if="end" class="drill">
        <img
          :src="drawn(end.picture)"
          :alt="
            $t('practice.cut_end_of_a_nail', {
              asked: now.named.asked + 1,
              light: end.light ? $t('practice.light') : $t('practice.dark'),
            })
          "
          width="300"
          height="300"
        />
        <div>
          <p>
            <strong>{{ $t('practice.of', { asked: now.named.asked + 1, of: now.of }) }}</strong>{{
              $t('practice.a_nail_what_does_it', { light: end.light ? $t('practice.light') : $t('practice.dark') })
            }}
          </p>
          <div class="choices" role="group" :aria-label="$t('practice.what_it_shows')">
            <button
              v-for="(f, i) in end.faces"
              :key="f"
              type="button"
              :disabled="drill.isPending.value"
              @click="name(f)"
            >
              {{ faces[f] }} <kbd>{{ i + 1 }}</kbd>
            </button>
          </div>
          <p v-if="before" class="before" aria-live="polite">
            <template v-if="before.face === mine">{{
              $t('practice.right', { face: faces[before.face!] })
            }}</template><template v-else>{{
              $t('practice.the_last_one_was_not', { face: faces[before.face!], mine: faces[mine!] })
            }}</template>
          </p>
        </div>
      </div>
      <template v-else>
        <p class="says" role="status">
          {{ $t('practice.of_right', { right: now.named.right, asked: now.named.asked }) }}
        </p>
        <template v-if="now.named.mixed.length > 0"
          ><p>{{ $t('practice.mixed_up') }}</p>
          <ul>
            <li v-for="m in now.named.mixed" :key="m.showed + m.said">
              {{ $t('practice.taken_for', { showed: faces[m.showed], said: faces[m.said], times: m.times }) }}
            </li>
          </ul></template
        >
        <BButton variant="go" class="btn-big" @click="again">{{ $t('practice.twenty_more') }}</BButton>
      </template>
    </template>
  </div>
</template>

<style scoped>
.drill {
  display: grid;
  gap: 1rem 2rem;
  grid-template-columns: auto minmax(0, 1fr);
  max-width: 60rem;
}
.drill img {
  border-radius: 50%;
}
.before {
  margin-top: 1rem;
  min-height: 3em;
}
.says {
  font-size: 1.5rem;
  font-weight: 650;
}
@media (max-width: 700px) {
  .drill {
    grid-template-columns: minmax(0, 1fr);
  }
  .drill img {
    height: 220px;
    width: 220px;
  }
}
</style>
