<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BForm } from 'bootstrap-vue-next/components/BForm'
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useChangeDog } from '../../api/queries'
import FormField from '../../parts/FormField.vue'
import RefusalNote from '../../parts/RefusalNote.vue'
import { number, useUnits } from '../../units'
import { helpings, largestCuts, noises, options, pawOrders, pawWords, positions, ways } from '../../words'

/** How this dog is held: what a plan of its sittings goes by. */
const props = defineProps<{ dog: Schemas['Dog'] }>()
const { mutate, isPending, error, reset } = useChangeDog(() => props.dog.id)
const open = ref(false)
const version = ref(0)
const form = ref<Schemas['Handling']>({ ...props.dog.handling })
const nails = ref('')
const minutes = ref('')
const largest = ref('')
const { length } = useUnits()
const bare = (n: number | undefined) => (n === undefined ? '' : String(n))

function begin() {
  reset()
  form.value = { ...props.dog.handling, own_order: props.dog.handling.own_order.length > 0 ? [...props.dog.handling.own_order] : ['LH', 'RH', 'LF', 'RF'] }
  version.value = props.dog.version
  nails.value = bare(form.value.most_nails)
  minutes.value = bare(form.value.most_minutes)
  largest.value = bare(form.value.largest_cut_mm)
  open.value = true
}
const told = (text: string) => (text.trim() === '' ? undefined : (number(text) ?? -1)) // refused by name, as no number is
function save() {
  mutate({
    version: version.value,
    handling: { ...form.value, most_nails: told(nails.value), most_minutes: told(minutes.value), largest_cut_mm: told(largest.value), own_order: form.value.order === 'own' ? form.value.own_order : [] },
  }, { onSuccess: () => (open.value = false) })
}
const paws = ['LF', 'RF', 'LH', 'RH'] as const
const held = (paw: Schemas['Paw']) => form.value.by_paw?.find((p) => p.paw === paw)?.position ?? ''
function hold(paw: Schemas['Paw'], position: Schemas['Position'] | '') {
  const others = (form.value.by_paw ?? []).filter((p) => p.paw !== paw)
  form.value.by_paw = position === '' ? others : [...others, { paw, position }]
}
/** A paw moves one place forward. */
function forward(at: number) {
  const order = form.value.own_order
  ;[order[at - 1], order[at]] = [order[at], order[at - 1]]
}
const summary = computed(() => {
  const h = props.dog.handling
  return [
    positions[h.position], ...(h.by_paw ?? []).map((p) => `${pawWords[p.paw]} ${positions[p.position]}`), h.order === 'own' ? h.own_order.join(' ') : pawOrders[h.order], `helper ${helpings[h.helper]}`,
    h.muzzle && 'muzzle', h.sore && 'sore joints', `grinder: ${noises[h.noise]}`,
    h.most_nails !== undefined && `at most ${h.most_nails} nails`, h.most_minutes !== undefined && `at most ${h.most_minutes} min`,
    h.way && ways[h.way], h.largest_cut_mm !== undefined && `cuts of ${length.value.show(h.largest_cut_mm)} at most`,
  ].filter(Boolean).join(' · ')
})
const shown = ['handling.own_order', 'handling.most_nails', 'handling.most_minutes']
</script>

<template>
  <section aria-label="How it is held">
    <div class="head">
      <BButton variant="plain" :aria-expanded="open" @click="open ? (open = false) : begin()">{{ open ? 'Close' : 'Change the hold' }}</BButton>
    </div>
    <p v-if="!open" class="soft">{{ summary }}</p>
    <BForm v-else novalidate class="columns" @submit.prevent="save">
      <FormField id="h-position" label="Position" :error="error" :fields="['handling.position']">
        <BFormSelect id="h-position" v-model="form.position" :options="options(positions)" />
      </FormField>
      <FormField id="h-paws" label="Single paws" :error="error" :fields="['handling.by_paw']" hint="Most dogs give fore and hind feet differently.">
        <div id="h-paws" class="paws">
          <label v-for="paw in paws" :key="paw">{{ pawWords[paw] }}
            <BFormSelect :model-value="held(paw)" :options="[{ value: '', text: 'as the others' }, ...options(positions)]" @update:model-value="hold(paw, $event as Schemas['Position'] | '')" />
          </label>
        </div>
      </FormField>
      <FormField id="h-order" label="Order of the paws" :error="error" :fields="['handling.own_order']" hint="Hind first is the way for a nervous or unknown dog.">
        <BFormSelect id="h-order" v-model="form.order" :options="options(pawOrders)" />
        <div v-if="form.order === 'own'" class="choices own" role="group" aria-label="Your order; a press moves a paw forward">
          <button v-for="(p, i) in form.own_order" :key="p" type="button" :disabled="i === 0" :aria-label="`${i + 1}. ${p}${i > 0 ? ', move forward' : ''}`" @click="forward(i)">{{ i + 1 }}. {{ p }} <span v-if="i > 0" aria-hidden="true">◀</span></button>
        </div>
      </FormField>
      <FormField id="h-helper" label="A helper" :error="error" :fields="['handling.helper']">
        <BFormSelect id="h-helper" v-model="form.helper" :options="options(helpings)" />
      </FormField>
      <FormField id="h-noise" label="The grinder’s sound" :error="error" :fields="['handling.noise']">
        <BFormSelect id="h-noise" v-model="form.noise" :options="options(noises)" />
      </FormField>
      <FormField id="h-nails" v-slot="{ invalid, described }" label="Most nails at one trim" :error="error" :fields="['handling.most_nails']" hint="Empty: what its trims tell.">
        <BFormInput id="h-nails" v-model="nails" inputmode="numeric" :state="invalid" :aria-describedby="described" autocomplete="off" />
      </FormField>
      <FormField id="h-minutes" v-slot="{ invalid, described }" label="Most minutes at one trim" :error="error" :fields="['handling.most_minutes']" hint="Empty: what its trims tell.">
        <BFormInput id="h-minutes" v-model="minutes" inputmode="decimal" :state="invalid" :aria-describedby="described" autocomplete="off" />
      </FormField>
      <FormField id="h-way" label="It is worked" :error="error" :fields="['handling.way']">
        <BFormSelect id="h-way" v-model="form.way" :options="[{ value: '', text: 'as Settings have it' }, ...options(ways).filter((o) => o.value !== '')]" />
      </FormField>
      <FormField id="h-largest" label="Largest cut" :error="error" :fields="['handling.largest_cut_mm']" hint="For a nail 7 mm deep; on small nails all cuts are thinner.">
        <BFormSelect id="h-largest" v-model="largest" :options="[{ value: '', text: 'as Settings have it' }, ...largestCuts.map((mm) => ({ value: String(mm), text: length.show(mm) }))]" />
      </FormField>
      <div class="boxes">
        <BFormCheckbox v-model="form.muzzle">muzzle: it keeps everybody safe</BFormCheckbox>
        <BFormCheckbox v-model="form.sore">old or sore joints</BFormCheckbox>
      </div>
      <RefusalNote class="row" :error="error" :shown="shown" />
      <div class="row"><BButton type="submit" variant="plain" :disabled="isPending">Save how it is held</BButton></div>
    </BForm>
  </section>
</template>

<style scoped>
.head { align-items: center; display: flex; justify-content: space-between; }
.columns { display: grid; gap: 1rem 2rem; grid-template-columns: repeat(auto-fill, minmax(min(100%, 20rem), 1fr)); margin-block: 0.75rem 0; }
.row { grid-column: 1 / -1; }
.own { margin-top: 0.35rem; }
.paws { display: grid; gap: 0.35rem 0.75rem; grid-template-columns: 1fr 1fr; }
.paws label { font-size: 0.875rem; }
.boxes > * { align-items: center; display: flex; gap: 0.5rem; min-height: 44px; padding: 0; }
.boxes :deep(input) { flex: none; float: none; margin: 0; }
.boxes :deep(label) { margin: 0; }
</style>
