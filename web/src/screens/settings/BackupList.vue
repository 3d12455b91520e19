<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useBackups, useMakeBackup, useRestore } from '../../api/queries'
import { momentOf } from '../../dates'
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
const size = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`
</script>

<template>
  <section class="section" aria-labelledby="backups-title">
    <h2 id="backups-title">Backups</h2>
    <p class="says"><template v-if="data && !data.nightly">A demonstration makes none by itself. Your own book gets one</template><template v-else>One is made</template> each night, or when Fribbet is next running, and read back whole. All of the last seven days are kept, then the last of each week for four weeks.</p>
    <AnswerState v-if="!data" :error="error" what="the backups" @again="refetch()" />
    <template v-else>
      <p v-if="data.trouble" class="trouble" role="alert">{{ data.trouble }}</p>
      <p v-if="data.night_trouble" class="trouble" role="alert">The night’s was not made: {{ data.night_trouble }}.</p>
      <div class="ways">
        <BButton variant="plain" :disabled="making" @click="make()">{{ making ? 'Copying and checking…' : 'Back up now' }}</BButton>
        <span v-if="made" role="status">Made, read back whole, and sound.</span>
      </div>
      <RefusalNote :error="unmade" />
      <ul v-if="data.backups.length > 0" class="list">
        <li v-for="b in shown" :key="b.name">
          <span class="when">{{ momentOf(b.made_at) }}</span>
          <span class="soft">{{ size(b.bytes) }}<template v-if="b.replaced"> · what a restore replaced</template></span>
          <button type="button" :aria-pressed="chosen?.name === b.name" :aria-label="`Restore ${momentOf(b.made_at)}`" @click="chosen = chosen?.name === b.name ? undefined : b">Restore…</button>
          <div v-if="chosen?.name === b.name" class="sure">
            <p>The book of {{ momentOf(b.made_at) }} takes the place of what is there now. What is there now is kept in this list, and can be put back the same way. Whoever is at a bench should finish first.</p>
            <BButton variant="go" :disabled="reading" @click="restore(b.name)">{{ reading ? 'Reading it whole…' : 'Restore this one' }}</BButton>
            <BButton variant="plain" @click="chosen = undefined">Leave it</BButton>
            <RefusalNote :error="unrestored" />
          </div>
        </li>
      </ul>
      <p v-else class="soft">None yet.</p>
      <button v-if="data.backups.length > few && !all" type="button" class="more" @click="all = true">All {{ data.backups.length }}</button>
      <p class="soft small says">They are files in <code>{{ data.place }}</code>. A copy on another disk survives this one: <code>fribbet backup</code> writes it anywhere.</p>
    </template>
  </section>
</template>

<style scoped>
.says { max-width: 46rem; }
.says code { overflow-wrap: anywhere; }
.trouble { background: var(--vet-ground); border-left: var(--bar) solid var(--vet-edge); max-width: 46rem; padding: 0.5rem 0.75rem; }
.ways { align-items: center; display: flex; flex-wrap: wrap; gap: 0.75rem; margin-bottom: 0.5rem; }
.list { list-style: none; margin: 0 0 0.5rem; max-width: 46rem; padding: 0; }
.list li { align-items: center; border-bottom: 1px solid var(--line); display: flex; flex-wrap: wrap; gap: 0.25rem 1rem; min-height: 44px; }
.when { font-variant-numeric: tabular-nums; min-width: 11rem; }
.list li > button, .more { background: none; border: 0; color: var(--go); font-weight: 600; margin-left: auto; min-height: 44px; text-decoration: underline; text-underline-offset: 3px; }
.more { margin: 0; padding: 0; }
.sure { background: var(--sunk); flex-basis: 100%; margin-bottom: 0.5rem; padding: 0.75rem; }
.sure .btn { margin-right: 0.5rem; }
</style>
