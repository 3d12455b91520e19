<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref } from 'vue'
import { useDue } from '../api/queries'
import { fullDayOf } from '../dates'
import { $t } from '../i18n'
import { useGradually } from '../local/gradually'
import { useLater } from '../local/later'
import AnswerState from '../parts/AnswerState.vue'
import DueRow from './due/DueRow.vue'
import DueScale from './due/DueScale.vue'
import MovedDates from './due/MovedDates.vue'

const search = ref('')
const { data: pages, error, refetch, hasNextPage, fetchNextPage, isFetchingNextPage } = useDue(useLater(search))
const data = computed(() => pages.value?.pages[0])
const found = computed(() => pages.value?.pages.flatMap(p => p.dogs) ?? [])
const drawn = useGradually(found)
/** The next safe thing: the first dog that is not a veterinarian's matter. */
const foremost = computed(() => found.value.findIndex(d => !d.cautions.some(c => c.kind === 'veterinarian')))
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" :what="$t('due.the_book')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>{{ $t('due.due') }}</h1>
          <p class="soft lead">
            {{ fullDayOf(data.today) }} · {{ data.all === 1 ? $t('due.n1_dog') : $t('due.dogs', { all: data.all })
            }}<template v-if="data.late">{{ ' ' }}{{ $t('due.late', { late: data.late }) }}</template>
          </p>
        </div>
        <div class="aside">
          <label for="search" class="visually-hidden">{{ $t('due.search_a_dog_by_name') }}</label>
          <BFormInput
            id="search"
            v-model="search"
            type="search"
            :placeholder="$t('due.search_a_name')"
            autocomplete="off"
          />
          <RouterLink to="/dogs/new" class="btn btn-plain">{{ $t('due.add_a_dog') }}</RouterLink>
        </div>
      </div>

      <p v-if="data.recount" class="recount" role="status">
        <progress :value="data.recount.done" :max="data.recount.all" />
        {{ $t('due.dates_are_being_worked_out', { done: data.recount.done, all: data.recount.all }) }}
      </p>
      <MovedDates v-if="data.moved.length > 0" :moved="data.moved" />
      <div v-if="data.all === 0" class="empty">
        <h2>{{ $t('due.no_dogs_in_the_book') }}</h2>
        <p>{{ $t('due.add_the_first_one_a') }}</p>
        <RouterLink to="/dogs/new" class="btn btn-go btn-big">{{ $t('due.add_a_dog') }}</RouterLink>
      </div>
      <p v-else-if="found.length === 0 && !data.recount" class="empty">{{ $t('due.no_dog_is_called', { search }) }}</p>
      <template v-else>
        <DueScale :weeks="data.weeks" />
        <ul class="rows">
          <DueRow v-for="(row, i) in drawn" :key="row.dog_id" :row="row" :first="i === foremost" />
        </ul>
        <p v-if="hasNextPage" class="more">
          <BButton variant="plain" :disabled="isFetchingNextPage" @click="fetchNextPage()">{{
            $t('due.show_more_of_dogs_are', { n: found.length, found: data.found })
          }}</BButton>
        </p>
        <p class="legend soft small">
          <span aria-hidden="true">●</span> {{ $t('due.due_2') }} <span aria-hidden="true">◇</span>
          {{ $t('due.earliest_that_a_nail_may') }} <span aria-hidden="true">◀</span> {{ $t('due.late_2') }}
          <a href="/api/sheets/due" download>{{ $t('due.as_a_spreadsheet') }}</a>
        </p>
      </template>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.aside input {
  width: 15rem;
}
.empty {
  padding: 3rem 0;
}
.rows {
  border-bottom: 1px solid var(--line);
}
.legend {
  margin-top: 0.75rem;
}
.more {
  margin-top: 0.75rem;
}
.recount progress {
  display: block;
  height: 0.6rem;
  max-width: 100%;
  width: 30rem;
}
</style>
