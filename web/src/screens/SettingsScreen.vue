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
import { $t } from '../i18n'
import { chooseLanguage, language, languages, type Language } from '../i18n/language'
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
  you: { title: $t('settings.you_and_your_hand'), line: $t('settings.where_you_stop_how_thick') },
  units: { title: $t('settings.units_and_looks'), line: $t('settings.lengths_weights_light_or_dark') },
  days: { title: $t('settings.your_days'), line: $t('settings.working_days_days_off_the') },
  devices: { title: $t('settings.devices_in_the_house'), line: $t('settings.a_phone_at_the_table') },
  backup: { title: $t('settings.backup'), line: $t('settings.copies_of_the_book_and') },
  data: { title: $t('settings.your_data'), line: $t('settings.your_pictures_the_whole_book') },
}
const forms: Page[] = ['you', 'units', 'days']
const narrow = useNarrow()
/** A wide screen has room for the list and the first page beside it. */
const page = computed(() =>
  props.page && props.page in pages ? (props.page as Page) : narrow.value ? undefined : 'you',
)

const { data, error: unread, refetch } = useSettings()
const { mutate, isPending, error, isSuccess, reset } = useSaveSettings()
const { length } = useUnits()
const { data: slices } = useSlices()
const choices = ref<Schemas['Choices']>()
const margin = ref('')
const coin = ref('')
const largest = ref('')
const theme = ref<Theme>(chosenTheme())
watch(
  data,
  settings => {
    if (!settings) return
    choices.value = { ...settings.choices, holidays: settings.choices.holidays ?? [] }
    margin.value = length.value.inField(settings.choices.margin_mm)
    coin.value = settings.choices.coin_mm === undefined ? '' : length.value.inField(settings.choices.coin_mm)
    largest.value = settings.choices.largest_cut_mm === undefined ? '' : String(settings.choices.largest_cut_mm)
  },
  { immediate: true },
)
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
    ...choices.value!,
    margin_mm: told(margin.value, margin_mm),
    coin_mm: coin.value.trim() === '' ? undefined : told(coin.value, coin_mm),
    largest_cut_mm: largest.value === '' ? undefined : Number(largest.value),
  })
}
</script>

<template>
  <div class="screen">
    <div class="screen-head">
      <h1>{{ props.page && page ? pages[page].title : $t('settings.settings') }}</h1>
      <div v-if="page" class="aside narrow-only">
        <RouterLink to="/settings" class="btn btn-plain">{{ $t('settings.all_settings') }}</RouterLink>
      </div>
    </div>
    <AnswerState v-if="!choices || !data" :error="unread" :what="$t('settings.your_settings')" @again="refetch()" />
    <div v-else :class="['split', { inside: page }]">
      <nav :aria-label="$t('settings.settings')">
        <RouterLink
          v-for="(about, name) in pages"
          :key="name"
          :to="`/settings/${name}`"
          class="line"
          :aria-current="page === name ? 'page' : undefined"
          ><strong>{{ about.title }}</strong
          ><span class="small soft">{{ about.line }}</span></RouterLink
        >
        <RouterLink to="/hindsight" class="line"
          ><strong>{{ $t('settings.how_right_was_it') }}</strong
          ><span class="small soft">{{ $t('settings.what_was_said_before_each') }}</span></RouterLink
        >
      </nav>
      <div v-if="page" class="page">
        <BForm v-if="forms.includes(page)" novalidate class="settings" @submit.prevent="save">
          <template v-if="page === 'you'">
            <FormField
              id="role"
              v-slot="{ invalid }"
              :label="$t('settings.you_are')"
              :error="error"
              :fields="['role']"
              :hint="$t('settings.a_groomers_new_dogs_start')"
            >
              <BFormSelect
                id="role"
                v-model="choices.role"
                :state="invalid"
                :options="[
                  { value: 'keeper', text: $t('settings.an_owner_at_home') },
                  { value: 'groomer', text: $t('settings.a_groomer') },
                ]"
              />
            </FormField>
            <FormField
              id="hand"
              :label="$t('settings.your_hand')"
              :error="error"
              :fields="['hand']"
              :hint="$t('settings.until_a_dogs_own_trims')"
            >
              <BFormSelect id="hand" v-model="choices.hand" :options="options(hands)" />
            </FormField>
            <FormField
              id="left"
              :label="$t('settings.the_cutter_is_in')"
              :error="error"
              :fields="['left_handed']"
              :hint="$t('settings.ready_and_bench_say_which')"
            >
              <BFormSelect
                id="left"
                v-model="choices.left_handed"
                :options="[
                  { value: false, text: $t('settings.your_right_hand') },
                  { value: true, text: $t('settings.your_left_hand') },
                ]"
              />
            </FormField>
            <FormField
              id="end"
              :label="$t('settings.on_a_nail_you_stop')"
              :error="error"
              :fields="['end_point']"
              :hint="$t('settings.practitioners_disagree_a_dot_or')"
            >
              <BFormSelect
                id="end"
                v-model="choices.end_point"
                :options="[
                  { value: 'first_sign', text: $t('settings.at_the_first_sign_the') },
                  { value: 'full', text: $t('settings.at_the_dot_in_thin') },
                ]"
              />
            </FormField>
            <FormField
              id="margin"
              v-slot="{ invalid, described }"
              :label="$t('settings.safety_margin_in_front_of', { symbol: length.symbol })"
              :error="error"
              :fields="['margin_mm']"
              :hint="$t('settings.every_plan_and_every_date')"
            >
              <BFormInput
                id="margin"
                v-model="margin"
                :state="invalid"
                :aria-describedby="described"
                inputmode="decimal"
                class="short"
              />
            </FormField>
            <FormField
              id="way"
              :label="$t('settings.you_work')"
              :error="error"
              :fields="['way']"
              :hint="$t('settings.each_dog_can_have_its')"
            >
              <BFormSelect id="way" v-model="choices.way" :options="options(ways)" />
            </FormField>
            <FormField
              id="largest"
              :label="$t('settings.your_largest_cut')"
              :error="error"
              :fields="['largest_cut_mm']"
              :hint="$t('settings.practitioners_disagree_many_thin_cuts', { off: length.show(1) })"
            >
              <BFormSelect
                id="largest"
                v-model="largest"
                :options="[
                  { value: '', text: $t('settings.as_is_usual_of_your') },
                  ...largestCuts.map(mm => ({
                    value: String(mm),
                    text: length.show(mm) + (mm === 0.5 ? $t('settings.thin_ones_throughout') : ''),
                  })),
                ]"
              />
            </FormField>
            <p class="slices small">
              {{ $t('settings.not_every_1_mm_is', { thick: length.show(1) }) }}
              <RouterLink to="/settings/slices">{{ $t('settings.how_thick_you_cut') }}</RouterLink>,
              {{
                slices?.learnt
                  ? $t('settings.measured_on', { on: dayOf(slices.on!) })
                  : $t('settings.not_measured_yet')
              }}.
            </p>
          </template>
          <template v-if="page === 'units'">
            <FormField id="length" :label="$t('settings.lengths_in')" :error="error" :fields="['length_unit']">
              <BFormSelect
                id="length"
                v-model="choices.length_unit"
                :options="[
                  { value: 'mm', text: $t('settings.millimetres') },
                  { value: 'in', text: $t('settings.inches') },
                ]"
              />
            </FormField>
            <FormField id="weight" :label="$t('settings.weights_in')" :error="error" :fields="['weight_unit']">
              <BFormSelect
                id="weight"
                v-model="choices.weight_unit"
                :options="[
                  { value: 'kg', text: $t('settings.kilograms') },
                  { value: 'lb', text: $t('settings.pounds') },
                ]"
              />
            </FormField>
            <FormField
              id="coin"
              v-slot="{ invalid, described }"
              :label="$t('settings.your_coins_thickness', { symbol: length.symbol })"
              :error="error"
              :fields="['coin_mm']"
              :hint="$t('settings.measure_a_small_coin_once')"
            >
              <BFormInput
                id="coin"
                v-model="coin"
                :state="invalid"
                :aria-describedby="described"
                inputmode="decimal"
                class="short"
              />
            </FormField>
            <FormField id="language" :label="$t('settings.language_in_this_browser')" :error="null" :fields="[]">
              <BFormSelect
                id="language"
                :model-value="language"
                :options="options(languages)"
                @update:model-value="chooseLanguage($event as Language)"
              />
            </FormField>
            <FormField
              id="spoken"
              :label="$t('settings.language_of_calendar_cards')"
              :error="error"
              :fields="['language']"
              :hint="$t('settings.an_owner_may_have_their')"
            >
              <BFormSelect id="spoken" v-model="choices.language" :options="options(languages)" />
            </FormField>
            <FormField id="theme" :label="$t('settings.light_or_dark_in_this')" :error="null" :fields="[]">
              <BFormSelect
                id="theme"
                v-model="theme"
                :options="[
                  { value: 'auto', text: $t('settings.as_the_system') },
                  { value: 'light', text: $t('settings.light') },
                  { value: 'dark', text: $t('settings.dark') },
                ]"
              />
            </FormField>
          </template>
          <template v-if="page === 'days'">
            <FormField
              id="workdays"
              :label="$t('settings.your_working_days')"
              :error="error"
              :fields="['working_weekdays']"
              :hint="$t('settings.a_new_dogs_dates_fall')"
            >
              <WeekdayPicker id="workdays" v-model="choices.working_weekdays" />
            </FormField>
            <FormField
              id="holidays"
              :label="$t('settings.days_off')"
              :error="error"
              :fields="['holidays']"
              :hint="$t('settings.no_date_falls_on_these')"
            >
              <HolidayList v-model="choices.holidays!" :today="data!.today" />
            </FormField>
          </template>
          <RefusalNote :error="error" :shown="['role', 'margin_mm', 'coin_mm', 'working_weekdays', 'holidays']"
            ><BButton v-if="conflict" variant="plain" @click="loadAgain">{{
              $t('settings.load_them_again')
            }}</BButton></RefusalNote
          >
          <div>
            <BButton type="submit" variant="go" :disabled="isPending">{{ $t('settings.save_settings') }}</BButton>{{
              ' '
            }}<span v-if="isSuccess" role="status" class="saved">{{ $t('settings.saved') }}</span>
          </div>
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
.split {
  display: grid;
  gap: 1rem 3rem;
  grid-template-columns: minmax(13rem, 18rem) minmax(0, 1fr);
}
.line {
  border-top: 1px solid var(--line);
  color: var(--ink);
  display: grid;
  min-height: 56px;
  padding: 0.5rem 0.25rem;
  text-decoration: none;
}
.line[aria-current] {
  box-shadow: inset 4px 0 0 var(--go);
  padding-left: 0.75rem;
}
.page > :first-child {
  margin-top: 0;
}
.settings {
  align-items: start;
  display: grid;
  gap: 1.1rem 3rem;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 20rem), 1fr));
  max-width: 60rem;
}
.short {
  max-width: 9rem;
}
.slices {
  margin: 1.6rem 0 0;
}
.saved {
  margin-left: 0.75rem;
}
.narrow-only {
  display: none !important;
}
@media (max-width: 700px) {
  .split {
    grid-template-columns: minmax(0, 1fr);
  }
  .split.inside nav {
    display: none;
  }
  .narrow-only {
    display: flex !important;
  }
}
</style>
