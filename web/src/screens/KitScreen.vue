<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../api/client'
import { useKit } from '../api/kit'
import { $t } from '../i18n'
import AnswerState from '../parts/AnswerState.vue'
import { kitKinds, shelves } from '../words'
import KitForm from './kit/KitForm.vue'
import KitRow from './kit/KitRow.vue'

const { data: kit, error, refetch } = useKit()
const adding = ref(false)
const filled = computed(() =>
  (Object.keys(shelves) as Schemas['Shelf'][])
    .map(shelf => ({ shelf, items: (kit.value?.items ?? []).filter(i => i.shelf === shelf) }))
    .filter(s => s.items.length > 0),
)
const overdue = computed(() => (kit.value?.items ?? []).filter(i => i.level === 'overdue'))
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!kit" :error="error" :what="$t('kit.the_kit')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>{{ $t('kit.kit') }}</h1>
          <p class="soft lead">{{ $t('kit.cuts_and_minutes_are_counted') }}</p>
        </div>
        <div class="aside">
          <a v-if="kit.items.length > 0" href="/api/sheets/kit" download class="btn btn-plain">{{
            $t('kit.as_a_spreadsheet')
          }}</a><BButton
            :variant="kit.items.length === 0 ? 'go' : 'plain'"
            :class="{ 'btn-big': kit.items.length === 0 }"
            :aria-expanded="adding"
            @click="adding = !adding"
            >{{ adding ? $t('kit.close') : $t('kit.add_a_piece') }}</BButton
          >
        </div>
      </div>
      <section v-if="overdue.length > 0" class="due" aria-labelledby="due-title">
        <h2 id="due-title">{{ $t('kit.to_see_to_before_the') }}</h2>
        <ul>
          <li v-for="i in overdue" :key="i.id">
            <strong
              >{{ kitKinds[i.kind] }}<span v-if="i.name" dir="auto">, {{ i.name }}</span></strong
            >: {{ i.words }}.
          </li>
        </ul>
      </section>
      <KitForm v-if="adding" :kit="kit" @kept="adding = false" />
      <div v-if="kit.items.length === 0 && !adding" class="empty">
        <h2>{{ $t('kit.nothing_in_the_kit_yet') }}</h2>
        <p>{{ $t('kit.say_what_you_work_with') }}</p>
      </div>
      <section v-for="s in filled" :key="s.shelf" class="section" :aria-labelledby="`shelf-${s.shelf}`">
        <h2 :id="`shelf-${s.shelf}`">{{ shelves[s.shelf] }}</h2>
        <ul>
          <KitRow v-for="i in s.items" :key="i.id" :item="i" :kit="kit" />
        </ul>
      </section>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
  max-width: 46rem;
}
.due {
  background: var(--caution-ground);
  border-left: var(--bar) solid var(--caution-edge);
  padding: 0.6rem 0.9rem;
}
.due h2 {
  font-size: 1rem;
}
.empty {
  max-width: 36rem;
  padding: 2rem 0;
}
</style>
