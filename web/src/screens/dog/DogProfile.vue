<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BForm } from 'bootstrap-vue-next/components/BForm'
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { Refusal, type Schemas } from '../../api/client'
import { useChangeDog, useSettings } from '../../api/queries'
import { $t } from '../../i18n'
import FormField from '../../parts/FormField.vue'
import RefusalNote from '../../parts/RefusalNote.vue'
import WeekdayPicker from '../../parts/WeekdayPicker.vue'
import { fullDayOf } from '../../dates'
import { number, useUnits } from '../../units'
import { choosableRhythms, coats, datesBy, feelers, options, rhythms } from '../../words'
import NailEditor from './NailEditor.vue'

const props = defineProps<{ dog: Schemas['Dog'] }>()
const { data: settings } = useSettings()
const { length, weight } = useUnits()
const { mutate, isPending, error, reset } = useChangeDog(() => props.dog.id)
const cache = useQueryClient()

// A copy to type in. It stays as it is while it is open, whatever becomes of the dog elsewhere,
// so that the server can tell that its version is an old one.
const copy = () => ({ ...props.dog, weights: [...props.dog.weights], nails: props.dog.nails.map(n => ({ ...n })) })
const open = ref(false)
const form = ref(copy())
const pavement = ref('')
const since = ref('')
const gap = ref('')
const weighed = ref('')
const weighedOn = ref('')

function begin() {
  reset()
  form.value = copy()
  pavement.value = String(props.dog.pavement_km_week)
  since.value = settings.value?.today ?? ''
  gap.value = length.value.inField(props.dog.wished_gap_mm)
  weighed.value = weighedOn.value = ''
  open.value = true
}
async function loadAgain() {
  await cache.invalidateQueries({ queryKey: ['dog', props.dog.id] })
  begin()
}
const conflict = computed(() => error.value instanceof Refusal && error.value.status === 409)

function save() {
  const {
    version,
    name,
    birth_date,
    birth_estimated,
    foot_coat,
    rhythm,
    dates,
    working_weekdays,
    nails,
    short_quicks,
  } = form.value
  const kilos = weight.value.typed(weighed.value)
  const added =
    weighed.value.trim() === '' ? [] : [{ kg: kilos ?? 0, ...(weighedOn.value ? { on: weighedOn.value } : {}) }]
  const gapUntouched = gap.value === length.value.inField(props.dog.wished_gap_mm)
  mutate(
    {
      version,
      name,
      birth_date,
      birth_estimated,
      foot_coat,
      rhythm,
      dates,
      working_weekdays,
      nails,
      short_quicks,
      weights: [...form.value.weights, ...added],
      ...(walksAnew.value
        ? { pavement_km_week: number(pavement.value) ?? -1, pavement_since: since.value || undefined }
        : {}), // -1 is refused by name, as no number of km is
      wished_gap_mm: gapUntouched ? props.dog.wished_gap_mm : (length.value.typed(gap.value) ?? -1),
    },
    { onSuccess: () => (open.value = false) },
  )
}
/** What it walks now is told only when it was changed, so that its past stays as it was. */
const walksAnew = computed(() => pavement.value !== String(props.dog.pavement_km_week))
const shown = [
  'name',
  'birth_date',
  'weights',
  'foot_coat',
  'pavement_km_week',
  'pavement_since',
  'rhythm',
  'dates',
  'working_weekdays',
  'wished_gap_mm',
]
</script>

<template>
  <section :aria-label="$t('dog.profile_and_nails')">
    <div class="head">
      <BButton variant="plain" :aria-expanded="open" @click="open ? (open = false) : begin()">{{
        open ? $t('dog.close') : $t('dog.change')
      }}</BButton>
    </div>
    <p v-if="!open" class="soft">
      {{
        $t('dog.on_the_feet_km_of', {
          foot_coat: coats[dog.foot_coat],
          pavement_km_week: dog.pavement_km_week,
          dates: dog.dates === 'calendar' ? $t('dog.on_the_calendar') : $t('dog.at_the_latest'),
          rhythm: rhythms[dog.rhythm],
          short_quicks: dog.short_quicks ? $t('dog.quicks_kept_short') : '',
          birth_estimated: dog.birth_estimated ? $t('dog.about') : '',
          birth_date: fullDayOf(dog.birth_date),
        })
      }}
    </p>
    <BForm v-else novalidate @submit.prevent="save">
      <div class="columns">
        <FormField
          id="p-name"
          v-slot="{ invalid, described }"
          :label="$t('dog.name')"
          :error="error"
          :fields="['name']"
        >
          <BFormInput
            id="p-name"
            v-model="form.name"
            :state="invalid"
            :aria-describedby="described"
            dir="auto"
            autocomplete="off"
          />
        </FormField>
        <FormField
          id="p-born"
          v-slot="{ invalid, described }"
          :label="$t('dog.birth_date')"
          :error="error"
          :fields="['birth_date']"
        >
          <BFormInput
            id="p-born"
            v-model="form.birth_date"
            type="date"
            :state="invalid"
            :aria-describedby="described"
            :max="settings?.today"
          />
          <BFormCheckbox v-model="form.birth_estimated" class="estimated">{{ $t('dog.estimated') }}</BFormCheckbox>
        </FormField>
        <FormField
          id="p-rhythm"
          :label="$t('dog.at_the_latest_2')"
          :error="error"
          :fields="['rhythm']"
          :hint="$t('dog.the_longest_wait_between_two')"
        >
          <BFormSelect id="p-rhythm" v-model="form.rhythm" :options="options(choosableRhythms)" />
        </FormField>
        <FormField
          id="p-dates"
          :label="$t('dog.its_dates_are_set')"
          :error="error"
          :fields="['dates']"
          :hint="$t('dog.by_the_floor_it_comes')"
        >
          <BFormSelect id="p-dates" v-model="form.dates" :options="options(datesBy)" />
        </FormField>
        <FormField
          id="p-gap"
          v-slot="{ invalid, described }"
          :label="$t('dog.wished_gap_to_the_floor', { symbol: length.symbol })"
          :error="error"
          :fields="['wished_gap_mm']"
          :hint="$t('dog.n0_due_when_a_nail')"
        >
          <BFormInput id="p-gap" v-model="gap" inputmode="decimal" :state="invalid" :aria-describedby="described" />
          <div class="choices feelers" role="group" :aria-label="$t('dog.by_feeler')">
            <button
              v-for="f in settings?.gap_feelers"
              :key="f.feeler"
              type="button"
              @click="gap = length.inField(f.gap_mm)"
            >
              {{ feelers[f.feeler] }}
            </button>
          </div>
        </FormField>
        <FormField
          id="p-pavement"
          v-slot="{ invalid, described }"
          :label="$t('dog.pavement_walking_km_a_week')"
          :error="error"
          :fields="['pavement_km_week', 'pavement_since']"
          :hint="$t('dog.only_hard_ground_wears_nails')"
        >
          <BFormInput
            id="p-pavement"
            v-model="pavement"
            inputmode="decimal"
            :state="invalid"
            :aria-describedby="described"
          />
          <div v-if="walksAnew" class="since">
            <label for="p-since">{{ $t('dog.since') }}</label><BFormInput
              id="p-since"
              v-model="since"
              type="date"
              :min="dog.birth_date"
              :max="settings?.today"
            /><BButton variant="plain" @click="since = dog.birth_date">{{ $t('dog.always') }}</BButton>
          </div>
          <p v-for="w in dog.walked" :key="w.until" class="small soft walked">
            {{ $t('dog.km_until', { km_week: w.km_week, until: fullDayOf(w.until) }) }}
          </p>
        </FormField>
        <FormField
          id="p-short"
          :label="$t('dog.short_quicks')"
          :error="error"
          :fields="['short_quicks']"
          :hint="$t('dog.some_take_every_nail_as')"
        >
          <BFormCheckbox id="p-short" v-model="form.short_quicks">{{
            $t('dog.due_before_a_quick_would')
          }}</BFormCheckbox>
        </FormField>
        <FormField id="p-coat" :label="$t('dog.hair_on_the_feet')" :error="error" :fields="['foot_coat']">
          <BFormSelect id="p-coat" v-model="form.foot_coat" :options="options(coats)" />
        </FormField>
        <FormField id="p-days" :label="$t('dog.days_for_this_dog')" :error="error" :fields="['working_weekdays']">
          <WeekdayPicker id="p-days" v-model="form.working_weekdays" />
        </FormField>
        <FormField
          id="p-weight"
          v-slot="{ invalid, described }"
          :label="$t('dog.weighed_anew', { symbol: weight.symbol })"
          :error="error"
          :fields="['weights']"
        >
          <div class="weighing">
            <BFormInput
              id="p-weight"
              v-model="weighed"
              inputmode="decimal"
              :state="invalid"
              :aria-describedby="described"
              autocomplete="off"
            />
            <BFormInput v-model="weighedOn" type="date" :aria-label="$t('dog.weighed_on')" :max="settings?.today" />
          </div>
          <ul class="weights small">
            <li v-for="(w, i) in form.weights" :key="w.on">
              {{ $t('dog.on_2', { kg: weight.show(w.kg), on: fullDayOf(w.on!) }) }}
              <button
                v-if="form.weights.length > 1"
                type="button"
                :aria-label="$t('dog.remove_the_weight_of', { on: fullDayOf(w.on!) })"
                @click="form.weights.splice(i, 1)"
              >
                ✕
              </button>
            </li>
          </ul>
        </FormField>
      </div>
      <NailEditor v-model="form.nails" />
      <RefusalNote :error="error" :shown="shown">
        <BButton v-if="conflict" variant="plain" @click="loadAgain">{{ $t('dog.load_it_again') }}</BButton>
      </RefusalNote>
      <BButton type="submit" variant="go" :disabled="isPending">{{ $t('dog.save_the_profile') }}</BButton>
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
  grid-template-columns: repeat(auto-fill, minmax(20rem, 1fr));
  margin-block: 0.75rem 1.25rem;
}
.estimated {
  margin-top: 0.35rem;
}
.weighing {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
}
.feelers {
  margin-top: 0.35rem;
}
.weighing > * {
  flex: 1;
}
.since {
  align-items: center;
  display: flex;
  gap: 0.5rem;
  margin-top: 0.35rem;
}
.walked {
  margin: 0.25rem 0 0;
}
.weights {
  margin-top: 0.35rem;
}
.weights button {
  background: none;
  border: 0;
  color: var(--ink-soft);
  min-height: 32px;
  min-width: 32px;
}
</style>
