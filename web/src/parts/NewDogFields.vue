<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { useSettings } from '../api/queries'
import { number, useUnits } from '../units'
import FormField from './FormField.vue'

/** The three things that a new dog needs: a name, a size, an age. */
defineProps<{ error: Error | null }>()

const { data: settings } = useSettings()
const { weight } = useUnits()
const name = ref('')
const kilos = ref('')
const knowsBirth = ref(false)
const years = ref('')
const born = ref('')

const classes = computed(() => {
  let from = 0
  return (settings.value?.size_classes ?? []).map((c) => {
    const [low, high] = [from, c.under_kg ?? 0].map((kg) => weight.value.bare(kg).replace(/\.0$/, ''))
    const label = c.under_kg === undefined ? `${low} and over` : from === 0 ? `under ${high}` : `${low}–${high}`
    from = c.under_kg ?? from
    return { label, usual: weight.value.bare(c.usual_kg) }
  })
})

/** What is not a number goes to the server as it stands in the field, so that it says what is wrong. */
function told(): Schemas['DogInput'] {
  const age = number(years.value)
  return {
    name: name.value,
    weights: [{ kg: weight.value.typed(kilos.value) ?? 0 }],
    ...(knowsBirth.value
      ? (born.value ? { birth_date: born.value } : {})
      : age === undefined ? {} : { age_years: age }),
  }
}
defineExpose({ told })
const shown = ['name', 'weights', 'birth_date', 'age_years']
</script>

<template>
  <div class="fields">
    <FormField id="name" v-slot="{ invalid, described }" label="Name" :error="error" :fields="['name']">
      <BFormInput id="name" v-model="name" :state="invalid" :aria-describedby="described" autocomplete="off" autofocus dir="auto" />
    </FormField>
    <FormField id="weight" v-slot="{ invalid, described }" :label="`Weight, ${weight.symbol}`" :error="error" :fields="['weights']" hint="Not weighed? Choose about how heavy it is.">
      <BFormInput id="weight" v-model="kilos" :state="invalid" :aria-describedby="described" inputmode="decimal" autocomplete="off" class="short" />
    </FormField>
    <div class="sizes" role="group" aria-label="About how heavy">
      <button v-for="c in classes" :key="c.label" type="button" class="btn btn-plain" :aria-pressed="kilos === c.usual" @click="kilos = c.usual">{{ c.label }}</button>
    </div>
    <FormField v-if="!knowsBirth" id="years" v-slot="{ invalid, described }" label="Age, years" :error="error" :fields="['age_years', 'birth_date']" hint="About will do. Half a year is 0.5.">
      <BFormInput id="years" v-model="years" :state="invalid" :aria-describedby="described" inputmode="decimal" autocomplete="off" class="short" />
    </FormField>
    <FormField v-else id="born" v-slot="{ invalid, described }" label="Birth date" :error="error" :fields="['birth_date', 'age_years']">
      <BFormInput id="born" v-model="born" :state="invalid" :aria-describedby="described" type="date" :max="settings?.today" class="date" />
    </FormField>
    <button type="button" class="switch" @click="knowsBirth = !knowsBirth">{{ knowsBirth ? 'I only know about how old it is' : 'I know the birth date' }}</button>
    <slot :shown="shown" />
  </div>
</template>

<style scoped>
.fields { display: grid; gap: 1rem; max-width: 34rem; }
.short { max-width: 9rem; }
.date { max-width: 12rem; }
.sizes { display: flex; flex-wrap: wrap; gap: 0.4rem; margin-top: -0.5rem; }
.sizes .btn { padding-inline: 0.7rem; }
.sizes .btn[aria-pressed='true'] { background: var(--sunk); box-shadow: inset 0 -4px 0 var(--go); }
.switch { background: none; border: 0; color: var(--go); font-weight: 600; justify-self: start; margin-top: -0.75rem; min-height: 32px; padding: 0; text-decoration: underline; text-underline-offset: 3px; }
</style>
