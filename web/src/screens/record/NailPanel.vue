<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import type { Schemas } from '../../api/client'
import { useSettings } from '../../api/queries'
import { $t } from '../../i18n'
import type { NailDraft } from '../../local/drafts'
import { numberMode, typedWith, type NumberMode } from '../../local/numberMode'
import AppIcon from '../../parts/AppIcon.vue'
import FromPicture from '../../parts/FromPicture.vue'
import TypedWith from '../../parts/TypedWith.vue'
import { cutBy, useUnits } from '../../units'
import { feelers, nailInWords, reactions, sources } from '../../words'

/** The nail in hand: its plan, and what was different. */
const props = defineProps<{
  nail: NailDraft
  planned: Schemas['PlannedNail']
  bar: Schemas['Bar']
  refused: Schemas['FieldError'][]
}>()
const emit = defineEmits<{ planned: []; left: []; blood: []; next: []; tell: [told: Partial<NailDraft>] }>()

const { length } = useUnits()
const { data: settings } = useSettings()
const typed = ref('')
const wrong = ref('')
const input = useTemplateRef('input')
const focus = () => input.value?.element?.focus({ preventScroll: true })
// On a phone the keyboard would cover the nail: there it opens when the number is touched.
onMounted(() => window.matchMedia('(hover: hover)').matches && focus())
defineExpose({ focus, settle, measured })

const modes: Record<NumberMode, string> = {
  length_before_mm: $t('record.length_before'),
  length_after_mm: $t('record.length_after'),
  cuts_mm: $t('record.taken_off'),
  gap_before_mm: $t('record.gap_before'),
  gap_after_mm: $t('record.gap_after'),
  spare_left_mm: $t('record.safe_to_trim_seen'),
}
/** 3 × 0.5 mm, or each where they differ. */
const list = (mm: number[]) =>
  mm.length > 1 && mm.every(c => c === mm[0])
    ? `${mm.length} × ${length.value.show(mm[0]!)}`
    : `${mm.map(c => length.value.bare(c)).join(' + ')} ${length.value.symbol}`
const told = computed(() =>
  (Object.keys(modes) as NumberMode[]).flatMap(mode => {
    const value = props.nail[mode]
    return mode === 'cuts_mm' || value === undefined
      ? []
      : [{ mode, text: `${modes[mode]} ${length.value.inField(value as number)} ${length.value.symbol}` }]
  }),
)
const state = computed(() => {
  if (props.nail.blood) return $t('record.it_bled')
  if (props.nail.mark === 'left') return $t('record.left_out_2')
  return props.nail.mark === 'done'
    ? $t('record.off', { cuts: list(props.nail.cuts_mm) })
    : props.planned.plan.cuts_mm.length === 0
      ? $t('record.nothing_planned')
      : $t('record.a_look_after_each', { plan: cutBy(props.planned.plan, length.value) })
})

/** Enter: the number belongs to this nail, and the next one comes to hand. Nothing typed is as planned. */
function enter() {
  if (typed.value.trim() === '') emit('planned')
  else emit('next') // settles the number on its way
}
/** Tells the number in the field, if there is one; false when it is none, which the panel then says. */
function settle(): boolean {
  wrong.value = ''
  if (typed.value.trim() === '') return true
  const numbers = typed.value
    .replace(/\s+(?=mm|in|")/i, '')
    .split(/[+\s]+/)
    .filter(Boolean)
    .map(t => length.value.typed(t))
  if (numbers.length === 0 || numbers.includes(undefined) || (numberMode.value !== 'cuts_mm' && numbers.length > 1)) {
    wrong.value = $t('record.is_not_a_number_of', { typed: typed.value, symbol: length.value.symbol })
    return false
  }
  put(numberMode.value === 'cuts_mm' ? (numbers as number[]) : numbers[0]!, typedWith.value)
  typed.value = ''
  return true
}
function put(value: number | number[], by: Schemas['Means']) {
  const what = numberMode.value.replace('_mm', '')
  const means = numberMode.value === 'cuts_mm' ? props.nail.means : { ...props.nail.means, [what]: { by } }
  const cut = numberMode.value === 'cuts_mm' ? true : props.nail.cuts_mm.length > 0 && props.nail.mark !== 'left'
  emit('tell', {
    [numberMode.value]: value,
    means,
    mark: cut ? 'done' : 'left',
    sure: undefined,
    ...(numberMode.value === 'cuts_mm' ? { assumed: false } : {}),
  })
}
/** A linked caliper's reading is taken as if it had been typed and entered. */
function measured(mm: number) {
  if (numberMode.value === 'cuts_mm') numberMode.value = 'length_after_mm' // a caliper measures no cut
  take(mm, 'caliper')
}
function take(mm: number, by: Schemas['Means']) {
  typed.value = ''
  put(mm, by)
  emit('next')
}
</script>

<template>
  <section class="panel" aria-live="polite" :aria-label="$t('record.nail', { code: nail.code })">
    <div class="head">
      <span class="code">{{ nail.code }}</span><span
        >{{ nailInWords(nail.code) }}<br /><span class="soft small">{{ planned.why }}</span></span
      >
    </div>
    <p :class="['state', { left: nail.mark === 'left', blood: nail.blood }]">{{ state }}</p>
    <p class="spare">
      {{ $t('record.safe_to_trim', { mm: length.show(bar.spare.mm) }) }}
      <span class="soft"
        >({{ length.range(bar.spare.low_mm, bar.spare.high_mm) }}, {{ sources[bar.spare.source] }})</span
      >
    </p>
    <p v-if="nail.blood" class="bleeding">{{ $t('record.styptic_or_plain_flour_firm') }}</p>

    <div class="acts">
      <BButton variant="plain" class="act" @click="emit('planned')"
        >{{ $t('record.as_planned') }} <kbd>{{ $t('record.space') }}</kbd></BButton
      >
      <BButton variant="plain" class="act" @click="emit('left')">{{ $t('record.leave_out') }} <kbd>S</kbd></BButton>
      <BButton variant="plain" class="act drop" :aria-pressed="nail.blood" @click="emit('blood')"
        ><AppIcon name="blood" />{{ $t('record.blood') }} <kbd>B</kbd></BButton
      >
    </div>
    <div class="choices" role="group" :aria-label="$t('record.how_the_dog_was_about')">
      <button
        v-for="(words, r) in reactions"
        :key="r"
        type="button"
        :aria-pressed="nail.reaction === r"
        @click="emit('tell', { reaction: r })"
      >
        {{ words }}
      </button>
      <button type="button" :aria-pressed="nail.took_force" @click="emit('tell', { took_force: !nail.took_force })">
        {{ $t('record.it_took_force') }}
      </button>
    </div>

    <div class="choices" role="group" :aria-label="$t('record.the_number_is')">
      <button
        v-for="(words, mode) in modes"
        :key="mode"
        type="button"
        :aria-pressed="numberMode === mode"
        @click="numberMode = mode"
      >
        {{ words }}
      </button>
    </div>
    <form class="number" novalidate @submit.prevent="enter">
      <label for="number" class="visually-hidden">{{ modes[numberMode] }}, {{ length.symbol }}</label>
      <BFormInput
        id="number"
        ref="input"
        v-model="typed"
        inputmode="decimal"
        autocomplete="off"
        :placeholder="numberMode === 'cuts_mm' ? `1 + 0.5` : ''"
        :state="wrong || refused.length > 0 ? false : null"
        aria-describedby="number-wrong"
      />
      <span class="unit">{{ length.symbol }}</span>
      <BButton type="submit" variant="plain">{{ $t('record.next') }}</BButton>
    </form>
    <TypedWith v-if="numberMode !== 'cuts_mm'" />
    <FromPicture :code="nail.code" to="record" />
    <div v-if="numberMode.startsWith('gap')" class="choices" role="group" :aria-label="$t('record.by_feeler')">
      <button v-for="f in settings?.gap_feelers" :key="f.feeler" type="button" @click="take(f.gap_mm, 'feeler')">
        {{ feelers[f.feeler] }}
      </button>
    </div>
    <p v-if="wrong || refused.length > 0" id="number-wrong" class="refused" role="alert">
      {{ wrong
      }}<span v-for="e in refused" :key="e.field"
        >{{ $t('record.you_gave_2', { code: nail.code, name: e.name ?? e.field, expected: e.expected, e: e.value })
        }}{{ ' ' }}</span
      >
      <button
        v-if="refused.some(e => e.field.endsWith('_mm'))"
        type="button"
        class="sure"
        :aria-pressed="nail.sure === true"
        @click="emit('tell', { sure: !nail.sure })"
      >
        {{ $t('record.it_is_right_keep_it') }}
      </button>
    </p>
    <ul v-if="told.length > 0" class="told small">
      <li v-for="t in told" :key="t.mode">
        {{ t.text }}
        <button
          type="button"
          :aria-label="$t('record.forget', { text: t.text })"
          @click="emit('tell', { [t.mode]: undefined })"
        >
          ✕
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.head {
  align-items: center;
  display: flex;
  gap: 0.9rem;
  line-height: 1.25;
}
.code {
  font-size: 2.25rem;
  font-weight: 700;
  line-height: 1;
  min-width: 5.5rem;
}
.state {
  font-size: 1.375rem;
  font-weight: 650;
  margin: 0.5rem 0 0.1rem;
}
/* Written within sentences elsewhere. */
.state::first-letter {
  text-transform: uppercase;
}
.state.left {
  color: var(--ink-soft);
}
.state.blood {
  color: var(--quick-text);
}
.state.blood::before {
  content: '◆ ';
}
.spare {
  min-height: 2.8em;
}
.bleeding {
  background: var(--vet-ground);
  border-left: calc(var(--bar) * 2) solid var(--vet-edge);
  padding: 0.5rem 0.75rem;
}
.choices {
  margin-top: 0.5rem;
}
.number {
  align-items: center;
  display: flex;
  gap: 0.5rem;
  margin-top: 0.5rem;
}
.number .form-control {
  font-size: 1.75rem;
  font-weight: 650;
  max-width: 11rem;
  min-height: 64px;
  text-align: right;
}
.number .btn {
  margin-left: auto;
  min-height: 64px;
  min-width: 6rem;
}
.unit {
  color: var(--ink-soft);
  font-size: 1.25rem;
}
.refused {
  color: var(--quick-text);
  font-weight: 600;
  margin: 0.35rem 0 0;
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
.told {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1rem;
  margin-top: 0.35rem;
}
.told button {
  background: none;
  border: 0;
  color: var(--ink-soft);
  min-height: 32px;
  min-width: 32px;
}
.acts {
  display: grid;
  gap: 0.4rem;
  grid-template-columns: repeat(3, 1fr);
  margin-top: 0.75rem;
}
.act {
  flex-wrap: wrap;
  gap: 0 0.4rem;
  line-height: 1.2;
  min-height: 64px;
  padding-inline: 0.3rem;
  white-space: nowrap;
}
.drop {
  color: var(--quick-text);
}
.drop[aria-pressed='true'] {
  background: var(--vet-ground);
}

@media (max-width: 900px) {
  .code {
    font-size: 1.75rem;
    min-width: 4rem;
  }
  .state {
    margin-top: 0.25rem;
  }
  .spare {
    font-size: var(--small);
    margin-bottom: 0;
    min-height: 0;
  }
  .acts {
    margin-top: 0.5rem;
  }
  .act {
    overflow-wrap: anywhere;
    white-space: normal;
  }
}
</style>
