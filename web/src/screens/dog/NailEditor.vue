<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { colours, nailInWords, options, shapes, states } from '../../words'

/** Which nails are there, and what they look like: many at once, or one by one. */
const nails = defineModel<Schemas['Nail'][]>({ required: true })

const paws = ['LF', 'RF', 'LH', 'RH'] as const
const digitsOf = (paw: string) => (paw.endsWith('H') ? ['1', '1b', '2', '3', '4', '5'] : ['1', '2', '3', '4', '5'])
const every = paws.flatMap(paw => digitsOf(paw).map(digit => `${paw}${digit}` as Schemas['NailCode']))
const picked = ref<Schemas['NailCode'][]>([])
const at = (code: string) => nails.value.find(n => n.code === code)
const pick = (codes: Schemas['NailCode'][]) => {
  const all = codes.every(c => picked.value.includes(c))
  picked.value = all ? picked.value.filter(c => !codes.includes(c)) : [...new Set([...picked.value, ...codes])]
}
const there = computed(() => picked.value.filter(c => at(c)))
const missing = computed(() => picked.value.filter(c => !at(c)))

function look<K extends 'colour' | 'shape' | 'state'>(key: K, value: Schemas['Nail'][K] | '') {
  if (value === '') return
  nails.value = nails.value.map(n => (picked.value.includes(n.code) ? { ...n, [key]: value } : n))
}
function setThere(isThere: boolean) {
  if (isThere) {
    const fresh = missing.value.map(
      code => ({ code, state: 'sound', colour: 'unknown', shape: 'usual' }) as Schemas['Nail'],
    )
    nails.value = [...nails.value, ...fresh]
  } else {
    nails.value = nails.value.filter(n => !picked.value.includes(n.code))
  }
}
function inWords(code: string) {
  const n = at(code)
  return `${nailInWords(code)}: ${n ? `${colours[n.colour]}, ${shapes[n.shape]}, ${states[n.state]}` : $t('dog.not_there')}`
}
/** What all picked nails share, or nothing. */
const shared = <K extends 'colour' | 'shape' | 'state'>(key: K) => {
  const values = new Set(there.value.map(c => at(c)![key]))
  return values.size === 1 ? [...values][0] : ''
}
const withMixed = <K extends string>(words: Record<K, string>) => [{ value: '', text: '–' }, ...options(words)]
</script>

<template>
  <fieldset>
    <legend>{{ $t('dog.nails_pick_one_or_many') }}</legend>
    <div class="paws">
      <div v-for="paw in paws" :key="paw" class="paw">
        <button type="button" class="paw-name" @click="pick(every.filter(c => c.startsWith(paw) && at(c)))">
          {{ paw }}
        </button>
        <button
          v-for="code in every.filter(c => c.startsWith(paw))"
          :key="code"
          type="button"
          :class="['nail', at(code)?.colour ?? 'gone', { split: at(code) && at(code)!.state !== 'sound' }]"
          :aria-pressed="picked.includes(code)"
          @click="pick([code])"
        >
          {{ code.slice(2).replace('1b', '1′') }}<span class="visually-hidden"> {{ inWords(code) }}</span>
        </button>
      </div>
      <BButton variant="plain" @click="pick(nails.map(n => n.code))">{{ $t('dog.all') }}</BButton>
    </div>
    <div v-if="picked.length > 0" class="looks">
      <label
        >{{ $t('dog.colour') }}
        <BFormSelect
          :model-value="shared('colour')"
          :options="withMixed(colours)"
          @update:model-value="look('colour', $event as Schemas['Colour'])"
      /></label>
      <label
        >{{ $t('dog.shape') }}
        <BFormSelect
          :model-value="shared('shape')"
          :options="withMixed(shapes)"
          @update:model-value="look('shape', $event as Schemas['Shape'])"
      /></label>
      <label
        >{{ $t('dog.state') }}
        <BFormSelect
          :model-value="shared('state')"
          :options="withMixed(states)"
          @update:model-value="look('state', $event as Schemas['NailState'])"
      /></label>
      <BButton v-if="missing.length > 0" variant="plain" @click="setThere(true)">{{
        $t('dog.is_there', { missing: missing.join(' ') })
      }}</BButton>
      <BButton v-if="there.length > 0 && missing.length === 0" variant="plain" @click="setThere(false)">{{
        $t('dog.not_there_2')
      }}</BButton>
    </div>
    <p class="soft small">{{ $t('dog.a_nail_torn_into_the') }}</p>
  </fieldset>
</template>

<style scoped>
.paws {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1.5rem;
  margin-block: 0.5rem;
}
.paw {
  display: flex;
}
.paw-name {
  background: none;
  border: 0;
  color: var(--ink);
  font-weight: 650;
  min-height: 44px;
  min-width: 36px;
}
.nail {
  position: relative;
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  color: var(--ink);
  margin-left: -1px;
  min-height: 44px;
  min-width: 36px;
  padding: 0;
}
.nail.dark {
  border-bottom: 6px solid var(--ink);
}
.nail.light {
  border-bottom: 6px double var(--line-strong);
}
.nail.mixed {
  border-bottom: 6px dashed var(--ink);
}
.nail.gone {
  border-style: dashed;
  color: var(--ink-soft);
  text-decoration: line-through;
}
.nail.split {
  font-weight: 700;
  text-decoration: underline wavy;
}
.nail[aria-pressed='true'] {
  background: color-mix(in srgb, var(--go) 22%, var(--sheet));
  outline: 2px solid var(--go);
  outline-offset: -2px;
}
.looks {
  align-items: end;
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
  margin-bottom: 0.5rem;
}
.looks label {
  margin: 0;
}
</style>
