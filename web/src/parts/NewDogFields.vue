<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { useSettings } from '../api/queries'
import { $t } from '../i18n'
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
/** What helps from the first nail on; each can be passed. */
const colour = ref<Schemas['Colour']>()
const done = ref<number>()
const takes = ref<Schemas['TakesIt']>()
const coat = ref<Schemas['Coat']>()
const asked = [
  {
    title: $t('parts.nails'),
    value: colour,
    answers: [
      ['dark', $t('parts.dark')],
      ['light', $t('parts.light')],
      ['mixed', $t('parts.mixed')],
    ],
  },
  {
    title: $t('parts.how_the_dog_is_about'),
    value: takes,
    answers: [
      ['fine', $t('parts.fine')],
      ['wriggles', $t('parts.wriggles')],
      ['frightened', $t('parts.frightened')],
      ['bites', $t('parts.bites')],
    ],
  },
  {
    title: $t('parts.last_trimmed'),
    value: done,
    answers: [
      [1, $t('parts.a_week_ago')],
      [3, $t('parts.some_weeks_ago', { from: 2, to: 4 })],
      [6, $t('parts.some_weeks_ago', { from: 5, to: 7 })],
      [12, $t('parts.longer')],
    ],
  },
  {
    title: $t('parts.hair_on_the_feet'),
    value: coat,
    answers: [
      ['short', $t('parts.short')],
      ['long', $t('parts.long')],
    ],
  },
] as { title: string; value: { value: unknown }; answers: [unknown, string][] }[]

const classes = computed(() => {
  let from = 0
  return (settings.value?.size_classes ?? []).map(c => {
    const [low, high] = [from, c.under_kg ?? 0].map(kg => weight.value.bare(kg).replace(/[.,]0$/, ''))
    const label =
      c.under_kg === undefined
        ? $t('parts.and_over', { low })
        : from === 0
          ? $t('parts.under', { high })
          : `${low}–${high}`
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
    nail_colour: colour.value,
    last_done_weeks: done.value,
    takes_it: takes.value,
    foot_coat: coat.value,
    ...(knowsBirth.value
      ? born.value
        ? { birth_date: born.value }
        : {}
      : age === undefined
        ? {}
        : { age_years: age }),
  }
}
defineExpose({ told })
const shown = ['name', 'weights', 'birth_date', 'age_years']
</script>

<template>
  <div class="fields">
    <FormField
      id="name"
      v-slot="{ invalid, described }"
      :label="$t('parts.name')"
      :error="error"
      :fields="['name']"
      :needed="name"
    >
      <BFormInput
        id="name"
        v-model="name"
        :state="invalid"
        required
        :aria-describedby="described"
        autocomplete="off"
        autofocus
        dir="auto"
      />
    </FormField>
    <FormField
      id="weight"
      v-slot="{ invalid, described }"
      :label="$t('parts.weight', { symbol: weight.symbol })"
      :error="error"
      :fields="['weights']"
      :needed="kilos"
      :hint="$t('parts.or_about')"
    >
      <BFormInput
        id="weight"
        v-model="kilos"
        :state="invalid"
        required
        :aria-describedby="described"
        inputmode="decimal"
        autocomplete="off"
        class="short"
      />
    </FormField>
    <div class="sizes" role="group" :aria-label="$t('parts.about_how_heavy')">
      <button
        v-for="c in classes"
        :key="c.label"
        type="button"
        class="btn btn-plain"
        :aria-pressed="kilos === c.usual"
        @click="kilos = c.usual"
      >
        {{ c.label }}
      </button>
    </div>
    <FormField
      v-if="!knowsBirth"
      id="years"
      v-slot="{ invalid, described }"
      :label="$t('parts.age_years')"
      :error="error"
      :fields="['age_years', 'birth_date']"
      :needed="years"
      :hint="$t('parts.about_will_do')"
    >
      <BFormInput
        id="years"
        v-model="years"
        :state="invalid"
        required
        :aria-describedby="described"
        inputmode="decimal"
        autocomplete="off"
        class="short"
      />
    </FormField>
    <FormField
      v-else
      id="born"
      v-slot="{ invalid, described }"
      :label="$t('parts.birth_date')"
      :error="error"
      :fields="['birth_date', 'age_years']"
      :needed="born"
    >
      <BFormInput
        id="born"
        v-model="born"
        :state="invalid"
        required
        :aria-describedby="described"
        type="date"
        :max="settings?.today"
        class="date"
      />
    </FormField>
    <fieldset class="asked">
      <div v-for="q in asked.slice(0, 2)" :key="q.title" class="choices" role="group" :aria-label="q.title">
        <span>{{ q.title }}</span>
        <button
          v-for="[value, words] in q.answers"
          :key="words"
          type="button"
          :aria-pressed="q.value.value === value"
          @click="q.value.value = q.value.value === value ? undefined : value"
        >
          {{ words }}
        </button>
      </div>
    </fieldset>
    <details class="asked">
      <summary>{{ $t('parts.if_you_know_more') }}</summary>
      <button type="button" class="switch" @click="knowsBirth = !knowsBirth">
        {{ knowsBirth ? $t('parts.i_only_know_its_age') : $t('parts.i_know_the_birth_date') }}
      </button>
      <div v-for="q in asked.slice(2)" :key="q.title" class="choices" role="group" :aria-label="q.title">
        <span>{{ q.title }}</span>
        <button
          v-for="[value, words] in q.answers"
          :key="words"
          type="button"
          :aria-pressed="q.value.value === value"
          @click="q.value.value = q.value.value === value ? undefined : value"
        >
          {{ words }}
        </button>
      </div>
    </details>
    <slot :shown="shown" />
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 1rem;
  max-width: 34rem;
}

.asked summary {
  align-items: center;
  color: var(--go);
  cursor: pointer;
  display: flex;
  font-weight: 600;
  min-height: 44px;
}
.asked summary::before {
  content: '▸';
  margin-right: 0.4rem;
}
.asked[open] summary::before {
  content: '▾';
}
.asked .choices {
  align-items: center;
  margin-top: 0.35rem;
}
.asked .choices span {
  min-width: 7.5rem;
}
@media (max-width: 600px) {
  .asked .choices span {
    flex-basis: 100%;
  }
}
.short {
  max-width: 9rem;
}
.date {
  max-width: 12rem;
}
.sizes {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  margin-top: -0.5rem;
}
.sizes .btn {
  padding-inline: 0.7rem;
}
.sizes .btn[aria-pressed='true'] {
  background: var(--sunk);
  box-shadow: inset 0 -4px 0 var(--go);
}
.switch {
  background: none;
  border: 0;
  color: var(--go);
  font-weight: 600;
  min-height: 44px;
  padding: 0;
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
