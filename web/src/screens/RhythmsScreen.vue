<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { computed, ref } from 'vue'
import { useDue } from '../api/queries'
import { useLater } from '../local/later'
import AnswerState from '../parts/AnswerState.vue'

/** Whose rhythm: the way to a dog's own. */
const search = ref('')
const { data, error, refetch } = useDue(useLater(search))
const dogs = computed(() => data.value?.pages.flatMap((p) => p.dogs) ?? [])
</script>

<template>
  <div class="screen">
    <div class="screen-head">
      <div><h1>Rhythm</h1><p class="soft lead">What would another rhythm do? Choose a dog.</p></div>
      <div class="aside">
        <label for="search" class="visually-hidden">Search a dog by name</label>
        <BFormInput id="search" v-model="search" type="search" placeholder="Search a name" autocomplete="off" />
      </div>
    </div>
    <AnswerState v-if="!data" :error="error" what="the book" @again="refetch()" />
    <p v-else-if="data.pages[0].all === 0" class="soft">No dogs in the book yet. <RouterLink to="/dogs/new">Add a dog</RouterLink>.</p>
    <p v-else-if="dogs.length === 0" class="soft">No dog is called “{{ search }}”.</p>
    <ul v-else class="dogs">
      <li v-for="d in dogs" :key="d.dog_id"><RouterLink :to="`/dogs/${d.dog_id}/rhythm`" class="btn btn-plain" dir="auto">{{ d.name }}</RouterLink></li>
    </ul>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; }
.aside input { width: 15rem; }
.dogs { display: flex; flex-wrap: wrap; gap: 0.5rem; }
</style>
