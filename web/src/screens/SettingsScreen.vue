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
import { useNarrow } from '../local/narrow'
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

const props = defineProps<{ page?: string }>()
type Page = 'you' | 'units' | 'days' | 'devices' | 'backup' | 'data'
const pages: Record<Page, { title: string; line: string }> = {
  you: { title: 'You and your hand', line: 'where you stop, how thick you cut, the hand that holds the cutter' },
  units: { title: 'Units and looks', line: 'lengths, weights, light or dark' },
  days: { title: 'Your days', line: 'working days, days off, the calendar' },
  devices: { title: 'Devices in the house', line: 'a phone at the table, a tablet at the door' },
  backup: { title: 'Backup', line: 'copies of the book, and back to one of them' },
  data: { title: 'Your data', line: 'your pictures, the whole book as files, and one to take in' },
}
const forms: Page[] = ['you', 'units', 'days']
const narrow = useNarrow()
/** A wide screen has room for the list and the first page beside it. */
const page = computed(() => (props.page && props.page in pages ? (props.page as Page) : narrow.value ? undefined : 'you'))

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
    <div class="screen-head"><h1>{{ props.page && page ? pages[page].title : 'Settings' }}</h1><div v-if="page" class="aside narrow-only"><RouterLink to="/settings" class="btn btn-plain">All settings</RouterLink></div></div>
    <AnswerState v-if="!choices || !data" :error="unread" what="your settings" @again="refetch()" />
    <div v-else :class="['split', { inside: page }]">
      <nav aria-label="Settings">
        <RouterLink v-for="(about, name) in pages" :key="name" :to="`/settings/${name}`" class="line" :aria-current="page === name ? 'page' : undefined"><strong>{{ about.title }}</strong><span class="small soft">{{ about.line }}</span></RouterLink>
        <RouterLink to="/hindsight" class="line"><strong>How right was it</strong><span class="small soft">what was said before each trim, and what then was</span></RouterLink>
      </nav>
      <div v-if="page" class="page">
        <BForm v-if="forms.includes(page)" novalidate class="settings" @submit.prevent="save">
          <template v-if="page === 'you'">
            <FormField id="role" v-slot="{ invalid }" label="You are" :error="error" :fields="['role']" hint="A groomer’s new dogs start with four weeks, an owner’s at home with two.">
              <BFormSelect id="role" v-model="choices.role" :state="invalid" :options="[{ value: 'keeper', text: 'an owner at home' }, { value: 'groomer', text: 'a groomer' }]" />
            </FormField>
            <FormField id="hand" label="Your hand" :error="error" :fields="['hand']" hint="Until a dog’s own trims tell, minutes and tools are chosen for it.">
              <BFormSelect id="hand" v-model="choices.hand" :options="options(hands)" />
            </FormField>
            <FormField id="left" label="The cutter is in" :error="error" :fields="['left_handed']" hint="Ready and Bench say which hand holds the foot.">
              <BFormSelect id="left" v-model="choices.left_handed" :options="[{ value: false, text: 'your right hand' }, { value: true, text: 'your left hand' }]" />
            </FormField>
            <FormField id="end" label="On a nail you stop" :error="error" :fields="['end_point']" hint="Practitioners disagree. A dot or blood always ends the work on a nail.">
              <BFormSelect id="end" v-model="choices.end_point" :options="[{ value: 'first_sign', text: 'at the first sign: the dark centre, the blush' }, { value: 'full', text: 'at the dot, in thin slices' }]" />
            </FormField>
            <FormField id="margin" v-slot="{ invalid, described }" :label="`Safety margin in front of the quick, ${length.symbol}`" :error="error" :fields="['margin_mm']" hint="Every plan and every date keeps this distance.">
              <BFormInput id="margin" v-model="margin" :state="invalid" :aria-describedby="described" inputmode="decimal" class="short" />
            </FormField>
            <FormField id="way" label="You work" :error="error" :fields="['way']" hint="Each dog can have its own. Plans, minutes and what a day asks of the kit follow.">
              <BFormSelect id="way" v-model="choices.way" :options="options(ways)" />
            </FormField>
            <FormField id="largest" label="Your largest cut" :error="error" :fields="['largest_cut_mm']" hint="Practitioners disagree: many thin cuts, or the long end nipped off and then thin ones. A thick cut is planned only where even a belief a millimetre wrong would not bleed; on small nails all cuts are thinner.">
              <BFormSelect id="largest" v-model="largest" :options="[{ value: '', text: 'as is usual of your hand' }, ...largestCuts.map((mm) => ({ value: String(mm), text: length.show(mm) + (mm === 0.5 ? ': thin ones throughout' : '') }))]" />
            </FormField>
            <p class="slices small">Not every “1 mm” is one: <RouterLink to="/settings/slices">how thick you cut</RouterLink>, {{ slices?.learnt ? `measured on ${dayOf(slices.on!)}` : 'not measured yet' }}.</p>
          </template>
          <template v-if="page === 'units'">
            <FormField id="length" label="Lengths in" :error="error" :fields="['length_unit']">
              <BFormSelect id="length" v-model="choices.length_unit" :options="[{ value: 'mm', text: 'millimetres' }, { value: 'in', text: 'inches' }]" />
            </FormField>
            <FormField id="weight" label="Weights in" :error="error" :fields="['weight_unit']">
              <BFormSelect id="weight" v-model="choices.weight_unit" :options="[{ value: 'kg', text: 'kilograms' }, { value: 'lb', text: 'pounds' }]" />
            </FormField>
            <FormField id="coin" v-slot="{ invalid, described }" :label="`Your coin’s thickness, ${length.symbol}`" :error="error" :fields="['coin_mm']" hint="Measure a small coin once, and it serves as a feeler under a nail.">
              <BFormInput id="coin" v-model="coin" :state="invalid" :aria-describedby="described" inputmode="decimal" class="short" />
            </FormField>
            <FormField id="theme" label="Light or dark, in this browser" :error="null" :fields="[]">
              <BFormSelect id="theme" v-model="theme" :options="[{ value: 'auto', text: 'as the system' }, { value: 'light', text: 'light' }, { value: 'dark', text: 'dark' }]" />
            </FormField>
          </template>
          <template v-if="page === 'days'">
            <FormField id="workdays" label="Your working days" :error="error" :fields="['working_weekdays']" hint="A new dog’s dates fall on these. Each dog can have its own.">
              <WeekdayPicker id="workdays" v-model="choices.working_weekdays" />
            </FormField>
            <FormField id="holidays" label="Days off" :error="error" :fields="['holidays']" hint="No date falls on these: it moves to the working day before.">
              <HolidayList v-model="choices.holidays!" :today="data!.today" />
            </FormField>
          </template>
          <RefusalNote :error="error" :shown="['role', 'margin_mm', 'coin_mm', 'working_weekdays', 'holidays']"><BButton v-if="conflict" variant="plain" @click="loadAgain">Load them again</BButton></RefusalNote>
          <div><BButton type="submit" variant="go" :disabled="isPending">Save settings</BButton> <span v-if="isSuccess" role="status" class="saved">Saved.</span></div>
        </BForm>
        <CalendarAddress v-if="page === 'days' && data.choices.role !== 'unset'" />
        <HouseDevices v-if="page === 'devices'" />
        <BackupList v-if="page === 'backup'" />
        <PictureRoom v-if="page === 'data'" />
        <BookExchange v-if="page === 'data'" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.split { display: grid; gap: 1rem 3rem; grid-template-columns: minmax(13rem, 18rem) minmax(0, 1fr); }
.line { border-top: 1px solid var(--line); color: var(--ink); display: grid; min-height: 56px; padding: 0.5rem 0.25rem; text-decoration: none; }
.line[aria-current] { box-shadow: inset 4px 0 0 var(--go); padding-left: 0.75rem; }
.page > :first-child { margin-top: 0; }
.settings { align-items: start; display: grid; gap: 1.1rem 3rem; grid-template-columns: repeat(auto-fit, minmax(min(100%, 20rem), 1fr)); max-width: 60rem; }
.short { max-width: 9rem; }
.slices { margin: 1.6rem 0 0; }
.saved { margin-left: 0.75rem; }
.narrow-only { display: none !important; }
@media (max-width: 700px) {
  .split { grid-template-columns: minmax(0, 1fr); }
  .split.inside nav { display: none; }
  .narrow-only { display: flex !important; }
}
</style>
