<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useSection } from '../../api/queries'
import { $t } from '../../i18n'
import NailSection from '../../nail/NailSection.vue'
import { cutBy, howMany, useUnits } from '../../units'
import { faces, stopSigns } from '../../words'
import FacePicture from './FacePicture.vue'
import NailUnderHands from './NailUnderHands.vue'

/** A whole nail, worked without touching the screen, and told in one press once it is done. */
const props = defineProps<{ dogId: string; nail: Schemas['BenchNail'] }>()
const emit = defineEmits<{ told: [cuts: number[], face: Schemas['Face'] | undefined, goesOn?: boolean] }>()
const { length } = useUnits()
const plan = computed(() => props.nail.advice.plan)
/** How many cuts it was; what is likely until somebody says otherwise. */
const more = ref(0)
const count = computed(() => Math.min(plan.value.cuts_mm.length, Math.max(1, plan.value.likely + more.value)))
const cuts = computed(() => plan.value.cuts_mm.slice(0, count.value))
const { data: section } = useSection(
  () => props.dogId,
  () => props.nail.code,
  undefined,
  () => plan.value.cuts_mm,
)
const light = computed(() => props.nail.colour === 'light')
const step = (by: number) =>
  (more.value = Math.min(plan.value.cuts_mm.length, Math.max(1, count.value + by)) - plan.value.likely)
/** As planned, no sign: what the end shows nobody told. */
const tell = (face?: Schemas['Face']) => emit('told', cuts.value, face)
/** At the first sign, and not done: from there to the dot one thin cut at a time. */
const goOn = () => props.nail.goes_on && emit('told', cuts.value, props.nail.press_to, true)
defineExpose({ tell, step, goOn })
</script>

<template>
  <div class="press">
    <div class="drawn">
      <NailSection
        v-if="section && section.bar.code === nail.code && nail.cuts.length === 0"
        :section="section"
        :title="$t('bench.in_section_its_cuts_in', { code: nail.code })"
      />
      <NailUnderHands v-else :nail="nail" />
      <figure class="stop">
        <FacePicture :face="nail.press_to" :light="light" />
        <figcaption>{{ $t('bench.stop_here') }}</figcaption>
      </figure>
    </div>
    <p class="say">
      <strong class="most">{{ cutBy(plan, length) }}.</strong> {{ $t('bench.look_after_each')
      }}<template v-if="plan.thin_mm">{{
        $t('bench.thinner_at_light_grey', { thin: length.show(plan.thin_mm) })
      }}</template
      >{{ $t('bench.stop_at_2', { press_to: stopSigns[nail.press_to] }) }}
    </p>
    <div class="count" role="group" :aria-label="$t('bench.how_many_cuts_it_was')">
      <BButton variant="plain" class="step" :aria-label="$t('bench.one_cut_less')" @click="step(-1)">−</BButton>
      <span aria-live="polite"
        ><strong>{{ count }}</strong> {{ $t('bench.cut_cuts', count) }}</span
      >
      <BButton variant="plain" class="step" :aria-label="$t('bench.one_cut_more')" @click="step(1)">+</BButton>
      <p class="soft told">
        {{ howMany(plan) }}. <strong class="chance">{{ plan.chance }}</strong> {{ $t('bench.to_bleed') }}
      </p>
    </div>
    <h2>{{ $t('bench.how_does_the_end_look') }}</h2>
    <div
      :class="['faces', { both: nail.faces.length > 5 }]"
      role="group"
      :aria-label="$t('bench.what_the_end_shows_now')"
    >
      <button
        v-for="(f, i) in nail.faces"
        :key="f"
        type="button"
        :class="{ sign: f === nail.press_to }"
        @click="tell(f)"
      >
        <FacePicture :face="f" :light="light || f === 'blush' || f === 'pink_dot'" /><span>{{ faces[f] }}</span
        ><kbd>{{ i + 1 }}</kbd>
      </button>
    </div>
    <BButton variant="go" class="next" @click="tell()"
      >{{ $t('bench.done_no_sign_seen') }} <kbd>{{ $t('bench.space') }}</kbd></BButton
    >
    <BButton v-if="nail.goes_on" variant="plain" class="on" @click="goOn()"
      >{{ $t('bench.and_on_to_step_by', { press_to: faces[nail.press_to], stop_at: stopSigns[nail.stop_at] }) }}
      <kbd>M</kbd></BButton
    >
  </div>
</template>

<style scoped>
.drawn {
  align-items: center;
  display: grid;
  gap: 0.75rem;
  grid-template-columns: minmax(0, 1fr) auto;
  max-width: 40rem;
}
.drawn > svg {
  max-height: 13rem;
}
.stop {
  align-items: center;
  display: flex;
  flex-direction: column;
  margin: 0;
}
.stop :deep(svg) {
  height: 84px;
  width: 84px;
}
.stop figcaption {
  font-weight: 650;
}
.say {
  font-size: 1.25rem;
  line-height: 1.3;
  margin: 0.35rem 0;
}
.most {
  display: inline-block;
}
.most::first-letter,
.told::first-letter {
  text-transform: uppercase;
}
.told {
  font-size: 1rem;
  line-height: 1.25;
  margin: 0;
}
.count > span {
  min-width: 4.5em;
}
.count {
  align-items: center;
  display: flex;
  font-size: 1.25rem;
  gap: 0.75rem;
  margin-bottom: 0.35rem;
}
.step {
  font-size: 1.75rem;
  font-weight: 700;
  min-height: 64px;
  min-width: 64px;
}
.faces {
  display: grid;
  gap: 0.4rem;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  margin-block: 0.3rem 0.6rem;
}
.faces button {
  align-items: center;
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  color: var(--ink);
  display: flex;
  flex-direction: column;
  gap: 0.2rem;
  line-height: 1.15;
  min-height: 96px;
  padding: 0.5rem 0.2rem;
}
.faces.both {
  grid-template-columns: repeat(7, minmax(0, 1fr));
}
.faces .sign {
  border: 3px solid var(--go);
  font-weight: 650;
}
.on {
  display: block; /* only a block’s first letter can be a capital */
  margin-top: 0.4rem;
  min-height: 56px;
  width: 100%;
}
.on::first-letter {
  text-transform: uppercase;
}
.next {
  font-size: 1.375rem;
  min-height: 72px;
  width: 100%;
}

@media (max-width: 900px) {
  .drawn > svg {
    max-height: 7.5rem;
  }
  .count {
    gap: 0.5rem;
  }
  .count > span {
    min-width: 3.5em;
  }
  .stop :deep(svg) {
    height: 64px;
    width: 64px;
  }
  .say {
    font-size: 1.125rem;
    margin-block: 0.15rem;
  }
  .faces {
    gap: 0.25rem;
  }
  .faces.both {
    grid-template-columns: repeat(4, minmax(0, 1fr));
  }
  .next {
    min-height: 64px;
  }
  .faces button {
    font-size: var(--small);
    min-height: 80px;
    padding-block: 0.35rem;
  }
  .faces :deep(svg) {
    height: 44px;
    width: 44px;
  }
}
</style>
