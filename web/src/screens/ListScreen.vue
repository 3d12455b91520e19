<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answered, client, type Schemas } from '../api/client'
import RefusalNote from '../parts/RefusalNote.vue'
import { useUnits } from '../units'
import { listColumns, options } from '../words'

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
const rows = computed(() => (read.value?.rows ?? []).filter((r) => !onlyRefused.value || r.refused.length > 0).slice(0, 300))

async function doing<T>(work: () => Promise<T>): Promise<T | undefined> {
  busy.value = true
  error.value = null
  try { return await work() } catch (e) { error.value = e as Error } finally { busy.value = false }
}
const base64 = (bytes: Uint8Array) => { let s = ''; for (let i = 0; i < bytes.length; i += 8192) s += String.fromCharCode(...bytes.subarray(i, i + 8192)); return btoa(s) }
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
const months = (['long', 'day', 'short'] as const).flatMap((form) => {
  const format = new Intl.DateTimeFormat(navigator.language, form === 'day' ? { day: 'numeric', month: 'long', timeZone: 'UTC' } : { month: form, timeZone: 'UTC' })
  return Array.from({ length: 12 }, (_, m) => format.formatToParts(Date.UTC(2020, m, 1)).find((p) => p.type === 'month')?.value ?? '')
})
/** Rows whose owner has a name that is there: the same one, or another. */
const whose = ref<Record<number, 'same' | 'others'>>({})
const lines = (answer: 'same' | 'others') => Object.keys(whose.value).map(Number).filter((line) => whose.value[line] === answer)
const look = async (columns?: Schemas['ListColumn'][]) => { read.value = await answered(client.POST('/api/lists/read', { body: { text: text.value, columns, months, same: lines('same'), others: lines('others') } })) }
const answer = (line: number, as: 'same' | 'others') => doing(() => { whose.value[line] = as; return look(read.value!.columns) })
const match = (i: number, column: Schemas['ListColumn']) => doing(() => look(read.value!.columns.map((c, k) => (k === i ? column : c === column ? '' : c))))
const take = () => doing(async () => {
  const id = crypto.randomUUID()
  const r = await answered(client.PUT('/api/lists/{list_id}', { params: { path: { list_id: id } }, body: { text: text.value, columns: read.value!.columns, months, same: lines('same'), others: lines('others') } }))
  taken.value = { id, dogs: r.dogs, owners: r.owners }
  read.value = undefined
  await cache.invalidateQueries()
})
const takeBack = () => doing(async () => {
  back.value = (await answered(client.DELETE('/api/lists/{list_id}', { params: { path: { list_id: taken.value!.id } } }))).stay
  taken.value = undefined
  await cache.invalidateQueries()
})
const many = (n: number, one: string) => (n === 1 ? `1 ${one}` : `${n} ${one}s`)
</script>

<template>
  <div class="screen">
    <div class="screen-head"><div><h1>From a list</h1><p class="soft lead">Owners and dogs out of a spreadsheet, saved as CSV: a heading in its first row, a dog a row.</p></div><div class="aside"><RouterLink to="/owners" class="btn btn-plain">Owners</RouterLink></div></div>
    <p><label for="list-file" class="btn btn-go btn-big">{{ name ? 'Another file' : 'Choose the file' }}</label><input id="list-file" class="visually-hidden" type="file" accept=".csv,.txt,.tsv,text/csv" @change="choose" /> <bdi v-if="name">{{ name }}</bdi> <a href="/example-list.csv" download>An example to fill in</a></p>
    <RefusalNote :error="error" />
    <p v-if="busy" role="status" class="soft">Reading…</p>
    <p v-if="taken" class="taken" role="status"><strong>{{ many(taken.dogs, 'dog') }} and {{ many(taken.owners, 'owner') }} are in the book.</strong> <RouterLink to="/">Due</RouterLink> tells who is to be looked at. <BButton variant="plain" :disabled="busy" @click="takeBack">Take them back</BButton></p>
    <p v-if="back !== undefined" role="status" class="taken">Deleted.<template v-if="back > 0"> {{ many(back, 'dog') }} stayed: something was saved of {{ back === 1 ? 'it' : 'them' }} since.</template></p>
    <template v-if="read">
      <p>{{ many(read.dogs, 'new dog') }}, {{ many(read.owners, 'new owner') }}<template v-if="read.refused">, {{ many(read.refused, 'row') }} that cannot be taken</template>. <span class="soft small">Separated by {{ read.separator }}, letters as {{ read.encoding }}.</span></p>
      <p class="ways"><BButton variant="go" :disabled="busy || read.dogs + read.owners === 0" @click="take">Take them</BButton><BButton v-if="read.refused" variant="plain" :aria-pressed="onlyRefused" @click="onlyRefused = !onlyRefused">Only what cannot be taken</BButton></p>
      <h2>What each column tells</h2>
      <div class="columns"><label v-for="(h, i) in read.header" :key="i"><bdi>{{ h || 'no heading' }}</bdi><BFormSelect :model-value="read.columns[i]" :options="options(listColumns)" @update:model-value="match(i, $event as Schemas['ListColumn'])" /></label></div>
      <div class="scroll"><table>
        <thead><tr><th>Row</th><th>Owner</th><th>Known from</th><th>Dog</th><th>Weight</th><th>Born</th><th>Taken</th></tr></thead>
        <tbody><tr v-for="r in rows" :key="r.line" :class="{ refused: r.refused.length > 0 }">
          <td>{{ r.line }}</td><td dir="auto">{{ r.owner }}<span v-if="r.asks" class="choices" role="group" :aria-label="`Row ${r.line}: is this the ${r.owner} of the book?`"><button type="button" :aria-pressed="whose[r.line] === 'same'" :disabled="busy" @click="answer(r.line, 'same')">the one in the book</button><button type="button" :aria-pressed="whose[r.line] === 'others'" :disabled="busy" @click="answer(r.line, 'others')">another</button></span></td><td>{{ r.address }}</td><td dir="auto">{{ r.dog }}</td><td>{{ r.kg === undefined ? '' : weight.show(r.kg) }}</td><td>{{ r.born ?? (r.age_years === undefined ? '' : `about ${Math.round(r.age_years * 10) / 10} years old`) }}</td>
          <td><template v-if="r.refused.length === 0">yes</template><span v-for="f in r.refused" v-else :key="f.field">{{ f.field }} {{ f.expected }} (it is “{{ f.value }}”). </span></td>
        </tr></tbody>
      </table></div>
      <p v-if="read.rows.length > rows.length" class="soft small">{{ rows.length }} of {{ read.rows.length }} rows are shown.</p>
    </template>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; }
.taken { align-items: center; border-left: var(--bar) solid var(--go); padding-left: 0.75rem; }
.ways { display: flex; flex-wrap: wrap; gap: 0.6rem; }
.columns { display: flex; flex-wrap: wrap; gap: 0.75rem 1.25rem; margin-bottom: 1rem; }
.columns label { max-width: 11rem; }
.scroll { overflow-x: auto; }
table { border-collapse: collapse; font-size: var(--small); width: 100%; }
th, td { border: 0; border-top: 1px solid var(--line); padding: 0.3rem 0.75rem 0.3rem 0; text-align: left; vertical-align: top; }
.refused td { background: var(--caution-ground); }
label[for='list-file']:has(+ #list-file:focus-visible) { outline: 3px solid var(--focus); outline-offset: 2px; }
</style>
