<script setup lang="ts">
import { useCalm, useLadders } from '../api/ladders'
import { inDays } from '../dates'
import { $t } from '../i18n'
import AnswerState from '../parts/AnswerState.vue'
import CalmerNote from '../parts/CalmerNote.vue'
import ReadyForecast from './ladder/ReadyForecast.vue'

const { data, error, refetch } = useLadders()
const { data: calm } = useCalm()
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" :what="$t('ladder.the_ladders')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>{{ $t('ladder.ladder_2') }}</h1>
          <p class="soft lead">{{ $t('ladder.dogs_that_are_being_got') }}</p>
        </div>
      </div>
      <div v-if="data.ladders.length === 0" class="empty">
        <h2>{{ $t('ladder.no_dog_is_on_a') }}</h2>
        <p>{{ $t('ladder.a_ladder_begins_on_a') }}</p>
        <RouterLink to="/" class="btn btn-go btn-big">{{ $t('ladder.choose_a_dog') }}</RouterLink>
      </div>
      <ul v-else>
        <li v-for="(l, i) in data.ladders" :key="l.dog_id + l.kind + (l.paw ?? '')" class="line">
          <div class="who">
            <RouterLink :to="`/dogs/${l.dog_id}`" class="name" dir="auto">{{ l.name }}</RouterLink>
            <div>{{ l.reason }}</div>
          </div>
          <div class="steps" role="img" :aria-label="$t('ladder.step_of', { step: l.step + 1, steps: l.steps })">
            <i v-for="n in l.steps" :key="n" :class="{ done: n <= l.step, now: n === l.step + 1 }" />
          </div>
          <ReadyForecast :ready="l.ready" />
          <div class="act">
            <span class="soft">{{ inDays(l.next_in_days) }}</span><RouterLink
              :to="`/dogs/${l.dog_id}/ladder`"
              :class="['btn', i === 0 ? 'btn-go btn-big' : 'btn-plain']"
              >{{ $t('ladder.train') }}<span class="visually-hidden"> {{ l.name }}</span></RouterLink
            >
          </div>
        </li>
      </ul>
      <section v-if="calm && calm.calmer.length > 0" class="calm" aria-labelledby="calm-title">
        <h2 id="calm-title">{{ $t('ladder.what_goes_with_calm_over') }}</h2>
        <p class="soft small">{{ $t('ladder.each_dog_is_compared_with') }}</p>
        <CalmerNote :calmer="calm.calmer" />
      </section>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.calm {
  margin-top: 2rem;
  max-width: 46rem;
}
.empty {
  max-width: 36rem;
  padding: 2rem 0;
}
.line {
  align-items: center;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 0.5rem 1.5rem;
  grid-template-columns: minmax(0, 1fr) 12rem minmax(0, 1.1fr) 12rem;
  padding-block: 0.75rem;
}
.name {
  color: var(--ink);
  font-size: 1.0625rem;
  font-weight: 650;
  overflow-wrap: anywhere;
  text-decoration: none;
}
.name:hover {
  color: var(--go);
  text-decoration: underline;
}
.steps {
  align-items: flex-end;
  display: flex;
  gap: 3px;
}
.steps i {
  border: 1px solid var(--line-strong);
  flex: 1;
  height: 14px;
}
.steps i.done {
  background: repeating-linear-gradient(-45deg, var(--spare) 0 3px, var(--spare-ground) 3px 6px);
}
.steps i.now {
  border: 2px solid var(--go);
  height: 22px;
}
.act {
  align-items: center;
  display: flex;
  gap: 0.75rem;
  justify-content: flex-end;
}

@media (max-width: 900px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
  .act {
    justify-content: space-between;
  }
}
</style>
