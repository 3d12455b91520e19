<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BForm } from 'bootstrap-vue-next/components/BForm'
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useChangeDog } from '../../api/queries'
import { $t } from '../../i18n'
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
  form.value = {
    ...props.dog.handling,
    own_order: props.dog.handling.own_order.length > 0 ? [...props.dog.handling.own_order] : ['LH', 'RH', 'LF', 'RF'],
  }
  version.value = props.dog.version
  nails.value = bare(form.value.most_nails)
  minutes.value = bare(form.value.most_minutes)
  largest.value = bare(form.value.largest_cut_mm)
  open.value = true
}
// refused by name, as no number is
const told = (text: string) => (text.trim() === '' ? undefined : (number(text) ?? -1))
function save() {
  mutate(
    {
      version: version.value,
      handling: {
        ...form.value,
        most_nails: told(nails.value),
        most_minutes: told(minutes.value),
        largest_cut_mm: told(largest.value),
        own_order: form.value.order === 'own' ? form.value.own_order : [],
      },
    },
    { onSuccess: () => (open.value = false) },
  )
}
const paws = ['LF', 'RF', 'LH', 'RH'] as const
const held = (paw: Schemas['Paw']) => form.value.by_paw?.find(p => p.paw === paw)?.position ?? ''
function hold(paw: Schemas['Paw'], position: Schemas['Position'] | '') {
  const others = (form.value.by_paw ?? []).filter(p => p.paw !== paw)
  form.value.by_paw = position === '' ? others : [...others, { paw, position }]
}
/** A paw moves one place forward. */
function forward(at: number) {
  const order = form.value.own_order
  ;[order[at - 1], order[at]] = [order[at]!, order[at - 1]!]
}
const summary = computed(() => {
  const h = props.dog.handling
  return [
    positions[h.position],
    ...(h.by_paw ?? []).map(p => `${pawWords[p.paw]} ${positions[p.position]}`),
    h.order === 'own' ? h.own_order.join(' ') : pawOrders[h.order],
    $t('dog.helper', { helper: helpings[h.helper] }),
    h.muzzle && $t('dog.muzzle'),
    h.sore && $t('dog.sore_joints'),
    $t('dog.grinder_noise', { noise: noises[h.noise] }),
    h.most_nails !== undefined && $t('dog.at_most_nails', { most_nails: h.most_nails }),
    h.most_minutes !== undefined && $t('dog.at_most_min', { most_minutes: h.most_minutes }),
    h.way && ways[h.way],
    h.largest_cut_mm !== undefined && $t('dog.cuts_of_at_most', { largest_cut: length.value.show(h.largest_cut_mm) }),
  ]
    .filter(Boolean)
    .join(' · ')
})
const shown = ['handling.own_order', 'handling.most_nails', 'handling.most_minutes']
</script>

<template>
  <section :aria-label="$t('dog.how_it_is_held')">
    <div class="head">
      <BButton variant="plain" :aria-expanded="open" @click="open ? (open = false) : begin()">{{
        open ? $t('dog.close') : $t('dog.change_the_hold')
      }}</BButton>
    </div>
    <p v-if="!open" class="soft">{{ summary }}</p>
    <BForm v-else novalidate class="columns" @submit.prevent="save">
      <FormField id="h-position" :label="$t('dog.position')" :error="error" :fields="['handling.position']">
        <BFormSelect id="h-position" v-model="form.position" :options="options(positions)" />
      </FormField>
      <FormField
        id="h-paws"
        :label="$t('dog.single_paws')"
        :error="error"
        :fields="['handling.by_paw']"
        :hint="$t('dog.most_dogs_give_fore_and')"
      >
        <div id="h-paws" class="paws">
          <label v-for="paw in paws" :key="paw"
            >{{ pawWords[paw] }}
            <BFormSelect
              :model-value="held(paw)"
              :options="[{ value: '', text: $t('dog.as_the_others') }, ...options(positions)]"
              @update:model-value="hold(paw, $event as Schemas['Position'] | '')"
            />
          </label>
        </div>
      </FormField>
      <FormField
        id="h-order"
        :label="$t('dog.order_of_the_paws')"
        :error="error"
        :fields="['handling.own_order']"
        :hint="$t('dog.hind_first_is_the_way')"
      >
        <BFormSelect id="h-order" v-model="form.order" :options="options(pawOrders)" />
        <div
          v-if="form.order === 'own'"
          class="choices own"
          role="group"
          :aria-label="$t('dog.your_order_a_press_moves')"
        >
          <button
            v-for="(p, i) in form.own_order"
            :key="p"
            type="button"
            :disabled="i === 0"
            :aria-label="`${i + 1}. ${p}${i > 0 ? $t('dog.move_forward') : ''}`"
            @click="forward(i)"
          >
            {{ i + 1 }}. {{ p }} <span v-if="i > 0" aria-hidden="true">◀</span>
          </button>
        </div>
      </FormField>
      <FormField id="h-helper" :label="$t('dog.a_helper')" :error="error" :fields="['handling.helper']">
        <BFormSelect id="h-helper" v-model="form.helper" :options="options(helpings)" />
      </FormField>
      <FormField id="h-noise" :label="$t('dog.the_grinders_sound')" :error="error" :fields="['handling.noise']">
        <BFormSelect id="h-noise" v-model="form.noise" :options="options(noises)" />
      </FormField>
      <FormField
        id="h-nails"
        v-slot="{ invalid, described }"
        :label="$t('dog.most_nails_at_one_trim')"
        :error="error"
        :fields="['handling.most_nails']"
        :hint="$t('dog.empty_what_its_trims_tell')"
      >
        <BFormInput
          id="h-nails"
          v-model="nails"
          inputmode="numeric"
          :state="invalid"
          :aria-describedby="described"
          autocomplete="off"
        />
      </FormField>
      <FormField
        id="h-minutes"
        v-slot="{ invalid, described }"
        :label="$t('dog.most_minutes_at_one_trim')"
        :error="error"
        :fields="['handling.most_minutes']"
        :hint="$t('dog.empty_what_its_trims_tell')"
      >
        <BFormInput
          id="h-minutes"
          v-model="minutes"
          inputmode="decimal"
          :state="invalid"
          :aria-describedby="described"
          autocomplete="off"
        />
      </FormField>
      <FormField id="h-way" :label="$t('dog.it_is_worked')" :error="error" :fields="['handling.way']">
        <BFormSelect
          id="h-way"
          v-model="form.way"
          :options="[{ value: '', text: $t('dog.as_settings_have_it') }, ...options(ways).filter(o => o.value !== '')]"
        />
      </FormField>
      <FormField
        id="h-largest"
        :label="$t('dog.largest_cut')"
        :error="error"
        :fields="['handling.largest_cut_mm']"
        :hint="$t('dog.for_a_nail_7_mm', { deep: length.show(7) })"
      >
        <BFormSelect
          id="h-largest"
          v-model="largest"
          :options="[
            { value: '', text: $t('dog.as_settings_have_it') },
            ...largestCuts.map(mm => ({ value: String(mm), text: length.show(mm) })),
          ]"
        />
      </FormField>
      <div class="boxes">
        <BFormCheckbox v-model="form.muzzle">{{ $t('dog.muzzle_it_keeps_everybody_safe') }}</BFormCheckbox>
        <BFormCheckbox v-model="form.sore">{{ $t('dog.old_or_sore_joints') }}</BFormCheckbox>
      </div>
      <RefusalNote class="row" :error="error" :shown="shown" />
      <div class="row">
        <BButton type="submit" variant="plain" :disabled="isPending">{{ $t('dog.save_how_it_is_held') }}</BButton>
      </div>
    </BForm>
  </section>
</template>

<style scoped>
.head {
  align-items: center;
  display: flex;
  justify-content: space-between;
}
.columns {
  display: grid;
  gap: 1rem 2rem;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 20rem), 1fr));
  margin-block: 0.75rem 0;
}
.row {
  grid-column: 1 / -1;
}
.own {
  margin-top: 0.35rem;
}
.paws {
  display: grid;
  gap: 0.35rem 0.75rem;
  grid-template-columns: 1fr 1fr;
}
.paws label {
  font-size: 0.875rem;
}
.boxes > * {
  align-items: center;
  display: flex;
  gap: 0.5rem;
  min-height: 44px;
  padding: 0;
}
.boxes :deep(input) {
  flex: none;
  float: none;
  margin: 0;
}
.boxes :deep(label) {
  margin: 0;
}
</style>
