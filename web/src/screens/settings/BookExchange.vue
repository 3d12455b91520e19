<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import { useExport, useImportProgress, useImport } from '../../api/exchange'
import { useRestore } from '../../api/queries'
import { $t } from '../../i18n'
import { counted, decimal } from '../../i18n/language'
import RefusalNote from '../../parts/RefusalNote.vue'

/** Everything out in open formats, and in again: nobody is held here. */
const { bytes, failed, take, cancel } = useExport()
const tried = useImport()
const taken = useImport()
const { mutate: restore, isPending: restoring, error: unrestored } = useRestore()
const file = ref<File>()
const working = computed(() => tried.isPending.value || taken.isPending.value)
const { data: progress } = useImportProgress(() => working.value)
function choose(event: Event) {
  const input = event.target as HTMLInputElement
  file.value = input.files?.[0]
  taken.reset()
  tried.reset()
  if (file.value) tried.mutate({ file: file.value, take: false })
  input.value = ''
}
const told = computed(() => taken.data.value ?? tried.data.value)
const rows = computed(() => told.value?.tables.filter(t => t.new + t.same + t.different > 0) ?? [])
const names: Record<string, string> = {
  kit_items: $t('settings.kit'),
  kit_services: $t('settings.services_of_the_kit'),
  owned: $t('settings.whose_dog'),
  not_now: $t('settings.not_called_yet'),
  working_week: $t('settings.hours'),
  checks: $t('settings.walk_rounds'),
  walked: $t('settings.pavement'),
  logs: $t('settings.sittings'),
  events: $t('settings.what_happened_at_them'),
}
</script>

<template>
  <section class="section" aria-labelledby="exchange-title">
    <h2 id="exchange-title">{{ $t('settings.yours_to_take_and_to') }}</h2>
    <p class="says">{{ $t('settings.everything_in_this_book_as') }}</p>
    <div class="ways">
      <BButton v-if="bytes === undefined" variant="plain" @click="take">{{
        $t('settings.take_everything_out')
      }}</BButton>
      <template v-else
        ><span role="status">{{ $t('settings.mb_so_far', { bytes: decimal(bytes / 1e6, 1) }) }}</span
        ><BButton variant="plain" @click="cancel">{{ $t('settings.stop') }}</BButton></template
      >
      <label class="btn btn-plain"
        >{{ $t('settings.bring_a_package_in')
        }}<input
          id="package-file"
          type="file"
          accept=".zip,application/zip"
          class="visually-hidden"
          :disabled="working"
          @change="choose"
      /></label>
    </div>
    <p class="soft small">
      {{ $t('settings.for_programs') }} <a href="/api">{{ $t('settings.everything_that_fribbet_can_be') }}</a>{{
        $t('settings.and')
      }}
      <code>fribbet due --json</code>.
    </p>
    <p v-if="failed" class="trouble" role="alert">{{ failed }}</p>
    <p v-if="working" role="status">
      {{ taken.isPending.value ? $t('settings.taking_it_in') : $t('settings.reading_it')
      }}<template v-if="progress?.running && progress.done > 0"
        >: {{ counted(progress.done)
        }}<template v-if="progress.all > progress.done"
          >{{ ' ' }}{{ $t('settings.of', { all: counted(progress.all) }) }}</template
        ></template
      >…
    </p>
    <RefusalNote :error="tried.error.value ?? taken.error.value" />
    <template v-if="told && !working">
      <table class="counts">
        <caption class="visually-hidden">
          {{
            $t('settings.what_is_in_the_package')
          }}
        </caption>
        <thead>
          <tr>
            <th scope="col">{{ $t('settings.in_it') }}</th>
            <th scope="col">{{ $t('settings.new') }}</th>
            <th scope="col">{{ $t('settings.the_same') }}</th>
            <th scope="col">{{ $t('settings.different') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="t in rows" :key="t.name">
            <th scope="row">{{ names[t.name] ?? t.name }}</th>
            <td>{{ t.new }}</td>
            <td>{{ t.same }}</td>
            <td>
              {{ t.different
              }}<span v-if="t.different > 0" class="soft small"
                >{{ ' ' }}{{ $t('settings.this_book_keeps_its_own') }}
                <bdi>{{ t.different_names.join(', ') }}</bdi></span
              >
            </td>
          </tr>
        </tbody>
      </table>
      <div class="ways">
        <template v-if="taken.data.value">
          <strong role="status">{{
            taken.data.value.nothing ? $t('settings.nothing_in_it_was_new') : $t('settings.taken_in')
          }}</strong>
          <BButton
            v-if="taken.data.value.backup"
            variant="plain"
            :disabled="restoring"
            @click="restore(taken.data.value.backup!)"
            >{{ restoring ? $t('settings.putting_it_back') : $t('settings.take_it_back') }}</BButton
          >
          <span v-if="taken.data.value.backup" class="soft small">{{ $t('settings.puts_the_book_of_just') }}</span>
        </template>
        <strong v-else-if="told.nothing">{{ $t('settings.nothing_in_it_is_new') }}</strong>
        <BButton v-else variant="go" @click="file && taken.mutate({ file, take: true })">{{
          $t('settings.take_in_what_is_new')
        }}</BButton>
      </div>
      <RefusalNote :error="unrestored" />
    </template>
  </section>
</template>

<style scoped>
.says {
  max-width: 46rem;
}
.ways {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
  margin-block: 0.5rem;
}
.ways .btn {
  margin: 0;
}
.trouble {
  background: var(--vet-ground);
  border-left: var(--bar) solid var(--vet-edge);
  max-width: 46rem;
  padding: 0.5rem 0.75rem;
}
.counts {
  border-collapse: collapse;
  max-width: 46rem;
}
.counts th,
.counts td {
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  padding: 0.2rem 1rem 0.2rem 0;
  text-align: left;
}
.counts thead th {
  color: var(--ink-soft);
}
</style>
