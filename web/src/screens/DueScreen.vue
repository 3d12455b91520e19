<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref } from 'vue'
import { useDue } from '../api/queries'
import { fullDayOf } from '../dates'
import { useGradually } from '../local/gradually'
import { useLater } from '../local/later'
import AnswerState from '../parts/AnswerState.vue'
import DueRow from './due/DueRow.vue'
import DueScale from './due/DueScale.vue'
import MovedDates from './due/MovedDates.vue'

const search = ref('')
const { data: pages, error, refetch, hasNextPage, fetchNextPage, isFetchingNextPage } = useDue(useLater(search))
const data = computed(() => pages.value?.pages[0])
const found = computed(() => pages.value?.pages.flatMap((p) => p.dogs) ?? [])
const drawn = useGradually(found)
/** The next safe thing: the first dog that is not a veterinarian's matter. */
const foremost = computed(() => found.value.findIndex((d) => !d.cautions.some((c) => c.kind === 'veterinarian')))
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" what="the book" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>Due</h1>
          <p class="soft lead">{{ fullDayOf(data.today) }} · {{ data.all === 1 ? '1 dog' : `${data.all} dogs` }}<template v-if="data.late"> · {{ data.late }} late</template></p>
        </div>
        <div class="aside">
          <label for="search" class="visually-hidden">Search a dog by name</label>
          <BFormInput id="search" v-model="search" type="search" placeholder="Search a name   /" autocomplete="off" />
          <RouterLink to="/dogs/new" class="btn btn-plain">Add a dog</RouterLink>
        </div>
      </div>

      <p v-if="data.recount" class="recount" role="status">
        <progress :value="data.recount.done" :max="data.recount.all" />
        Dates are being worked out again: {{ data.recount.done }} of {{ data.recount.all }} dogs. Until then some dates below are the old ones.
      </p>
      <MovedDates v-if="data.moved.length > 0" :moved="data.moved" />
      <div v-if="data.all === 0" class="empty">
        <h2>No dogs in the book yet</h2>
        <p>Add the first one: a name, a weight and an age are enough.</p>
        <RouterLink to="/dogs/new" class="btn btn-go btn-big">Add a dog</RouterLink>
      </div>
      <p v-else-if="found.length === 0 && !data.recount" class="empty">No dog is called “{{ search }}”.</p>
      <template v-else>
        <DueScale :weeks="data.weeks" />
        <ul class="rows">
          <DueRow v-for="(row, i) in drawn" :key="row.dog_id" :row="row" :first="i === foremost" />
        </ul>
        <p v-if="hasNextPage" class="more"><BButton variant="plain" :disabled="isFetchingNextPage" @click="fetchNextPage()">Show more: {{ found.length }} of {{ data.found }} dogs are here</BButton></p>
        <p class="legend soft small"><span aria-hidden="true">●</span> due · <span aria-hidden="true">◇</span> earliest that a nail may touch · <span aria-hidden="true">◀</span> late · <a href="/api/sheets/due" download>as a spreadsheet</a></p>
      </template>
    </template>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; }
.aside input { width: 15rem; }
.empty { padding: 3rem 0; }
.rows { border-bottom: 1px solid var(--line); }
.legend { margin-top: 0.75rem; }
.more { margin-top: 0.75rem; }
.recount progress { display: block; height: 0.6rem; max-width: 100%; width: 30rem; }
</style>
