<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useBackups, useMakeBackup, useRestore } from '../../api/queries'
import { momentOf } from '../../dates'
import { $t } from '../../i18n'
import { decimal } from '../../i18n/language'
import AnswerState from '../../parts/AnswerState.vue'
import RefusalNote from '../../parts/RefusalNote.vue'

/** The book's backups: made by themselves and on demand, and put back here. */
const { data, error, refetch } = useBackups()
const { mutate: make, isPending: making, isSuccess: made, error: unmade } = useMakeBackup()
const { mutate: restore, isPending: reading, error: unrestored } = useRestore()
const few = 5
const all = ref(false)
const shown = computed(() => (all.value ? data.value!.backups : data.value!.backups.slice(0, few)))
const chosen = ref<Schemas['Backup']>()
const size = (bytes: number) => $t('settings.mb', { bytes: decimal(bytes / 1e6, 1) })
</script>

<template>
  <section class="section" aria-labelledby="backups-title">
    <h2 id="backups-title">{{ $t('settings.backups') }}</h2>
    <p class="says">
      <template v-if="data && !data.nightly">{{ $t('settings.a_demonstration_makes_none_by') }}</template><template
        v-else
        >{{ $t('settings.one_is_made') }}</template
      >
      {{ $t('settings.each_night_or_when_fribbet') }}
    </p>
    <AnswerState v-if="!data" :error="error" :what="$t('settings.the_backups')" @again="refetch()" />
    <template v-else>
      <p v-if="data.trouble" class="trouble" role="alert">{{ data.trouble }}</p>
      <p v-if="data.night_trouble" class="trouble" role="alert">
        {{ $t('settings.the_nights_was_not_made', { night_trouble: data.night_trouble }) }}
      </p>
      <div class="ways">
        <BButton variant="plain" :disabled="making" @click="make()">{{
          making ? $t('settings.copying_and_checking') : $t('settings.back_up_now')
        }}</BButton>
        <span v-if="made" role="status">{{ $t('settings.made_read_back_whole_and') }}</span>
      </div>
      <RefusalNote :error="unmade" />
      <ul v-if="data.backups.length > 0" class="list">
        <li v-for="b in shown" :key="b.name">
          <span class="when">{{ momentOf(b.made_at) }}</span>
          <span class="soft"
            >{{ size(b.bytes)
            }}<template v-if="b.replaced">{{ ' ' }}{{ $t('settings.what_a_restore_replaced') }}</template></span
          >
          <button
            type="button"
            :aria-pressed="chosen?.name === b.name"
            :aria-label="$t('settings.restore', { made_at: momentOf(b.made_at) })"
            @click="chosen = chosen?.name === b.name ? undefined : b"
          >
            {{ $t('settings.restore_2') }}
          </button>
          <div v-if="chosen?.name === b.name" class="sure">
            <p>{{ $t('settings.the_book_of_takes_the', { made_at: momentOf(b.made_at) }) }}</p>
            <BButton variant="go" :disabled="reading" @click="restore(b.name)">{{
              reading ? $t('settings.reading_it_whole') : $t('settings.restore_this_one')
            }}</BButton>
            <BButton variant="plain" @click="chosen = undefined">{{ $t('settings.leave_it') }}</BButton>
            <RefusalNote :error="unrestored" />
          </div>
        </li>
      </ul>
      <p v-else class="soft">{{ $t('settings.none_yet') }}</p>
      <button v-if="data.backups.length > few && !all" type="button" class="more" @click="all = true">
        {{ $t('settings.all', { n: data.backups.length }) }}
      </button>
      <p class="soft small says">
        {{ $t('settings.they_are_files_in') }} <code>{{ data.place }}</code>{{ $t('settings.a_copy_on_another_disk') }}
        <code>fribbet backup</code> {{ $t('settings.writes_it_anywhere') }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.says {
  max-width: 46rem;
}
.says code {
  overflow-wrap: anywhere;
}
.trouble {
  background: var(--vet-ground);
  border-left: var(--bar) solid var(--vet-edge);
  max-width: 46rem;
  padding: 0.5rem 0.75rem;
}
.ways {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
  margin-bottom: 0.5rem;
}
.list {
  list-style: none;
  margin: 0 0 0.5rem;
  max-width: 46rem;
  padding: 0;
}
.list li {
  align-items: center;
  border-bottom: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1rem;
  min-height: 44px;
}
.when {
  font-variant-numeric: tabular-nums;
  min-width: 11rem;
}
.list li > button,
.more {
  background: none;
  border: 0;
  color: var(--go);
  font-weight: 600;
  margin-left: auto;
  min-height: 44px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.more {
  margin: 0;
  padding: 0;
}
.sure {
  background: var(--sunk);
  flex-basis: 100%;
  margin-bottom: 0.5rem;
  padding: 0.75rem;
}
.sure .btn {
  margin-right: 0.5rem;
}
</style>
