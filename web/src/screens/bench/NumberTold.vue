<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { typedWith } from '../../local/numberMode'
import FromPicture from '../../parts/FromPicture.vue'
import TypedWith from '../../parts/TypedWith.vue'
import { useUnits } from '../../units'
import { landmarks, measures } from '../../words'

/** A landmark seen or a length measured: what one likes to tell, and nothing waits for it. */
const props = defineProps<{ nail: Schemas['BenchNail'] }>()
const emit = defineEmits<{
  seen: [mark: Schemas['Landmark'], mm: number, by: Schemas['Means']]
  measured: [what: Schemas['Measure'], mm: number, by: Schemas['Means']]
}>()
const { length } = useUnits()
/** One press tells what is usual: where the groove ends, or the quick of a light nail, so far from the tip. */
const quickly = [2, 3, 4, 5]
const usual = computed(() => (props.nail.colour === 'light' ? 'seen' : 'groove') as Schemas['Landmark'])
const unread = computed(() => props.nail.cuts.length === 0 && props.nail.landmarks.length === 0 && !props.nail.blood)
const what = ref<string>('groove')
const typed = ref('')
const wrong = ref('')
const groups = [
  {
    label: $t('bench.safe_to_trim_seen_before'),
    options: Object.entries(landmarks).map(([value, text]) => ({ value, text })),
  },
  { label: $t('bench.measured'), options: Object.entries(measures).map(([value, text]) => ({ value, text })) },
]
function tell() {
  const mm = length.value.typed(typed.value)
  wrong.value =
    mm === undefined ? $t('bench.is_not_a_number_of', { typed: typed.value, symbol: length.value.symbol }) : ''
  if (mm === undefined) return
  if (what.value in landmarks) emit('seen', what.value as Schemas['Landmark'], mm, typedWith.value)
  else emit('measured', what.value as Schemas['Measure'], mm, typedWith.value)
  typed.value = ''
}
</script>

<template>
  <div v-if="unread" class="choices" role="group" :aria-label="$t('bench.from_the_tip', { usual: landmarks[usual] })">
    <span>{{ landmarks[usual] }}</span>
    <button v-for="mm in quickly" :key="mm" type="button" @click="emit('seen', usual, mm, 'eye')">
      {{ length.show(mm) }}
    </button>
  </div>
  <form class="told" novalidate @submit.prevent="tell">
    <label for="bench-what" class="visually-hidden">{{ $t('bench.the_number_is') }}</label>
    <BFormSelect id="bench-what" v-model="what" :options="groups" />
    <label for="bench-number" class="visually-hidden">{{ $t('bench.number', { symbol: length.symbol }) }}</label>
    <BFormInput
      id="bench-number"
      v-model="typed"
      inputmode="decimal"
      autocomplete="off"
      :state="wrong ? false : null"
      aria-describedby="bench-wrong"
    />
    <span class="soft">{{ length.symbol }}</span>
    <BButton type="submit" variant="plain">{{ $t('bench.tell') }}</BButton>
    <TypedWith />
    <FromPicture :code="nail.code" to="bench" />
    <p v-if="wrong" id="bench-wrong" class="refused" role="alert">{{ wrong }}</p>
  </form>
</template>

<style scoped>
.choices {
  align-items: center;
  margin-top: 0.5rem;
}
.told {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  margin-top: 0.5rem;
}
.told select {
  flex: 1;
  min-width: 11rem;
  width: auto;
}
.told .form-control {
  width: 5rem;
}
.refused {
  color: var(--quick-text);
  flex-basis: 100%;
  font-weight: 600;
  margin: 0;
}
.refused::before {
  content: '▲ ';
}
</style>
