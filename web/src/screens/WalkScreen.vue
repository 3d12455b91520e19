<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { computed, onMounted, reactive, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { Refusal, type Schemas } from '../api/client'
import { useDog, useRecordCheck, useSettings } from '../api/queries'
import { $t } from '../i18n'
import { feelerTold } from '../local/looks'
import { dayOf } from '../dates'
import { useCaliper } from '../local/caliper'
import { today } from '../local/day'
import { kept } from '../local/kept'
import { asides, waiting } from '../local/outbox'
import { act, onKey } from '../local/keys'
import { useNarrow } from '../local/narrow'
import AnswerState from '../parts/AnswerState.vue'
import KeptNote from '../parts/KeptNote.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import StandInCaliper from '../parts/StandInCaliper.vue'
import ThereAlready from '../parts/ThereAlready.vue'
import RankPicture from '../rank/RankPicture.vue'
import LookPanel from './walk/LookPanel.vue'
import MoreDewclaws from './walk/MoreDewclaws.vue'

const props = defineProps<{ dogId: string }>()
const router = useRouter()
const { data: view, error: unread, refetch } = useDog(() => props.dogId)
const { data: settings } = useSettings()
const { mutateAsync, isPending, error } = useRecordCheck(() => props.dogId)
const narrow = useNarrow()
const panel = useTemplateRef('panel')

const unsaved = kept<Schemas['CheckInput']>(`fribbet-walk-${props.dogId}`)
/** The id of one that was sent and not answered. */
const sent = kept<string>(`fribbet-walk-sent-${props.dogId}`)
let before = unsaved.read()
const id = ref(before?.id ?? crypto.randomUUID())
const on = ref(before?.on)
const feet = reactive({
  clicks: before?.clicks ?? false,
  hair: before?.hair ?? false,
  swelling: before?.swelling ?? false,
  limping: before?.limping ?? false,
  breaking: before?.breaking ?? false,
})
const looks = ref<Schemas['Look'][]>([])
const more = ref<Schemas['Look'][]>(before?.looks.filter(l => l.present) ?? [])
const current = ref(0)
watch(
  [view, settings],
  () => {
    if (!view.value || !settings.value || looks.value.length > 0) return
    looks.value = view.value.rank.bars.map(b => before?.looks.find(l => l.code === b.code) ?? { code: b.code })
  },
  { immediate: true },
)

const look = computed(() => looks.value[current.value])
const bar = computed(() => view.value?.rank.bars.find(b => b.code === look.value?.code))
const seen = (l: Schemas['Look']) => Object.keys(l).some(k => k !== 'code' && l[k as keyof typeof l] !== undefined)
const told = computed(() => looks.value.filter(seen))
const check = computed<Schemas['CheckInput']>(() => ({
  id: id.value,
  on: on.value,
  ...feet,
  looks: [...told.value, ...more.value],
}))
watch(
  check,
  (c, old) => {
    if (c.id !== old.id || (old.looks.length === 0 && c.looks.length === 0 && !Object.values(feet).includes(true)))
      return
    on.value ??= today() // the day on which something was first seen, however long the page was open
    unsaved.keep(c)
  },
  { deep: true },
)

/** The day of one that was on its way when this browser was last here, and is in the book now. */
const arrived = ref('')
onMounted(async () => {
  if (!before || sent.read() !== before.id) return
  const waits = (await waiting(before.id)).length > 0
  if (!waits && (await asides(before.id)).length > 0) return // it was refused: it is gone on with
  try {
    if (waits) await mutateAsync(before)
  } catch {
    return // not there: the screen says why, and it is gone on with
  }
  arrived.value = before.on ?? ''
  anew()
})
function anew() {
  unsaved.drop()
  sent.drop()
  before = null
  Object.assign(feet, { clicks: false, hair: false, swelling: false, limping: false, breaking: false })
  more.value = []
  looks.value = view.value?.rank.bars.map(b => ({ code: b.code })) ?? []
  on.value = undefined
  id.value = crypto.randomUUID()
}
const marks = computed(() => Object.fromEntries(looks.value.map(l => [l.code, seen(l) ? 'done' : 'planned'])))
const red = computed(() => feet.swelling || feet.limping || feet.breaking)
const refused = computed(() => {
  const at = told.value.findIndex(l => l.code === look.value?.code)
  return error.value instanceof Refusal && at >= 0
    ? error.value.errors.filter(e => e.field.startsWith(`looks[${at}].`))
    : []
})

/** One nail, or the whole paw at once and then its exceptions. */
const scope = ref<'nail' | 'paw'>('nail')
const paw = computed(() => look.value?.code.slice(0, 2) ?? '')
/**
 * What is told of a paw is told of each of its nails: floor (a dewclaw has none), colour and shape. The rest is one
 * nail's own.
 */
function tell(what: Partial<Schemas['Look']>) {
  Object.assign(looks.value[current.value]!, what)
  if (scope.value === 'nail') return
  for (const l of looks.value.filter(other => other.code.startsWith(paw.value))) {
    for (const key of l.code[2] === '1'
      ? (['colour', 'shape'] as const)
      : (['gap_mm', 'past_pad', 'colour', 'shape'] as const)) {
      if (key in what) Object.assign(l, { [key]: what[key] })
    }
  }
}
function goTo(index: number) {
  if (panel.value?.settle() === false) return
  current.value = Math.min(looks.value.length - 1, Math.max(0, index))
}
const last = computed(
  () =>
    current.value === looks.value.length - 1 ||
    (scope.value === 'paw' && paw.value === looks.value.at(-1)?.code.slice(0, 2)),
)
/** From a paw that was told as a whole, the next is another paw, by a nail that has a floor. */
function next() {
  const after = looks.value.findIndex((l, i) => i > current.value && !l.code.startsWith(paw.value) && l.code[2] !== '1')
  goTo(scope.value === 'paw' && after >= 0 ? after : current.value + 1)
}
const choose = (code: string) => goTo(looks.value.findIndex(l => l.code === code))
const { trouble, linked } = useCaliper(mm => panel.value?.measured(mm))

function save() {
  if (isPending.value || panel.value?.settle() === false) return
  sent.keep(id.value)
  mutateAsync(check.value).then(
    // also when this screen was left meanwhile
    leave,
    e => {
      if (!(e instanceof Refusal && e.unreachable)) sent.drop() // else it waits, and goes by itself
      const first = e instanceof Refusal ? /^looks\[(\d+)\]/.exec(e.errors[0]?.field ?? '') : null
      if (first) choose(told.value[Number(first[1])]!.code)
    },
  )
}
function leave() {
  unsaved.drop()
  sent.drop()
  if (router.currentRoute.value.path.endsWith('/walk')) void router.replace(`/dogs/${props.dogId}`)
}
function saveAnother() {
  id.value = crypto.randomUUID()
  save()
}

onKey(event => {
  const target = event.target instanceof HTMLElement ? event.target : undefined
  const inNumber = target instanceof HTMLInputElement && target.id === 'number'
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) return act(event, save)
  if (event.ctrlKey || event.metaKey || event.altKey || !look.value || !bar.value) return
  const inHand = look.value
  if ((target && !inNumber && target.closest('input, select, textarea')) || (inNumber && target.value !== '')) return
  const isDewclaw = bar.value.group === 'dewclaw'
  const feeler = settings.value?.gap_feelers['taco'.indexOf(event.key)]
  if (feeler && 'taco'.includes(event.key))
    return act(event, () => !isDewclaw && tell(feelerTold(feeler.gap_mm, inHand)))
  const shape = (['straight', 'usual', 'hooked', 'curled'] as const)['fghj'.indexOf(event.key)]
  if (shape) return act(event, () => tell({ shape }))
  const keys: Record<string, () => void> = {
    x: () => !isDewclaw && tell({ past_pad: !inHand.past_pad }),
    d: () => tell({ colour: 'dark' }),
    l: () => tell({ colour: 'light' }),
    m: () => tell({ colour: 'mixed' }),
    w: () => (scope.value = scope.value === 'nail' ? 'paw' : 'nail'),
    n: next,
    p: () => goTo(current.value - 1),
    PageDown: next,
    PageUp: () => goTo(current.value - 1),
  }
  const does = keys[event.key]
  if (does) act(event, does)
  else if (event.key === 'Enter' && !inNumber && !target?.closest('button, a, summary')) act(event, next)
  else if (/^[0-9.,]$/.test(event.key) && !inNumber) panel.value?.focus()
})
</script>

<template>
  <div class="screen walk">
    <AnswerState v-if="!view || !look || !bar" :error="unread" :what="$t('walk.this_dog')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>
            <bdi>{{ view.dog.name }}</bdi>{{ $t('walk.check_of_the_feet') }}
          </h1>
          <p v-if="arrived" class="soft" role="status">
            {{ $t('walk.the_check_of_the_feet', { arrived: dayOf(arrived) }) }}
          </p>
          <p class="soft lead">{{ $t('walk.the_dog_stands_on_a') }}</p>
        </div>
      </div>
      <fieldset class="feet">
        <legend class="visually-hidden">{{ $t('walk.the_feet_as_a_whole') }}</legend>
        <BFormCheckbox v-model="feet.clicks">{{ $t('walk.clicks_on_a_hard_floor') }}</BFormCheckbox>
        <BFormCheckbox v-model="feet.hair">{{ $t('walk.hair_between_the_pads') }}</BFormCheckbox>
        <BFormCheckbox v-model="feet.limping">{{ $t('walk.limping') }}</BFormCheckbox>
        <BFormCheckbox v-model="feet.swelling">{{ $t('walk.swelling_discharge_or_a_bad') }}</BFormCheckbox>
        <BFormCheckbox v-model="feet.breaking">{{ $t('walk.several_nails_breaking_or_falling') }}</BFormCheckbox>
      </fieldset>
      <p v-if="red" class="vet" role="alert">{{ $t('walk.call_a_veterinarian_before_anything') }}</p>
      <div class="bench">
        <div class="navigator">
          <RankPicture
            :rank="view.rank"
            :size="narrow ? 'narrow' : 'medium'"
            stacked
            :selected="look.code"
            :marks="marks"
            @select="choose"
          />
          <p class="soft small legend">{{ $t('walk.looked_at_dashed_assumed') }}</p>
          <MoreDewclaws v-model="more" :had="view.dog.nails.map(n => n.code)" />
          <StandInCaliper v-if="settings?.demo && !narrow" :linked="linked" :trouble="trouble" />
        </div>
        <LookPanel
          ref="panel"
          :key="look.code"
          :look="look"
          :bar="bar"
          :refused="refused"
          :scope="scope"
          @scope="scope = $event"
          @tell="tell"
          @next="next"
        />
      </div>
      <KeptNote :error="error" :begun="told.length > 0" />
      <ThereAlready
        v-if="error instanceof Refusal && error.status === 409"
        :error="error"
        :what="$t('walk.check_of_the_feet_2')"
        @theirs="leave"
        @another="saveAnother"
      />
      <RefusalNote v-else-if="!(error instanceof Refusal && error.unreachable)" :error="error" :shown="['looks[']" />
      <div class="finish">
        <p class="tally" aria-live="polite">
          <strong>{{ told.length }}</strong> {{ $t('walk.of_looked_at', { n: looks.length }) }}
        </p>
        <BButton variant="plain" :disabled="current === 0" @click="goTo(current - 1)">{{ $t('walk.back') }}</BButton>
        <BButton v-if="!last" variant="go" class="btn-big" @click="next">{{
          scope === 'paw' ? $t('walk.next_paw') : $t('walk.next_nail')
        }}</BButton>
        <BButton :variant="last ? 'go' : 'plain'" class="btn-big" :disabled="isPending" @click="save"
          >{{ $t('walk.save') }}<span v-if="!narrow">{{ $t('walk.what_you_saw') }}</span></BButton
        >
      </div>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.feet {
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.5rem;
  margin-bottom: 0.5rem;
}
.feet > * {
  align-items: center;
  display: flex;
  gap: 0.5rem;
  padding: 0;
  min-height: 44px;
}
.feet :deep(input) {
  flex: none;
  float: none;
  margin: 0;
}
.feet :deep(label) {
  margin: 0;
}
.bench {
  display: grid;
  gap: 1rem 2.5rem;
  grid-template-columns: minmax(0, 1fr) minmax(26rem, 32rem);
}
.navigator {
  align-self: start;
  background: var(--sheet);
  border: 1px solid var(--line);
  padding: 0.9rem 1rem;
}
.legend {
  margin: 0.5rem 0 0;
}
.vet {
  background: var(--vet-ground);
  border-left: calc(var(--bar) * 2) double var(--vet-edge);
  font-weight: 600;
  padding: 0.5rem 0.75rem;
}
.finish {
  align-items: center;
  background: var(--paper);
  border-top: 2px solid var(--ink);
  bottom: 0;
  display: flex;
  gap: 1rem;
  margin-top: 1rem;
  padding-block: 0.6rem;
  position: sticky;
}
.finish .btn {
  white-space: nowrap;
}
.tally {
  flex: 1;
  margin: 0;
}

@media (max-width: 900px) {
  .finish {
    flex-wrap: wrap;
  }
  .finish .btn {
    max-width: 100%;
    white-space: normal;
  }
  .walk {
    display: flex;
    flex-direction: column;
  } /* the nail in hand first, the feet as a whole below it */
  .feet {
    margin: 0.75rem 0 0;
    order: 1;
  }
  .finish {
    order: 2;
  }
  .lead {
    display: none;
  }
  .bench {
    gap: 0.5rem;
    grid-template-columns: minmax(0, 1fr);
  }
  .navigator {
    padding: 0.4rem;
  }
  .legend {
    display: none;
  }
  .feet > * {
    min-height: 36px;
  }
  .finish {
    bottom: 60px;
    padding-block: 0.4rem;
  }
  .finish .btn-big {
    font-size: 1.05rem;
    padding-inline: 0.9rem;
  }
}
</style>
