<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref } from 'vue'
import { useDue } from '../api/queries'
import { fullDayOf } from '../dates'
import AnswerState from '../parts/AnswerState.vue'
import DueRow from './due/DueRow.vue'
import DueScale from './due/DueScale.vue'

const { data, error, refetch } = useDue()
const search = ref('')
const found = computed(() => {
  const wanted = search.value.trim().toLocaleLowerCase()
  return (data.value?.dogs ?? []).filter((d) => d.name.toLocaleLowerCase().includes(wanted))
})
/** The next safe thing: the first dog that is not a veterinarian's matter. */
const foremost = computed(() => found.value.findIndex((d) => !d.cautions.some((c) => c.kind === 'veterinarian')))
const late = computed(() => (data.value?.dogs ?? []).filter((d) => d.standing === 'late').length)
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" what="the book" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>Due</h1>
          <p class="soft lead">{{ fullDayOf(data.today) }} · {{ data.dogs.length === 1 ? '1 dog' : `${data.dogs.length} dogs` }}<template v-if="late"> · {{ late }} late</template></p>
        </div>
        <div class="aside">
          <label for="search" class="visually-hidden">Search a dog by name</label>
          <BFormInput id="search" v-model="search" type="search" placeholder="Search a name   /" autocomplete="off" />
          <RouterLink to="/dogs/new" class="btn btn-plain">Add a dog</RouterLink>
        </div>
      </div>

      <div v-if="data.dogs.length === 0" class="empty">
        <h2>No dogs in the book yet</h2>
        <p>Add the first one: a name, a weight and an age are enough.</p>
        <RouterLink to="/dogs/new" class="btn btn-go btn-big">Add a dog</RouterLink>
      </div>
      <p v-else-if="found.length === 0" class="empty">No dog is called “{{ search }}”.</p>
      <template v-else>
        <DueScale :weeks="data.weeks" />
        <ul class="rows">
          <DueRow v-for="(row, i) in found" :key="row.dog_id" :row="row" :first="i === foremost" />
        </ul>
        <p class="legend soft small"><span aria-hidden="true">●</span> due · <span aria-hidden="true">◇</span> cautious date: if the nails grow faster than nine dogs in ten · <span aria-hidden="true">◀</span> late</p>
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
</style>
