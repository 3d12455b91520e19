<script setup lang="ts">
import { computed } from 'vue'
import { useSettings } from '../api/queries'
import { $t } from '../i18n'
import { placesOf } from '../local/places'

/** Everything that has no place in a phone’s bar. */
const { data } = useSettings()
const places = computed(() => [
  ...placesOf(data.value?.choices.role === 'groomer'),
  { to: '/hindsight', words: $t('app.how_right_was_it_all') },
  { to: '/chart', words: $t('app.paw_chart_to_print') },
  { to: '/settings', words: $t('app.settings') },
  { to: '/words', words: $t('app.what_the_words_mean') },
])
</script>

<template>
  <div class="screen">
    <div class="screen-head">
      <h1>{{ $t('app.more') }}</h1>
    </div>
    <nav :aria-label="$t('app.more')">
      <RouterLink v-for="p in places" :key="p.to" :to="p.to" class="line">{{ p.words }}</RouterLink>
    </nav>
    <p class="small soft about">
      {{ $t('app.fribbet_is_under_the_mit') }} <a href="/licences.txt">{{ $t('app.what_others_made_and_it') }}</a>.
      <a href="/api">{{ $t('app.for_programs') }}</a>.
    </p>
  </div>
</template>

<style scoped>
.line {
  align-items: center;
  border-top: 1px solid var(--line);
  color: var(--ink);
  display: flex;
  font-size: 1.0625rem;
  min-height: 56px;
  text-decoration: none;
}
.about {
  margin-top: 1.5rem;
}
.line:hover {
  color: var(--go);
}
</style>
