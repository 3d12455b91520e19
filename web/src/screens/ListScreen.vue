<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answered, client, type Schemas } from '../api/client'
import { $t } from '../i18n'
import RefusalNote from '../parts/RefusalNote.vue'
import { useUnits } from '../units'
import { options } from '../words'
import { listColumns } from './round/words'

/** Owners and dogs out of a spreadsheet: read first, row by row, then taken all at once, or back. */
const cache = useQueryClient()
const { weight } = useUnits()
const text = ref('')
const name = ref('')
const read = ref<Schemas['ListRead']>()
const taken = ref<{ id: string; dogs: number; owners: number }>()
const back = ref<number>()
const error = ref<Error | null>(null)
const busy = ref(false)
const onlyRefused = ref(false)
const rows = computed(() =>
  (read.value?.rows ?? []).filter(r => !onlyRefused.value || r.refused.length > 0).slice(0, 300),
)

async function doing<T>(work: () => Promise<T>): Promise<T | undefined> {
  busy.value = true
  error.value = null
  try {
    return await work()
  } catch (e) {
    error.value = e as Error
  } finally {
    busy.value = false
  }
}
const base64 = (bytes: Uint8Array) => {
  let s = ''
  for (let i = 0; i < bytes.length; i += 8192) s += String.fromCharCode(...bytes.subarray(i, i + 8192))
  return btoa(s)
}
async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  read.value = taken.value = back.value = undefined
  name.value = file.name
  whose.value = {}
  await doing(async () => {
    text.value = base64(new Uint8Array(await file.arrayBuffer()))
    await look()
  })
}
/** How the browser's language calls the months, whole, as within a date, and short: lists write them so. */
const months = (['long', 'day', 'short'] as const).flatMap(form => {
  const format = new Intl.DateTimeFormat(
    navigator.language,
    form === 'day' ? { day: 'numeric', month: 'long', timeZone: 'UTC' } : { month: form, timeZone: 'UTC' },
  )
  return Array.from(
    { length: 12 },
    (_, m) => format.formatToParts(Date.UTC(2020, m, 1)).find(p => p.type === 'month')?.value ?? '',
  )
})
/** Rows whose owner has a name that is there: the same one, or another. */
const whose = ref<Record<number, 'same' | 'others'>>({})
const lines = (answer: 'same' | 'others') =>
  Object.keys(whose.value)
    .map(Number)
    .filter(line => whose.value[line] === answer)
const look = async (columns?: Schemas['ListColumn'][]) => {
  read.value = await answered(
    client.POST('/api/lists/read', {
      body: { text: text.value, columns, months, same: lines('same'), others: lines('others') },
    }),
  )
}
const answer = (line: number, as: 'same' | 'others') =>
  doing(() => {
    whose.value[line] = as
    return look(read.value!.columns)
  })
const match = (i: number, column: Schemas['ListColumn']) =>
  doing(() => look(read.value!.columns.map((c, k) => (k === i ? column : c === column ? '' : c))))
const take = () =>
  doing(async () => {
    const id = crypto.randomUUID()
    const r = await answered(
      client.PUT('/api/lists/{list_id}', {
        params: { path: { list_id: id } },
        body: { text: text.value, columns: read.value!.columns, months, same: lines('same'), others: lines('others') },
      }),
    )
    taken.value = { id, dogs: r.dogs, owners: r.owners }
    read.value = undefined
    await cache.invalidateQueries()
  })
const takeBack = () =>
  doing(async () => {
    back.value = (
      await answered(client.DELETE('/api/lists/{list_id}', { params: { path: { list_id: taken.value!.id } } }))
    ).stay
    taken.value = undefined
    await cache.invalidateQueries()
  })
</script>

<template>
  <div class="screen">
    <div class="screen-head">
      <div>
        <h1>{{ $t('list.from_a_list') }}</h1>
        <p class="soft lead">{{ $t('list.owners_and_dogs_out_of') }}</p>
      </div>
      <div class="aside">
        <RouterLink to="/owners" class="btn btn-plain">{{ $t('list.owners') }}</RouterLink>
      </div>
    </div>
    <p>
      <label for="list-file" class="btn btn-go btn-big">{{
        name ? $t('list.another_file') : $t('list.choose_the_file')
      }}</label><input
        id="list-file"
        class="visually-hidden"
        type="file"
        accept=".csv,.txt,.tsv,text/csv"
        @change="choose"
      />{{ ' ' }}<bdi v-if="name">{{ name }}</bdi
      >{{ ' ' }}<a href="/example-list.csv" download>{{ $t('list.an_example_to_fill_in') }}</a>
    </p>
    <RefusalNote :error="error" />
    <p v-if="busy" role="status" class="soft">{{ $t('list.reading') }}</p>
    <p v-if="taken" class="taken" role="status">
      <strong>{{
        $t('list.and_are_in_the_book', {
          dogs: $t('list.dogs', taken.dogs),
          owners: $t('list.owners_counted', taken.owners),
        })
      }}</strong>{{ ' ' }}<RouterLink to="/">{{ $t('list.due') }}</RouterLink> {{ $t('list.tells_who_is_to_be') }}
      <BButton variant="plain" :disabled="busy" @click="takeBack">{{ $t('list.take_them_back') }}</BButton>
    </p>
    <p v-if="back !== undefined" role="status" class="taken">
      {{ $t('list.deleted')
      }}<template v-if="back > 0"
        >{{ ' '
        }}{{
          $t('list.stayed_something_was_saved_of', { back: $t('list.dogs', back), back2: $t('list.it_them', back) })
        }}</template
      >
    </p>
    <template v-if="read">
      <p>
        {{ $t('list.new_dogs', read.dogs) }}, {{ $t('list.new_owners', read.owners)
        }}<template v-if="read.refused">{{
          $t('list.that_cannot_be_taken', { refused: $t('list.rows', read.refused) })
        }}</template
        >.
        <span class="soft small">{{
          $t('list.separated_by_letters_as', { separator: read.separator, encoding: read.encoding })
        }}</span>
      </p>
      <p class="ways">
        <BButton variant="go" :disabled="busy || read.dogs + read.owners === 0" @click="take">{{
          $t('list.take_them')
        }}</BButton><BButton
          v-if="read.refused"
          variant="plain"
          :aria-pressed="onlyRefused"
          @click="onlyRefused = !onlyRefused"
          >{{ $t('list.only_what_cannot_be_taken') }}</BButton
        >
      </p>
      <h2>{{ $t('list.what_each_column_tells') }}</h2>
      <div class="columns">
        <label v-for="(h, i) in read.header" :key="i"
          ><bdi>{{ h || $t('list.no_heading') }}</bdi
          ><BFormSelect
            :model-value="read.columns[i]"
            :options="options(listColumns)"
            @update:model-value="match(i, $event as Schemas['ListColumn'])"
        /></label>
      </div>
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th>{{ $t('list.row') }}</th>
              <th>{{ $t('list.owner') }}</th>
              <th>{{ $t('list.known_from') }}</th>
              <th>{{ $t('list.dog') }}</th>
              <th>{{ $t('list.weight') }}</th>
              <th>{{ $t('list.born') }}</th>
              <th>{{ $t('list.taken') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in rows" :key="r.line" :class="{ refused: r.refused.length > 0 }">
              <td>{{ r.line }}</td>
              <td dir="auto">
                {{ r.owner
                }}<span
                  v-if="r.asks"
                  class="choices"
                  role="group"
                  :aria-label="$t('list.row_is_this_the_of', { line: r.line, owner: r.owner })"
                  ><button
                    type="button"
                    :aria-pressed="whose[r.line] === 'same'"
                    :disabled="busy"
                    @click="answer(r.line, 'same')"
                  >
                    {{ $t('list.the_one_in_the_book') }}</button
                  ><button
                    type="button"
                    :aria-pressed="whose[r.line] === 'others'"
                    :disabled="busy"
                    @click="answer(r.line, 'others')"
                  >
                    {{ $t('list.another') }}
                  </button></span
                >
              </td>
              <td>{{ r.address }}</td>
              <td dir="auto">{{ r.dog }}</td>
              <td>{{ r.kg === undefined ? '' : weight.show(r.kg) }}</td>
              <td>
                {{
                  r.born ??
                  (r.age_years === undefined
                    ? ''
                    : $t('list.about_years_old', { age_years: Math.round(r.age_years * 10) / 10 }))
                }}
              </td>
              <td>
                <template v-if="r.refused.length === 0">{{ $t('list.yes') }}</template><span
                  v-for="f in r.refused"
                  v-else
                  :key="f.field"
                  >{{ $t('list.it_is', { field: f.field, expected: f.expected, f: f.value }) }}{{ ' ' }}</span
                >
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="read.rows.length > rows.length" class="soft small">
        {{ $t('list.of_rows_are_shown', { n: rows.length, n2: read.rows.length }) }}
      </p>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.taken {
  align-items: center;
  border-left: var(--bar) solid var(--go);
  padding-left: 0.75rem;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
.columns {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem 1.25rem;
  margin-bottom: 1rem;
}
.columns label {
  max-width: 11rem;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  font-size: var(--small);
  width: 100%;
}
th,
td {
  border: 0;
  border-top: 1px solid var(--line);
  padding: 0.3rem 0.75rem 0.3rem 0;
  text-align: left;
  vertical-align: top;
}
.refused td {
  background: var(--caution-ground);
}
label[for='list-file']:has(+ #list-file:focus-visible) {
  outline: 3px solid var(--focus);
  outline-offset: 2px;
}
</style>
