<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BForm } from 'bootstrap-vue-next/components/BForm'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, ref, watch } from 'vue'
import { Refusal, type Schemas } from '../api/client'
import { useSaveSettings, useSettings } from '../api/queries'
import { useSlices } from '../api/slices'
import { dayOf } from '../dates'
import { chooseTheme, chosenTheme, type Theme } from '../local/theme'
import AnswerState from '../parts/AnswerState.vue'
import FormField from '../parts/FormField.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import WeekdayPicker from '../parts/WeekdayPicker.vue'
import BackupList from './settings/BackupList.vue'
import BookExchange from './settings/BookExchange.vue'
import PictureRoom from './settings/PictureRoom.vue'
import HouseDevices from './settings/HouseDevices.vue'
import CalendarAddress from './settings/CalendarAddress.vue'
import HolidayList from './settings/HolidayList.vue'
import { useUnits } from '../units'
import { hands, largestCuts, options, ways } from '../words'

const { data, error: unread, refetch } = useSettings()
const { mutate, isPending, error, isSuccess, reset } = useSaveSettings()
const { length } = useUnits()
const { data: slices } = useSlices()
const choices = ref<Schemas['Choices']>()
const margin = ref('')
const coin = ref('')
const largest = ref('')
const theme = ref<Theme>(chosenTheme())
watch(data, (settings) => {
  if (!settings) return
  choices.value = { ...settings.choices, holidays: settings.choices.holidays ?? [] }
  margin.value = length.value.inField(settings.choices.margin_mm)
  coin.value = settings.choices.coin_mm === undefined ? '' : length.value.inField(settings.choices.coin_mm)
  largest.value = settings.choices.largest_cut_mm === undefined ? '' : String(settings.choices.largest_cut_mm)
}, { immediate: true })
watch(theme, chooseTheme)

/** The stored number where the field was not touched, so that showing it in another unit changes nothing. */
const told = (field: string, stored: number | undefined) =>
  stored !== undefined && field === length.value.inField(stored) ? stored : (length.value.typed(field) ?? -1)
const conflict = computed(() => error.value instanceof Refusal && error.value.status === 409)
async function loadAgain() {
  await refetch()
  reset()
}
function save() {
  const { margin_mm, coin_mm } = data.value!.choices
  mutate({
    ...choices.value!, margin_mm: told(margin.value, margin_mm),
    coin_mm: coin.value.trim() === '' ? undefined : told(coin.value, coin_mm),
    largest_cut_mm: largest.value === '' ? undefined : Number(largest.value),
  })
}
</script>

<template>
  <div class="screen">
    <div class="screen-head"><h1>Settings</h1></div>
    <AnswerState v-if="!choices" :error="unread" what="your settings" @again="refetch()" />
    <BForm v-else novalidate class="settings" @submit.prevent="save">
      <FormField id="role" v-slot="{ invalid }" label="You are" :error="error" :fields="['role']" hint="A groomer’s new dogs start with four weeks, a keeper’s with two.">
        <BFormSelect id="role" v-model="choices.role" :state="invalid" :options="[{ value: 'keeper', text: 'a keeper' }, { value: 'groomer', text: 'a groomer' }]" />
      </FormField>
      <FormField id="hand" label="Your hand" :error="error" :fields="['hand']" hint="Until a dog’s own sittings tell, minutes and tools are chosen for it.">
        <BFormSelect id="hand" v-model="choices.hand" :options="options(hands)" />
      </FormField>
      <FormField id="left" label="The cutter is in" :error="error" :fields="['left_handed']" hint="Ready and Bench say which hand holds the foot.">
        <BFormSelect id="left" v-model="choices.left_handed" :options="[{ value: false, text: 'your right hand' }, { value: true, text: 'your left hand' }]" />
      </FormField>
      <FormField id="end" label="On a nail you stop" :error="error" :fields="['end_point']" hint="Practitioners disagree. A dot or blood always ends the work on a nail.">
        <BFormSelect id="end" v-model="choices.end_point" :options="[{ value: 'first_sign', text: 'at the first sign: the dark centre, the blush' }, { value: 'full', text: 'at the dot, in thin slivers' }]" />
      </FormField>
      <FormField id="way" label="You work" :error="error" :fields="['way']" hint="Each dog can have its own. Plans, minutes and what a day asks of the kit follow.">
        <BFormSelect id="way" v-model="choices.way" :options="options(ways)" />
      </FormField>
      <FormField id="largest" label="Your largest cut" :error="error" :fields="['largest_cut_mm']" hint="Practitioners disagree: many thin cuts, or the long end nipped off and then thin ones. A thick cut is planned only where even a belief a millimetre wrong would not bleed; on small nails all cuts are thinner.">
        <BFormSelect id="largest" v-model="largest" :options="[{ value: '', text: 'as is usual of your hand' }, ...largestCuts.map((mm) => ({ value: String(mm), text: length.show(mm) + (mm === 0.5 ? ': thin ones throughout' : '') }))]" />
      </FormField>
      <p class="slices small">Not every “1 mm” is one: <RouterLink to="/settings/slices">how thick you cut</RouterLink>, {{ slices?.learnt ? `measured on ${dayOf(slices.on!)}` : 'not measured yet' }}.</p>
      <FormField id="length" label="Lengths in" :error="error" :fields="['length_unit']">
        <BFormSelect id="length" v-model="choices.length_unit" :options="[{ value: 'mm', text: 'millimetres' }, { value: 'in', text: 'inches' }]" />
      </FormField>
      <FormField id="weight" label="Weights in" :error="error" :fields="['weight_unit']">
        <BFormSelect id="weight" v-model="choices.weight_unit" :options="[{ value: 'kg', text: 'kilograms' }, { value: 'lb', text: 'pounds' }]" />
      </FormField>
      <FormField id="margin" v-slot="{ invalid, described }" :label="`Spare to leave in front of the quick, ${length.symbol}`" :error="error" :fields="['margin_mm']" hint="Every plan and every date keeps this distance.">
        <BFormInput id="margin" v-model="margin" :state="invalid" :aria-describedby="described" inputmode="decimal" class="short" />
      </FormField>
      <FormField id="coin" v-slot="{ invalid, described }" :label="`Your coin’s thickness, ${length.symbol}`" :error="error" :fields="['coin_mm']" hint="Measure a small coin once, and it serves as a feeler under a nail.">
        <BFormInput id="coin" v-model="coin" :state="invalid" :aria-describedby="described" inputmode="decimal" class="short" />
      </FormField>
      <FormField id="workdays" label="Your working days" :error="error" :fields="['working_weekdays']" hint="A new dog’s dates fall on these. Each dog can have its own.">
        <WeekdayPicker id="workdays" v-model="choices.working_weekdays" />
      </FormField>
      <FormField id="holidays" label="Days off" :error="error" :fields="['holidays']" hint="No date falls on these: it moves to the working day before.">
        <HolidayList v-model="choices.holidays!" :today="data!.today" />
      </FormField>
      <FormField id="theme" label="Light or dark, in this browser" :error="null" :fields="[]">
        <BFormSelect id="theme" v-model="theme" :options="[{ value: 'auto', text: 'as the system' }, { value: 'light', text: 'light' }, { value: 'dark', text: 'dark' }]" />
      </FormField>
      <RefusalNote :error="error" :shown="['role', 'margin_mm', 'coin_mm', 'working_weekdays', 'holidays']"><BButton v-if="conflict" variant="plain" @click="loadAgain">Load them again</BButton></RefusalNote>
      <div><BButton type="submit" variant="go" :disabled="isPending">Save settings</BButton> <span v-if="isSuccess" role="status" class="saved">Saved.</span></div>
    </BForm>
    <CalendarAddress v-if="data && data.choices.role !== 'unset'" />
    <HouseDevices v-if="data" />
    <BackupList v-if="data" />
    <PictureRoom v-if="data" />
    <BookExchange v-if="data" />
  </div>
</template>

<style scoped>
.settings { align-items: start; display: grid; gap: 1.1rem 3rem; grid-template-columns: repeat(auto-fit, minmax(min(100%, 22rem), 1fr)); max-width: 60rem; }
.short { max-width: 9rem; }
.slices { margin: 1.6rem 0 0; }
.saved { margin-left: 0.75rem; }
</style>
