<script setup lang="ts">
import { $t } from '../i18n'
import { counted } from '../i18n/language'
import { opening } from '../local/opening'

/** Stands in place of every screen while the book is being opened. */
</script>

<template>
  <div class="opening" role="status">
    <h1>{{ $t('parts.opening_your_book') }}</h1>
    <template v-if="opening && opening.all > 0">
      <p>{{ $t('parts.an_earlier_version_of_fribbet', { done: counted(opening.done), all: counted(opening.all) }) }}</p>
      <progress :value="opening.done" :max="opening.all">
        {{ $t('parts.of_3', { done: opening.done, all: opening.all }) }}
      </progress>
    </template>
    <p v-else>{{ $t('parts.a_moment_nothing_needs_to') }}</p>
    <p class="soft">{{ $t('parts.what_you_save_meanwhile_waits') }}</p>
  </div>
</template>

<style scoped>
.opening {
  margin-inline: auto;
  max-width: 36rem;
  padding: 4rem 1rem;
}
.opening h1 {
  margin-bottom: 1rem;
}
progress {
  accent-color: var(--go);
  height: 1.25rem;
  width: 100%;
}
</style>
