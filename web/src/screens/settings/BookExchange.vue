<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import { useExport, useIntakeProgress, useTakeIn } from '../../api/exchange'
import { useRestore } from '../../api/queries'
import RefusalNote from '../../parts/RefusalNote.vue'

/** Everything out in open formats, and in again: nobody is held here. */
const { bytes, failed, take, cancel } = useExport()
const tried = useTakeIn()
const taken = useTakeIn()
const { mutate: restore, isPending: restoring, error: unrestored } = useRestore()
const file = ref<File>()
const working = computed(() => tried.isPending.value || taken.isPending.value)
const { data: progress } = useIntakeProgress(() => working.value)
function choose(event: Event) {
  const input = event.target as HTMLInputElement
  file.value = input.files?.[0]
  taken.reset()
  tried.reset()
  if (file.value) tried.mutate({ file: file.value, take: false })
  input.value = ''
}
const told = computed(() => taken.data.value ?? tried.data.value)
const rows = computed(() => told.value?.tables.filter((t) => t.new + t.same + t.different > 0) ?? [])
const names: Record<string, string> = { kit_items: 'kit', kit_services: 'services of the kit', owned: 'whose dog', not_now: 'not called yet', working_week: 'hours', checks: 'walk-rounds', walked: 'pavement', logs: 'sittings', events: 'what happened at them' }
</script>

<template>
  <section class="section" aria-labelledby="exchange-title">
    <h2 id="exchange-title">Yours to take and to bring</h2>
    <p class="says">Everything in this book as tables that any spreadsheet opens, the log of every trim, and the pictures, in one ZIP with a description of every column. No passphrase, no device, no key is in it.</p>
    <div class="ways">
      <BButton v-if="bytes === undefined" variant="plain" @click="take">Take everything out</BButton>
      <template v-else><span role="status">{{ (bytes / 1e6).toFixed(1) }} MB so far</span><BButton variant="plain" @click="cancel">Stop</BButton></template>
      <label class="btn btn-plain">Bring a package in…<input id="package-file" type="file" accept=".zip,application/zip" class="visually-hidden" :disabled="working" @change="choose" /></label>
    </div>
    <p class="soft small">For programs: <a href="/api">everything that Fribbet can be asked</a>, and <code>fribbet due --json</code>.</p>
    <p v-if="failed" class="trouble" role="alert">{{ failed }}</p>
    <p v-if="working" role="status">{{ taken.isPending.value ? 'Taking it in' : 'Reading it' }}<template v-if="progress?.running && progress.done > 0">: {{ progress.done.toLocaleString('en') }}<template v-if="progress.all > progress.done"> of {{ progress.all.toLocaleString('en') }}</template></template>…</p>
    <RefusalNote :error="tried.error.value ?? taken.error.value" />
    <template v-if="told && !working">
      <table class="counts">
        <caption class="visually-hidden">What is in the package</caption>
        <thead><tr><th scope="col">In it</th><th scope="col">new</th><th scope="col">the same</th><th scope="col">different</th></tr></thead>
        <tbody><tr v-for="t in rows" :key="t.name"><th scope="row">{{ names[t.name] ?? t.name }}</th><td>{{ t.new }}</td><td>{{ t.same }}</td><td>{{ t.different }}<span v-if="t.different > 0" class="soft small"> this book keeps its own: <bdi>{{ t.different_names.join(', ') }}</bdi></span></td></tr></tbody>
      </table>
      <div class="ways">
        <template v-if="taken.data.value">
          <strong role="status">{{ taken.data.value.nothing ? 'Nothing in it was new.' : 'Taken in.' }}</strong>
          <BButton v-if="taken.data.value.backup" variant="plain" :disabled="restoring" @click="restore(taken.data.value.backup!)">{{ restoring ? 'Putting it back…' : 'Take it back' }}</BButton>
          <span v-if="taken.data.value.backup" class="soft small">puts the book of just before in its place: what was saved since goes with it, and is kept under Backups.</span>
        </template>
        <strong v-else-if="told.nothing">Nothing in it is new.</strong>
        <BButton v-else variant="go" @click="file && taken.mutate({ file, take: true })">Take in what is new</BButton>
      </div>
      <RefusalNote :error="unrestored" />
    </template>
  </section>
</template>

<style scoped>
.says { max-width: 46rem; }
.ways { align-items: center; display: flex; flex-wrap: wrap; gap: 0.75rem; margin-block: 0.5rem; }
.ways .btn { margin: 0; }
.trouble { background: var(--vet-ground); border-left: var(--bar) solid var(--vet-edge); max-width: 46rem; padding: 0.5rem 0.75rem; }
.counts { border-collapse: collapse; max-width: 46rem; }
.counts th, .counts td { border-bottom: 1px solid var(--line); font-weight: 400; padding: 0.2rem 1rem 0.2rem 0; text-align: left; }
.counts thead th { color: var(--ink-soft); }
</style>
