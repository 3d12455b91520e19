<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { kinds, useTogether, type Kind } from '../api/practice'
import { $t } from '../i18n'
import AnswerState from '../parts/AnswerState.vue'

/** The nails of one series, and how everybody decided: for a class. */
const props = defineProps<{ kind: string }>()
const route = useRoute()
const kind = computed(() => props.kind as Kind)
const seed = computed(() => Number(route.query.seed ?? 1))
const { data, error, refetch } = useTogether(kind, seed)
const people = computed(() => [...new Set(data.value?.nails.map(n => n.who) ?? [])])
const numbers = computed(() => [...new Set(data.value?.nails.map(n => n.number) ?? [])].sort((a, b) => a - b))
const of = (who: string, number: number) => data.value?.nails.find(n => n.who === who && n.number === number)
const link = computed(() => `${location.origin}/practice/${kind.value}?seed=${seed.value}&n=1`)
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" :what="$t('practice.this_series')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <p class="soft small crumb">
            <RouterLink to="/practice">{{ $t('practice.practice') }}</RouterLink>
          </p>
          <h1>
            {{ kinds[kind]?.words }} <span class="soft words">{{ $t('practice.series_2', { seed }) }}</span>
          </h1>
        </div>
      </div>
      <p>
        {{ $t('practice.whoever_opens_this_link_gets') }} <a :href="link">{{ link }}</a>
      </p>
      <p v-if="data.nails.length === 0" class="soft">{{ $t('practice.nobody_has_done_one_yet') }}</p>
      <div v-else class="scroll" role="region" tabindex="0" :aria-label="$t('practice.who_did_which_nail_how')">
        <table class="table">
          <thead>
            <tr>
              <th scope="col">{{ $t('practice.nail') }}</th>
              <th v-for="who in people" :key="who" scope="col">
                <bdi>{{ who || $t('practice.nobody_named') }}</bdi>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="n in numbers" :key="n">
              <th scope="row">{{ n }}</th>
              <td v-for="who in people" :key="who">
                <template v-if="of(who, n)"
                  >{{ of(who, n)!.says[0]?.says }}
                  <span class="soft small">{{ $t('practice.cuts', { cuts: of(who, n)!.cuts }) }}</span></template
                >
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
.table {
  max-width: 60rem;
}
</style>
