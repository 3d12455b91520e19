<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { feelerTold } from '../../local/looks'
import { useSettings } from '../../api/queries'
import { typedWith } from '../../local/numberMode'
import ShapePicture from '../../nail/ShapePicture.vue'
import FromPicture from '../../parts/FromPicture.vue'
import TypedWith from '../../parts/TypedWith.vue'
import { useUnits } from '../../units'
import { colours, feelers, nailInWords, shapes, states } from '../../words'

/** The nail that is looked at: what was seen, and what is still assumed. */
const props = defineProps<{
  look: Schemas['Look']
  bar: Schemas['Bar']
  refused: Schemas['FieldError'][]
  scope: 'nail' | 'paw'
}>()
const emit = defineEmits<{ tell: [told: Partial<Schemas['Look']>]; next: []; scope: [scope: 'nail' | 'paw'] }>()
const { length } = useUnits()
const { data: settings } = useSettings()
const isDewclaw = computed(() => props.bar.group === 'dewclaw')
const what = ref<'gap_mm' | 'length_mm'>('length_mm')
const typed = ref('')
const wrong = ref('')
const input = useTemplateRef('input')
const focus = () => input.value?.element?.focus({ preventScroll: true })
onMounted(() => window.matchMedia('(hover: hover)').matches && focus())

const shown = <K extends 'colour' | 'shape' | 'state'>(key: K) => props.look[key] ?? props.bar[key]
const pickColours = Object.keys(colours).filter(c => c !== 'unknown') as Schemas['Colour'][]
const pickStates = computed(() =>
  (Object.keys(states) as Schemas['NailState'][]).filter(s => s !== 'loose' || isDewclaw.value),
)

/** Takes the number in the field; false when it is none. An empty field is no number to take. */
function settle(): boolean {
  wrong.value = ''
  if (typed.value.trim() === '') return true
  const mm = length.value.typed(typed.value)
  if (mm === undefined) {
    wrong.value = $t('walk.is_not_a_number_of', { typed: typed.value, symbol: length.value.symbol })
    return false
  }
  emit('tell', {
    [what.value]: mm,
    means: { ...props.look.means, [what.value === 'gap_mm' ? 'gap' : 'length']: { by: typedWith.value } },
    sure: undefined,
  })
  typed.value = ''
  return true
}
/** A caliper measures the length, whatever the field is set to. */
function measured(mm: number) {
  emit('tell', { length_mm: mm, means: { ...props.look.means, length: { by: 'caliper' } } })
  emit('next')
}
defineExpose({ focus, settle, measured })
const source = (seen: unknown) => (seen === undefined ? 'assumed' : 'seen')
</script>

<template>
  <section class="panel" :aria-label="$t('walk.nail_2', { code: look.code })">
    <div class="head">
      <span class="code">{{ look.code }}</span><span class="words">{{ nailInWords(look.code) }}</span>
      <div class="choices scope" role="group" :aria-label="$t('walk.what_you_say_is_of')">
        <button type="button" :aria-pressed="scope === 'nail'" @click="emit('scope', 'nail')">
          {{ $t('walk.this_nail') }}
        </button>
        <button type="button" :aria-pressed="scope === 'paw'" @click="emit('scope', 'paw')">
          {{ $t('walk.the_whole_paw', { code: look.code.slice(0, 2) }) }} <kbd>W</kbd>
        </button>
      </div>
    </div>

    <template v-if="!isDewclaw">
      <h2>
        {{ $t('walk.floor') }}
        <span :class="['mark', source(look.gap_mm ?? look.past_pad)]">{{
          look.gap_mm === undefined
            ? look.past_pad
              ? $t('walk.past_its_pad')
              : $t('walk.assumed')
            : $t('walk.gap', { gap: length.inField(look.gap_mm), symbol: length.symbol })
        }}</span>
      </h2>
      <div class="choices" role="group" :aria-label="$t('walk.what_passes_under_it')">
        <button
          v-for="(f, i) in settings?.gap_feelers"
          :key="f.feeler"
          type="button"
          class="big"
          :aria-pressed="look.gap_mm === f.gap_mm"
          @click="emit('tell', feelerTold(f.gap_mm, look))"
        >
          {{ feelers[f.feeler] }} <kbd>{{ 'TACO'[i] }}</kbd>
        </button>
        <button
          type="button"
          class="big"
          :aria-pressed="look.past_pad === true"
          @click="emit('tell', { past_pad: !look.past_pad })"
        >
          {{ $t('walk.past_its_pad') }} <kbd>X</kbd>
        </button>
      </div>
    </template>

    <h2>
      {{ $t('walk.colour') }}
      <span :class="['mark', source(look.colour)]">{{ look.colour ? '' : $t('walk.assumed') }}</span>
    </h2>
    <div class="choices" role="group" :aria-label="$t('walk.colour')">
      <button
        v-for="c in pickColours"
        :key="c"
        type="button"
        :aria-pressed="shown('colour') === c && look.colour !== undefined"
        @click="emit('tell', { colour: c })"
      >
        <span :class="['chip', c]" />{{ colours[c] }} <kbd>{{ c.charAt(0).toUpperCase() }}</kbd>
      </button>
    </div>
    <h2>
      {{ $t('walk.shape') }}
      <span :class="['mark', source(look.shape)]">{{ look.shape ? '' : $t('walk.assumed') }}</span>
    </h2>
    <div class="choices" role="group" :aria-label="$t('walk.shape')">
      <button
        v-for="(words, shape, i) in shapes"
        :key="shape"
        type="button"
        class="drawn"
        :aria-pressed="shown('shape') === shape && look.shape !== undefined"
        @click="emit('tell', { shape })"
      >
        <ShapePicture :shape="shape" />{{ words }} <kbd>{{ 'FGHJ'[i] }}</kbd>
      </button>
    </div>
    <h2>
      {{ $t('walk.state') }}
      <span :class="['mark', source(look.state)]">{{ look.state ? '' : $t('walk.assumed') }}</span>
    </h2>
    <div class="choices" role="group" :aria-label="$t('walk.state')">
      <button
        v-for="s in pickStates"
        :key="s"
        type="button"
        :aria-pressed="shown('state') === s && look.state !== undefined"
        @click="emit('tell', { state: s })"
      >
        {{ states[s] }}
      </button>
      <button
        type="button"
        :aria-pressed="look.present === false"
        @click="emit('tell', { present: look.present === false ? undefined : false })"
      >
        {{ $t('walk.not_there') }}
      </button>
    </div>
    <p v-if="look.state && settings?.veterinary_states.includes(look.state)" class="vet">
      {{ $t('walk.call_a_veterinarian_this_nail') }}
    </p>
    <p v-if="isDewclaw && look.shape === 'curled'" class="care">{{ $t('walk.curling_do_it_first_if') }}</p>

    <form class="number" novalidate @submit.prevent="settle() && emit('next')">
      <label for="number">{{ $t('walk.in', { symbol: length.symbol }) }}</label>
      <select v-model="what" class="form-select" :aria-label="$t('walk.the_number_is')">
        <option value="length_mm">{{ $t('walk.length') }}</option>
        <option v-if="!isDewclaw" value="gap_mm">{{ $t('walk.gap_2') }}</option>
      </select>
      <BFormInput
        id="number"
        ref="input"
        v-model="typed"
        inputmode="decimal"
        autocomplete="off"
        :state="wrong || refused.length > 0 ? false : null"
        aria-describedby="number-wrong"
      />
      <BButton type="submit" variant="plain" class="take">{{ $t('walk.take') }}</BButton>
    </form>
    <TypedWith />
    <FromPicture :code="look.code" to="walk" />
    <p v-if="look.length_mm !== undefined" class="small">
      {{ $t('walk.length_2', { length: length.inField(look.length_mm), symbol: length.symbol }) }}
    </p>
    <p v-if="wrong || refused.length > 0" id="number-wrong" class="refused" role="alert">
      {{ wrong
      }}<span v-for="e in refused" :key="e.field"
        >{{ $t('walk.you_gave', { code: look.code, name: e.name ?? e.field, expected: e.expected, e: e.value })
        }}{{ ' ' }}</span
      >
      <button
        v-if="refused.length > 0"
        type="button"
        class="sure"
        :aria-pressed="look.sure === true"
        @click="emit('tell', { sure: !look.sure })"
      >
        {{ $t('walk.it_is_right_keep_it') }}
      </button>
    </p>
  </section>
</template>

<style scoped>
.scope {
  margin-left: auto;
}
.words {
  min-width: 6rem;
}
.head {
  align-items: center;
  display: flex;
  gap: 0.9rem;
}
.code {
  font-size: 2.25rem;
  font-weight: 700;
  line-height: 1;
  min-width: 5.5rem;
}
h2 {
  font-size: 0.875rem;
  margin: 0.5rem 0 0.2rem;
}
.mark {
  font-weight: 400;
}
.mark.assumed {
  color: var(--ink-soft);
}
.mark.assumed:not(:empty)::before {
  content: '○ ';
}
.choices button {
  align-items: center;
  display: inline-flex;
  gap: 0.4rem;
}
.choices .big {
  min-height: 56px;
}
.choices .drawn {
  flex-direction: column;
  gap: 0;
  padding-block: 0.2rem;
}
.chip {
  border: 1.5px solid var(--ink);
  display: inline-block;
  height: 16px;
  width: 16px;
}
.chip.dark {
  background: #14181b;
}
.chip.light {
  background: #f4e9d6;
}
.chip.mixed {
  background: linear-gradient(135deg, #14181b 50%, #f4e9d6 50%);
}
.number {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  margin-top: 0.75rem;
}
.number select {
  width: auto;
}
.number .form-control {
  font-size: 1.5rem;
  font-weight: 650;
  max-width: 8rem;
  min-height: 56px;
  text-align: right;
}
.take {
  min-height: 56px;
}
.refused {
  color: var(--quick-text);
  font-weight: 600;
}
.sure {
  background: none;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  color: var(--ink);
  min-height: 44px;
  padding-inline: 0.75rem;
}
.sure[aria-pressed='true'] {
  background: var(--sunk);
  box-shadow: inset 0 -4px 0 var(--go);
}
.refused::before {
  content: '▲ ';
}
.vet {
  background: var(--vet-ground);
  border-left: calc(var(--bar) * 2) double var(--vet-edge);
  font-weight: 600;
  margin: 0.5rem 0 0;
  padding: 0.35rem 0.75rem;
}
.care {
  background: var(--caution-ground);
  border-left: var(--bar) solid var(--caution-edge);
  margin: 0.5rem 0 0;
  padding: 0.35rem 0.75rem;
}

@media (max-width: 900px) {
  .words {
    display: none;
  }
  .code {
    font-size: 1.75rem;
    min-width: 4rem;
  }
}
</style>
