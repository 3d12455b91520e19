<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { drawn, newSeed, useAnswerScenes } from '../api/practice'
import { $t } from '../i18n'
import { act, isTyping, onKey } from '../local/keys'
import AnswerState from '../parts/AnswerState.vue'
import DogSketch from './practice/DogSketch.vue'

/**
 * Moments at the table, one after the other: go on, ease off, or stop, and what now; or a nail that bleeds, against the
 * clock.
 */
const props = defineProps<{ drill: Schemas['ScenesInput']['drill'] }>()
const route = useRoute()
const router = useRouter()
const seed = computed(() => Number(route.query.seed ?? 1))
const chosen = ref<number[]>([])
/** What is right is read before the next comes. */
const reads = ref(false)
const answers = useAnswerScenes()
const send = () => answers.mutate({ drill: props.drill, seed: seed.value, chosen: chosen.value })
watch(
  seed,
  () => {
    chosen.value = []
    reads.value = false
    send()
  },
  { immediate: true },
)
const now = computed(() => answers.data.value)
const at = computed(() => chosen.value.length - (reads.value ? 1 : 0))
const scene = computed(() => now.value?.scenes[at.value])
const done = computed(() => now.value !== undefined && at.value >= now.value.of)
function choose(n: number) {
  if (answers.isPending.value || reads.value || !scene.value) return
  reads.value = true
  chosen.value = [...chosen.value, n]
  send()
}
const further = () => (reads.value = false)

/** The time that a moment still waits, in a drill against the clock; whoever needs longer does without. */
const unhurried = ref(false)
const left = ref<number>()
const ticks = computed(
  () => !unhurried.value && !reads.value && scene.value !== undefined && now.value?.within_s !== undefined,
)
const ticking = useIntervalFn(
  () => {
    left.value = Math.max(0, left.value! - 1)
    if (left.value === 0) choose(tooLate)
  },
  1000,
  { immediate: false },
)
watch(
  [ticks, at],
  () => {
    ticking.pause()
    left.value = ticks.value ? now.value!.within_s : undefined
    if (ticks.value) ticking.resume()
  },
  { immediate: true },
)
const tooLate = -1
const drills: Record<typeof props.drill, { title: string; note: string }> = {
  dog: { title: $t('practice.read_the_dog'), note: $t('practice.a_drawing_is_no_dog') },
  blood: { title: $t('practice.it_bleeds'), note: $t('practice.a_drill_is_no_blood') },
  groove: { title: $t('practice.where_the_groove_ends'), note: $t('practice.a_drawn_groove') },
  feet: { title: $t('practice.which_paw_is_due'), note: $t('practice.drawn_feet') },
}
const says = computed(() => drills[props.drill])
const title = computed(() => says.value.title)
const again = () => router.replace({ query: { seed: newSeed() } })
onKey(event => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  const n = Number(event.key) - 1
  if (reads.value && scene.value?.why && event.key === 'Enter' && !(event.target instanceof HTMLButtonElement))
    act(event, further)
  else if (!reads.value && scene.value && n >= 0 && n < scene.value.choices.length) act(event, () => choose(n))
})
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!now" :error="answers.error.value" :what="$t('practice.the_moments')" @again="send()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <p class="soft small crumb">
            <RouterLink to="/practice">{{ $t('practice.practice') }}</RouterLink>
          </p>
          <h1>{{ title }}</h1>
        </div>
      </div>
      <div v-if="scene && !done" class="moment">
        <DogSketch v-if="scene.dog" :dog="scene.dog" />
        <img v-else-if="scene.picture" :src="drawn(scene.picture)" :alt="title" width="480" height="340" class="seen" />
        <div>
          <p class="soft small">
            {{ $t('practice.of_2', { at: at + 1, of: now.of })
            }}<template v-if="left !== undefined">
              · <strong class="clock" role="timer">{{ $t('practice.seconds_left', left) }}</strong></template
            >
          </p>
          <p class="sees">{{ scene.sees.says }}</p>
          <div :class="['ways', { short: scene.picture }]" role="group" :aria-label="$t('practice.what_do_you_do')">
            <button
              v-for="(c, i) in scene.choices"
              :key="c.key"
              type="button"
              :class="['btn btn-big', reads && scene.right === i ? 'btn-go' : 'btn-plain']"
              :aria-pressed="reads && chosen[at] === i"
              :disabled="reads || answers.isPending.value"
              @click="choose(i)"
            >
              {{ c.says }} <kbd>{{ i + 1 }}</kbd>
            </button>
          </div>
          <div v-if="reads && scene.why" class="why" role="status">
            <p>
              <strong>{{
                scene.right === chosen[at]
                  ? $t('practice.right_2')
                  : chosen[at] === tooLate
                    ? $t('practice.time_is_over')
                    : $t('practice.rather_not')
              }}</strong>
              {{ scene.why.says }}
            </p>
            <BButton variant="plain" class="btn-big" @click="further">{{ $t('practice.next') }}</BButton>
          </div>
        </div>
      </div>
      <template v-else-if="done">
        <p class="sees" role="status">{{ $t('practice.of_right_2', { right: now.right, of: now.of }) }}</p>
        <BButton variant="go" class="btn-big" @click="again">{{ $t('practice.once_more_in_another_order') }}</BButton>
      </template>
      <BButton v-if="left !== undefined" variant="plain" class="unhurried" @click="unhurried = true">{{
        $t('practice.without_the_clock')
      }}</BButton>
      <p class="soft">{{ says.note }}</p>
    </template>
  </div>
</template>

<style scoped>
.moment {
  display: grid;
  gap: 1rem 2rem;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
  margin-bottom: 2rem;
}
.moment > :only-child {
  grid-column: 1 / -1;
  max-width: 44rem;
}
.seen {
  height: auto;
  max-width: 100%;
}
.sees {
  font-size: 1.375rem;
  font-weight: 650;
}
.ways {
  display: grid;
  gap: 0.6rem;
  justify-items: start;
}
@media (max-width: 700px) {
  .ways.short {
    grid-template-columns: 1fr 1fr;
    justify-items: stretch;
  }
  .ways.short .btn {
    padding-inline: 0.5rem;
  }
}
.ways .btn {
  text-align: left;
}
.ways .btn:disabled {
  opacity: 1;
}
.ways .btn[aria-pressed='true'] {
  outline: 3px solid var(--ink);
}
.clock {
  font-variant-numeric: tabular-nums;
}
.unhurried {
  margin-bottom: 1rem;
}
.why {
  border-left: var(--bar) solid var(--go);
  margin-top: 1rem;
  padding-left: 0.75rem;
}
@media (max-width: 700px) {
  .moment {
    grid-template-columns: minmax(0, 1fr);
  }
  .sketch {
    max-width: 240px;
  }
}
</style>
