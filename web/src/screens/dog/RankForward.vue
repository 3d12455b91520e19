<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useForecast } from '../../api/queries'
import { fullDayOf, inDays } from '../../dates'
import { $t } from '../../i18n'
import RankPicture from '../../rank/RankPicture.vue'
import { rankOn } from '../../rank/forecast'
import { useNailNames } from '../../local/nailNames'

const { names } = useNailNames()
/** The large rank with its day slider: drag forward and the nails grow. */
const props = defineProps<{ dogId: string; rank: Schemas['Rank']; next?: Schemas['Next']; nextInDays?: number }>()
const { data: forecast } = useForecast(() => props.dogId)
const day = ref(0)
const last = computed(() => forecast.value?.days[forecast.value.days.length - 1] ?? 0)
const shown = computed(() => (forecast.value ? rankOn(props.rank, forecast.value, day.value) : props.rank))
const date = computed(() => forecast.value?.dates[day.value])
const place = (d: number) => `${(d / last.value) * 100}%`
const cautiousInDays = computed(() =>
  props.next && forecast.value ? forecast.value.dates.indexOf(props.next.cautious) : -1,
)
const marks = computed(() => {
  const all: { day: number; sign: string; words: string; kind: string }[] = []
  const add = (d: number | undefined, sign: string, words: string, kind: string) => {
    if (d !== undefined && d >= 0 && d <= last.value) all.push({ day: d, sign, words, kind })
  }
  add(
    forecast.value?.touch_in_days,
    '▼',
    $t('dog.on_the_floor', { join: names(forecast.value?.touching.slice(0, 2) ?? []) }),
    'touch',
  )
  if (cautiousInDays.value !== props.nextInDays) add(cautiousInDays.value, '◇', $t('dog.cautious'), 'cautious')
  add(props.nextInDays, '●', $t('dog.due'), 'due')
  return all
})
</script>

<template>
  <div>
    <div class="scroll-sideways rank-frame"><RankPicture :rank="shown" size="large" /></div>
    <div v-if="forecast" class="forward">
      <div class="track">
        <label for="day" class="visually-hidden">{{ $t('dog.days_from_today') }}</label>
        <input
          id="day"
          v-model.number="day"
          type="range"
          min="0"
          :max="last"
          step="1"
          :aria-valuetext="date ? `${fullDayOf(date)}, ${inDays(day)}` : ''"
        />
        <ul class="marks" :aria-label="$t('dog.on_the_way')">
          <li v-for="m in marks" :key="m.kind" :class="m.kind" :style="{ left: place(m.day) }">
            <span aria-hidden="true">{{ m.sign }}</span><span class="visually-hidden"
              >{{ m.words }} {{ inDays(m.day) }}</span
            >
          </li>
        </ul>
      </div>
      <p class="when">
        <strong>{{ date ? fullDayOf(date) : '' }}</strong> {{ inDays(day)
        }}<span v-for="m in marks" :key="m.kind" class="soft small"> · {{ m.sign }} {{ m.words }}</span>
      </p>
    </div>
  </div>
</template>

<style scoped>
.rank-frame {
  padding-block: 0.5rem;
}
.track {
  max-width: 62rem;
  position: relative;
}
input[type='range'] {
  accent-color: var(--go);
  display: block;
  height: 44px;
  margin: 0;
  width: 100%;
}
.marks {
  height: 1.1rem;
  margin-inline: 8px;
  position: relative;
}
.marks li {
  line-height: 1;
  position: absolute;
  top: 0;
  transform: translateX(-50%);
}
.marks .due {
  color: var(--go);
}
.marks .touch {
  color: var(--quick-text);
}
.when {
  margin-top: 0.1rem;
}
</style>
