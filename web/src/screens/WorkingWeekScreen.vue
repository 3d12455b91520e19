<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BForm } from 'bootstrap-vue-next/components/BForm'
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { useChangeWorkingWeek, useWorkingWeek } from '../api/round'
import { $t } from '../i18n'
import { clock, minutesOf } from '../local/clock'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import { weekdays } from '../words'
import { messageKinds } from './round/words'

/** When there is work, who is there to hold, and how much the hands take. */
const { data, error, refetch } = useWorkingWeek()
const change = useChangeWorkingWeek()
type Row = {
  weekday: Schemas['Weekday']
  open: boolean
  from: string
  to: string
  breakFrom: string
  breakTo: string
  helperFrom: string
  helperTo: string
  place: string
}
const rows = ref<Row[]>([])
const around = ref('5')
const most = ref({ minutes: '', dogs: '', hard: '' })
watch(
  data,
  week => {
    if (!week) return
    rows.value = (Object.keys(weekdays) as Schemas['Weekday'][]).map(weekday => {
      const hours = week.days.find(d => d.weekday === weekday)?.hours
      const text = (m?: number) => (m === undefined ? '' : clock(m))
      return {
        weekday,
        open: hours !== undefined,
        from: text(hours?.from ?? 540),
        to: text(hours?.to ?? 1020),
        breakFrom: text(hours?.break?.from),
        breakTo: text(hours?.break?.to),
        helperFrom: text(hours?.helper?.[0]?.from),
        helperTo: text(hours?.helper?.[0]?.to),
        place: hours?.place ?? '',
      }
    })
    around.value = String(week.around_minutes)
    most.value = {
      minutes: String(week.most_minutes ?? ''),
      dogs: String(week.most_dogs ?? ''),
      hard: String(week.most_hard ?? ''),
    }
  },
  { immediate: true },
)
const texts = ref<Schemas['MessageText'][]>([])
const remind = ref(false)
watch(
  data,
  week => {
    if (!week) return
    texts.value = (week.texts ?? []).map(t => ({ ...t }))
    remind.value = week.remind ?? false
  },
  { immediate: true },
)
const saved = ref(false)
const stretch = (from: string, to: string) => (from && to ? { from: minutesOf(from)!, to: minutesOf(to)! } : undefined)
const number = (text: string) => (text === '' ? undefined : Number(text))
const save = () => {
  saved.value = false
  change.mutate(
    {
      version: data.value!.version,
      around_minutes: Number(around.value),
      exceptions: data.value!.exceptions,
      texts: texts.value,
      remind: remind.value,
      most_minutes: number(most.value.minutes),
      most_dogs: number(most.value.dogs),
      most_hard: number(most.value.hard),
      days: rows.value
        .filter(r => r.open)
        .map(r => ({
          weekday: r.weekday,
          hours: {
            from: minutesOf(r.from) ?? 0,
            to: minutesOf(r.to) ?? 0,
            break: stretch(r.breakFrom, r.breakTo),
            helper: [stretch(r.helperFrom, r.helperTo)].filter(s => s !== undefined),
            place: r.place,
          },
        })),
    },
    { onSuccess: () => (saved.value = true) },
  )
}
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" :what="$t('week.the_hours')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>{{ $t('week.hours') }}</h1>
          <p class="soft lead">{{ $t('week.when_you_work_when_somebody') }}</p>
        </div>
        <div class="aside">
          <RouterLink to="/round" class="btn btn-plain">{{ $t('week.the_week') }}</RouterLink>
        </div>
      </div>
      <BForm @submit.prevent="save">
        <div class="scroll">
          <table>
            <thead>
              <tr>
                <th>{{ $t('week.day') }}</th>
                <th>{{ $t('week.from') }}</th>
                <th>{{ $t('week.to_2') }}</th>
                <th>{{ $t('week.break') }}</th>
                <th>{{ $t('week.somebody_to_hold') }}</th>
                <th>{{ $t('week.where') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="r in rows" :key="r.weekday">
                <th scope="row">
                  <BFormCheckbox v-model="r.open" class="day">{{ weekdays[r.weekday] }}</BFormCheckbox>
                </th>
                <template v-if="r.open">
                  <td>
                    <BFormInput
                      v-model="r.from"
                      type="time"
                      :aria-label="$t('week.from_2', { weekday: weekdays[r.weekday] })"
                      required
                    />
                  </td>
                  <td>
                    <BFormInput
                      v-model="r.to"
                      type="time"
                      :aria-label="$t('week.to', { weekday: weekdays[r.weekday] })"
                      required
                    />
                  </td>
                  <td>
                    <div class="two">
                      <BFormInput
                        v-model="r.breakFrom"
                        type="time"
                        :aria-label="$t('week.break_from', { weekday: weekdays[r.weekday] })"
                      /><BFormInput
                        v-model="r.breakTo"
                        type="time"
                        :aria-label="$t('week.break_to', { weekday: weekdays[r.weekday] })"
                      />
                    </div>
                  </td>
                  <td>
                    <div class="two">
                      <BFormInput
                        v-model="r.helperFrom"
                        type="time"
                        :aria-label="$t('week.helper_from', { weekday: weekdays[r.weekday] })"
                      /><BFormInput
                        v-model="r.helperTo"
                        type="time"
                        :aria-label="$t('week.helper_to', { weekday: weekdays[r.weekday] })"
                      />
                    </div>
                  </td>
                  <td>
                    <BFormInput
                      v-model="r.place"
                      type="text"
                      maxlength="80"
                      dir="auto"
                      :aria-label="$t('week.where_2', { weekday: weekdays[r.weekday] })"
                    />
                  </td>
                </template>
                <td v-else colspan="5" class="soft">{{ $t('week.closed') }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <div class="limits">
          <label
            >{{ $t('week.minutes_around_each_dog_to')
            }}<BFormInput v-model="around" type="number" min="0" max="60" required
          /></label>
          <label
            >{{ $t('week.at_most_minutes_at_the')
            }}<BFormInput v-model="most.minutes" type="number" min="1" :placeholder="$t('week.no_limit')"
          /></label>
          <label
            >{{ $t('week.at_most_dogs_a_day')
            }}<BFormInput v-model="most.dogs" type="number" min="1" :placeholder="$t('week.no_limit')"
          /></label>
          <label
            >{{ $t('week.at_most_hard_dogs_a')
            }}<BFormInput v-model="most.hard" type="number" min="1" :placeholder="$t('week.no_limit')"
          /></label>
        </div>
        <details class="texts">
          <summary>{{ $t('week.what_messages_to_owners_say') }}</summary>
          <label v-for="t in texts" :key="t.kind"
            >{{ messageKinds[t.kind]
            }}<textarea v-model="t.text" class="form-control" rows="2" maxlength="300" dir="auto" />
          </label>
          <p class="small soft">{{ $t('week.dog_at_about_and_places') }}</p>
        </details>
        <p>
          <BFormCheckbox v-model="remind">{{ $t('week.remind_owners_who_may_be') }}</BFormCheckbox>
        </p>
        <RefusalNote :error="change.error.value" />
        <p>
          <BButton type="submit" variant="go" :disabled="change.isPending.value">{{
            $t('week.save_the_hours')
          }}</BButton>{{ ' ' }}<span v-if="saved" role="status" class="soft">{{ $t('week.saved') }}</span>
        </p>
      </BForm>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  border: 0;
  border-top: 1px solid var(--line);
  font-weight: 400;
  vertical-align: middle;
  padding: 0.3rem 0.75rem 0.3rem 0;
  text-align: left;
}
thead th {
  border: 0;
  color: var(--ink-soft);
  font-size: var(--small);
}
.form-check {
  align-items: center;
  display: flex;
  gap: 0.6rem;
  margin: 0;
  min-height: 44px;
  padding: 0;
}
.form-check :deep(input) {
  flex: none;
  float: none;
  margin: 0;
}
.form-check :deep(label) {
  margin: 0;
}
.day :deep(label) {
  color: var(--ink);
  font-weight: 600;
}
.two {
  display: flex;
  gap: 0.4rem;
}
input[type='time'] {
  min-width: 7.75rem;
  padding-inline: 0.4rem;
  width: 7.75rem;
}
.texts summary {
  cursor: pointer;
  font-weight: 600;
  min-height: 44px;
  padding-top: 0.6rem;
}
.texts label {
  display: block;
  margin-bottom: 0.75rem;
  max-width: 44rem;
}
.limits {
  display: flex;
  flex-wrap: wrap;
  gap: 1rem 2rem;
  margin-block: 1rem;
}
.limits label {
  max-width: 14rem;
}
</style>
