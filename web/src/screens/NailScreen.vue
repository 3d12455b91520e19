<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { useChangeDog, useDog, useSection, useSettings } from '../api/queries'
import { inDays, shortDayOf } from '../dates'
import { $t } from '../i18n'
import { isTyping, onKey } from '../local/keys'
import NailSection from '../nail/NailSection.vue'
import AnswerState from '../parts/AnswerState.vue'
import CautionList from '../parts/CautionList.vue'
import EstimateText from '../parts/EstimateText.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import { useUnits } from '../units'
import { means, nailInWords, schools, sources } from '../words'

const props = defineProps<{ dogId: string; code: string }>()
const router = useRouter()
const { length } = useUnits()
const { data: settings } = useSettings()
const { data: view } = useDog(() => props.dogId)
const margin = ref<number>()
const {
  data: section,
  error,
  refetch,
} = useSection(
  () => props.dogId,
  () => props.code,
  margin,
)
const day = ref(0)
const chosen = ref<Schemas['School']>()
watch(view, v => v && (chosen.value ??= v.dog.school), { immediate: true })
watch(
  () => props.code,
  () => (day.value = 0),
)
const cut = computed(() => section.value?.schools.find(s => s.school === chosen.value) ?? section.value?.schools[0])
const picture = useTemplateRef('picture')
const { mutate, isPending, error: refused } = useChangeDog(() => props.dogId)

const codes = computed(() => view.value?.dog.nails.map(n => n.code) ?? [])
const beside = (step: number) => codes.value[codes.value.indexOf(props.code as Schemas['NailCode']) + step]
const goTo = (code?: string) => code && router.replace(`/dogs/${props.dogId}/nails/${code}`)
/** A nail that is a veterinarian's matter is drawn, but nothing is advised for it. */
const vet = computed(() => section.value && settings.value?.veterinary_states.includes(section.value.bar.state))
/** What is about this nail, or is a veterinarian's matter of the whole dog. */
const mine = computed(() =>
  (view.value?.cautions ?? []).filter(
    c => c.nails.some(n => n === props.code) || (c.kind === 'veterinarian' && c.nails.length === 0),
  ),
)

onKey(event => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === 'n') void goTo(beside(1))
  if (event.key === 'p') void goTo(beside(-1))
  const school = { 1: 'level', 2: 'square', 3: 'steep', 4: 'sculpted' }[event.key] as Schemas['School'] | undefined
  if (school) chosen.value = school
})
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!section || !cut || !view" :error="error" :what="$t('nail.this_nail')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <p class="soft small crumb">
            <RouterLink :to="`/dogs/${dogId}`"
              ><bdi>{{ view.dog.name }}</bdi></RouterLink
            >
          </p>
          <h1>
            {{ code }} <span class="soft words">{{ nailInWords(code) }}</span>
          </h1>
        </div>
        <div class="aside">
          <BButton variant="plain" :disabled="!beside(-1)" @click="goTo(beside(-1))"
            >{{ beside(-1) ?? $t('nail.first') }} <kbd>P</kbd></BButton
          >
          <BButton variant="plain" :disabled="!beside(1)" @click="goTo(beside(1))"
            >{{ beside(1) ?? $t('nail.last') }} <kbd>N</kbd></BButton
          >
          <RouterLink :to="`/dogs/${dogId}/photo/${code}`" class="btn btn-plain">{{
            $t('nail.measure_from_a_picture')
          }}</RouterLink>
          <a :href="`/api/dogs/${dogId}/nails/${code}/sheet`" download class="btn btn-plain">{{
            $t('nail.history_as_a_spreadsheet')
          }}</a>
          <BButton variant="plain" @click="picture?.save(`${view.dog.name} ${code}.svg`)">{{
            $t('nail.save_the_drawing')
          }}</BButton>
        </div>
      </div>
      <CautionList :cautions="mine" />
      <div class="bench">
        <figure>
          <NailSection
            ref="picture"
            :section="section"
            :cut="cut"
            :day="day"
            :title="$t('nail.in_section_cut', { code, name: schools[cut.school].name })"
          />
          <figcaption class="soft small">
            {{ $t('nail.solid_is_quick_for_certain', { name: schools[cut.school].name }) }}
          </figcaption>
        </figure>
        <div class="turn">
          <dl>
            <dt>{{ $t('nail.length') }}</dt>
            <dd><EstimateText :estimate="section.bar.length" /></dd>
            <template v-if="section.measured"
              ><dt>{{ $t('nail.last_read') }}</dt>
              <dd class="small">
                {{ length.bare(section.measured.mm) }}
                <span class="soft">{{ length.range(section.measured.low_mm, section.measured.high_mm) }}</span>
                {{ means[section.measured.by] }}, {{ shortDayOf(section.measured.on) }}
              </dd></template
            >
            <dt>{{ $t('nail.safe_to_trim') }}</dt>
            <dd><EstimateText :estimate="section.bar.spare" /></dd>
            <template v-if="section.bar.gap"
              ><dt>{{ $t('nail.gap_to_the_floor') }}</dt>
              <dd><EstimateText :estimate="section.bar.gap" /></dd
            ></template>
            <dt>{{ $t('nail.grows_a_week') }}</dt>
            <dd>
              {{ length.bare(section.bar.net_mm_week) }}
              <span class="soft small"
                >± {{ length.show(section.bar.sd_mm_week) }}, {{ sources[section.rate_source] }}</span
              >
            </dd>
            <dt>{{ $t('nail.turned') }}</dt>
            <dd>
              {{ section.bar.turn_deg.toFixed(0) }}°<span v-if="section.bar.curling">{{ $t('nail.curling') }}</span>
            </dd>
          </dl>
          <label for="nail-day"
            >{{ day === 0 ? $t('nail.today') : inDays(day)
            }}<span v-if="section.days_to_floor !== undefined" class="soft small"
              >{{ ' ' }}{{ $t('nail.uncut_it_touches', { days_to_floor: inDays(section.days_to_floor) }) }}</span
            ></label
          >
          <input id="nail-day" v-model.number="day" type="range" min="0" max="60" />
          <label for="margin">{{ $t('nail.safety_margin', { margin: length.show(section.margin_mm) }) }}</label>
          <input
            id="margin"
            type="range"
            min="0"
            :max="section.most_margin_mm"
            step="0.1"
            :value="section.margin_mm"
            @input="margin = Number(($event.target as HTMLInputElement).value)"
          />
        </div>
      </div>

      <p v-if="vet" class="vet">{{ $t('nail.no_cut_is_advised_for') }}</p>
      <section v-else class="section" aria-labelledby="schools-title">
        <h2 id="schools-title">{{ $t('nail.four_schools_of_cut') }}</h2>
        <div class="schools" role="radiogroup" aria-labelledby="schools-title">
          <button
            v-for="(s, i) in section.schools"
            :key="s.school"
            type="button"
            role="radio"
            :aria-checked="s.school === cut.school"
            :class="['school', { chosen: s.school === cut.school }]"
            @click="chosen = s.school"
          >
            <span class="name"
              >{{ schools[s.school].name }} <kbd>{{ i + 1 }}</kbd></span
            >
            <NailSection :section="section" :cut="s" small :title="schools[s.school].name" />
            <span v-if="s.slivers === 0" class="nothing">{{ $t('nail.meets_no_horn_nothing_to') }}</span>
            <span v-else class="numbers">
              <span>{{ $t('nail.ridge_off') }}</span><b>{{ length.show(s.removed_ridge_mm) }}</b>
              <span>{{ $t('nail.cuts_of', { sliver: length.show(section.sliver_mm) }) }}</span><b>{{ s.slivers }}</b>
              <span>{{ $t('nail.area_off') }}</span><b>{{ length.area(s.removed_area_mm2) }}</b>
              <template v-if="section.bar.group !== 'dewclaw'">
                <span>{{ $t('nail.gap_then') }}</span><b>{{ length.show(s.gap_mm) }}</b>
                <span>{{ $t('nail.touches_again') }}</span><b>{{
                  s.days_to_floor === undefined ? $t('nail.never') : inDays(s.days_to_floor)
                }}</b>
              </template>
              <span>{{ $t('nail.reach') }}</span><b
                >{{ length.bare(section.reach_mm) }} → {{ length.show(s.reach_mm) }}</b
              >
            </span>
            <span class="says small"
              >{{ schools[s.school].says }} <span class="soft">{{ schools[s.school].but }}</span></span
            >
          </button>
        </div>
        <RefusalNote :error="refused" />
        <p class="choose">
          <template v-if="cut.school === view.dog.school"
            ><bdi>{{ view.dog.name }}</bdi
            >{{ $t('nail.s_nails_are_cut', { name: schools[cut.school].name }) }}</template
          >
          <BButton
            v-else
            variant="plain"
            :disabled="isPending"
            @click="mutate({ version: view.dog.version, school: cut.school })"
            ><span
              >{{ $t('nail.cut') }} <bdi>{{ view.dog.name }}</bdi>{{
                $t('nail.s_nails', { name: schools[cut.school].name })
              }}</span
            ></BButton
          >
        </p>
        <p class="soft small">{{ $t('nail.some_take_every_nail_as') }}</p>
      </section>
    </template>
  </div>
</template>

<style scoped>
.bench {
  align-items: start;
  display: grid;
  gap: 1rem 2.5rem;
  grid-template-columns: minmax(0, 30rem) minmax(0, 1fr);
}
figure {
  background: var(--sheet);
  border: 1px solid var(--line);
  margin: 0;
  padding: 0.5rem 0.75rem;
}
.turn {
  display: grid;
}
dl {
  display: grid;
  gap: 0.1rem 1.5rem;
  grid-template-columns: minmax(0, max-content) minmax(0, max-content);
  margin: 0 0 0.5rem;
}
dt {
  color: var(--ink-soft);
  font-weight: 400;
}
dd {
  margin: 0;
}
.turn label {
  margin-top: 0.5rem;
}
input[type='range'] {
  accent-color: var(--go);
  height: 44px;
  width: 100%;
}
.schools {
  display: grid;
  gap: 0.75rem;
  grid-template-columns: repeat(auto-fit, minmax(14rem, 1fr));
}
.school {
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  color: var(--ink);
  display: flex;
  flex-direction: column;
  gap: 0.4rem;
  padding: 0.6rem 0.75rem;
  text-align: left;
}
.school.chosen {
  border-color: var(--go);
  box-shadow: inset 0 -4px 0 var(--go);
}
.name {
  font-weight: 650;
}
.school svg {
  max-width: 11rem;
}
.numbers {
  display: grid;
  gap: 0 0.5rem;
  grid-template-columns: 1fr auto;
}
.numbers {
  white-space: nowrap;
}
.numbers b {
  font-weight: 600;
  text-align: right;
}
.nothing {
  font-weight: 600;
}
.vet {
  background: var(--vet-ground);
  border-left: calc(var(--bar) * 2) double var(--vet-edge);
  font-weight: 600;
  margin-top: 1rem;
  padding: 0.5rem 0.75rem;
}
.choose {
  margin-top: 0.75rem;
}

@media (max-width: 900px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
  }
  .numbers {
    white-space: normal;
  }
}
</style>
