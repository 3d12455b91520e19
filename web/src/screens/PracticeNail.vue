<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { drawn, kinds, useDrawnNail, type Kind } from '../api/practice'
import { $t } from '../i18n'
import { act, isTyping, onKey } from '../local/keys'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import { useUnits } from '../units'
import DrawnNail from './practice/DrawnNail.vue'
import NailReview from './practice/NailReview.vue'

/** One drawn nail: look, choose how thick, cut, look at the end, stop in time. */
const props = defineProps<{ kind: string }>()
const route = useRoute()
const router = useRouter()
const { length, weight } = useUnits()
const kind = computed(() => props.kind as Kind)
const seed = computed(() => Number(route.query.seed ?? 1))
const number = computed(() => Number(route.query.n ?? 1))
const moves = ref<Schemas['PracticeMove'][]>([])
let id = crypto.randomUUID() // of this try
const told = ref<Schemas['PracticeInput']>({ kind: kind.value, seed: seed.value, number: number.value, moves: [] })
watch([kind, seed, number], () => {
  id = crypto.randomUUID()
  moves.value = []
})
watch(
  [moves, kind, seed, number],
  () => (told.value = { id, kind: kind.value, seed: seed.value, number: number.value, moves: [...moves.value] }),
)
const { data: nail, error, isPlaceholderData, isFetching, refetch } = useDrawnNail(told)
const waits = computed(() => isFetching.value || isPlaceholderData.value)
const thick = ref(2) // which of the blades
const blade = computed(() => nail.value?.blades[Math.min(thick.value, nail.value.blades.length - 1)])
const ends = computed(() => nail.value?.steps.filter(s => s.picture) ?? [])
const last = computed(() => ends.value[ends.value.length - 1])
type Look = NonNullable<Schemas['PracticeMove']['look']>
const looks = computed(() => {
  const all: Partial<Record<Look, string>> =
    nail.value?.colour === 'light'
      ? {
          groove: $t('practice.look_from_below'),
          seen: $t('practice.look_from_the_side'),
          torch: $t('practice.with_a_torch'),
        }
      : { groove: $t('practice.look_from_below') }
  return Object.entries(all).filter(([look]) => !nail.value?.steps.some(s => s.look === look)) as [Look, string][]
})
const seen = computed(() => nail.value?.steps.filter(s => s.look) ?? [])
const seenIn: Record<Look, string> = {
  groove: $t('practice.the_groove_ends'),
  seen: $t('practice.the_pink_ends'),
  torch: $t('practice.by_torch_the_quick_ends'),
}

const does = (move: Schemas['PracticeMove']) => {
  if (!waits.value && nail.value && !nail.value.over) moves.value = [...moves.value, move]
}
const cut = () => blade.value && does({ mm: blade.value.mm })
const stop = () => does({ stop: true })
const another = () => router.replace({ query: { ...route.query, n: number.value + 1 } })
onKey(event => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || !nail.value) return
  const n = Number(event.key)
  if (nail.value.over) {
    if (event.key === 'n' || event.key === 'Enter') act(event, another)
  } else if (n >= 1 && n <= nail.value.blades.length) act(event, () => (thick.value = n - 1))
  else if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) act(event, cut)
  else if (event.key === 's') act(event, stop)
  else if (event.key === 'l' && looks.value[0]) act(event, () => does({ look: looks.value[0]![0] }))
})
</script>

<template>
  <div class="screen drill">
    <AnswerState v-if="!nail" :error="error" :what="$t('practice.this_nail')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <p class="soft small crumb">
            <RouterLink to="/practice">{{ $t('practice.practice') }}</RouterLink> {{ $t('practice.series', { seed }) }}
          </p>
          <h1>
            {{ kinds[kind].words }}
            <span class="soft words">{{
              $t('practice.nail_a_dog_of', { number, weight_kg: weight.show(nail.weight_kg) })
            }}</span>
          </h1>
        </div>
      </div>
      <div class="columns">
        <div>
          <DrawnNail :nail="nail" :blade="nail.over ? undefined : blade" :moves="kind === 'moving' && !nail.over" />
          <ul v-if="seen.length > 0" class="seen small">
            <li v-for="s in seen" :key="s.look">
              {{ $t('practice.about_from_the_tip_it', { look: seenIn[s.look!], seen: length.show(s.seen_mm!) }) }}
            </li>
          </ul>
          <template v-if="!nail.over">
            <div class="choices" role="group" :aria-label="$t('practice.how_thick')">
              <button
                v-for="(b, i) in nail.blades"
                :key="b.mm"
                type="button"
                :aria-pressed="blade === b"
                @click="thick = i"
              >
                {{ length.show(b.mm) }} <kbd>{{ i + 1 }}</kbd>
              </button>
            </div>
            <div class="ways">
              <BButton variant="go" class="btn-big" :disabled="waits" @click="cut">{{
                $t('practice.cut', { blade: blade ? length.show(blade.mm) : '' })
              }}</BButton>
              <BButton variant="plain" class="btn-big" :disabled="waits" @click="stop"
                >{{ $t('practice.stop_here') }} <kbd>S</kbd></BButton
              >
              <BButton
                v-for="[look, words] in looks"
                :key="look"
                variant="plain"
                :disabled="waits"
                @click="does({ look })"
                >{{ words }}</BButton
              >
            </div>
          </template>
        </div>
        <div class="end" aria-live="polite">
          <template v-if="!nail.over">
            <img
              v-if="last"
              :src="drawn(last.picture!)"
              :alt="$t('practice.the_cut_end_head_on')"
              width="300"
              height="300"
            />
            <p v-if="last">{{ $t('practice.what_does_it_show_go') }}</p>
            <p v-else class="soft">{{ $t('practice.choose_how_thick_cut_then', { hard: kinds[kind].hard }) }}</p>
          </template>
          <NailReview v-else :nail="nail" />
          <div v-if="nail.over" class="ways">
            <BButton variant="go" class="btn-big" @click="another">{{ $t('practice.next_nail') }} <kbd>N</kbd></BButton
            ><RouterLink :to="`/practice/${kind}/together?seed=${seed}`" class="btn btn-plain">{{
              $t('practice.who_else_did_this_series')
            }}</RouterLink>
          </div>
        </div>
      </div>
      <RefusalNote :error="error" />
    </template>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  gap: 1.5rem 2.5rem;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  margin-top: 1rem;
}
.choices {
  margin-top: 1rem;
}
.seen {
  margin: 0.5rem 0 0;
  padding-left: 1.1rem;
}
.end img {
  border-radius: 50%;
  display: block;
  height: auto;
  margin-bottom: 0.75rem;
  max-width: 100%;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
  .end {
    order: -1;
  }
  .end img {
    width: 200px;
  }
}
</style>
