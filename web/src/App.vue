<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useSettings, useUnderWay } from './api/queries'
import { momentOf } from './dates'
import { $t } from './i18n'
import { useGlobalKeys } from './local/keys'
import { printWhole } from './local/print'
import { placesOf } from './local/places'
import { onOpened, opening } from './local/opening'
import { seen } from './local/seen'
import AppIcon from './parts/AppIcon.vue'
import FirstMinute from './parts/FirstMinute.vue'
import OpeningBook from './parts/OpeningBook.vue'
import UndoBar from './parts/UndoBar.vue'
import WaitingLine from './parts/WaitingLine.vue'
import RankPatterns from './rank/RankPatterns.vue'

const route = useRoute()
const router = useRouter()
const { data: settings } = useSettings()
const cache = useQueryClient()
onOpened(() => void cache.resetQueries())
const groomer = computed(() => settings.value?.choices.role === 'groomer')
const { data: open } = useUnderWay()
/** The bench of the trim that is under way. */
const underWay = computed(() => {
  const row = open.value?.dogs[0]
  return row?.open_sitting ? `/dogs/${row.dog_id}/bench/${row.open_sitting}` : undefined
})
const further = computed(() => placesOf(groomer.value).flatMap(p => (p.icon ? [{ ...p, icon: p.icon }] : [])))
const bare = computed(() => route.meta.bare === true)

// Nobody has said yet who uses the program: ask before anything else.
watch([settings, () => route.name], () => {
  if (settings.value?.choices.role === 'unset' && route.name !== undefined && route.name !== 'start')
    void router.replace('/start')
})

const KeysHelp = defineAsyncComponent(() => import('./parts/KeysHelp.vue'))
const helpOpen = ref(false)
const helpAsked = ref(false)
watch(helpOpen, () => (helpAsked.value = true))
printWhole()
useGlobalKeys(router, () => (helpOpen.value = true))
</script>

<template>
  <RankPatterns />
  <main v-if="opening" id="main"><OpeningBook /></main>
  <main v-else-if="bare" id="main"><RouterView /></main>
  <div v-else class="frame">
    <header class="frame-rule">
      <RouterLink to="/" class="mark"><img src="/mark.svg" alt="" />Fribbet</RouterLink>
      <nav :aria-label="$t('app.screens')">
        <RouterLink to="/" class="place"><AppIcon name="due" />{{ $t('app.due') }}</RouterLink>
        <RouterLink v-if="groomer" to="/today" class="place"><AppIcon name="today" />{{ $t('app.today') }}</RouterLink>
        <RouterLink v-if="underWay" :to="underWay" class="place"
          ><AppIcon name="bench" />{{ $t('app.bench') }}</RouterLink
        >
        <RouterLink v-for="p in further" :key="p.to" :to="p.to" class="place wide-only"
          ><AppIcon :name="p.icon" />{{ p.short }}</RouterLink
        >
        <RouterLink v-if="!groomer" to="/dogs/new" class="place narrow-only"
          ><AppIcon name="add" />{{ $t('app.add_dog') }}</RouterLink
        >
        <span class="spacer" />
        <RouterLink to="/settings" class="place wide-only"
          ><AppIcon name="settings" />{{ $t('app.settings_short') }}</RouterLink
        >
        <RouterLink to="/more" class="place narrow-only"><AppIcon name="more" />{{ $t('app.more') }}</RouterLink>
      </nav>
    </header>
    <main id="main" tabindex="-1">
      <p v-if="settings?.demo" class="demo-line">{{ $t('app.demonstration_invented_dogs_nothing_is') }}</p>
      <FirstMinute v-if="settings?.demo" />
      <p v-if="settings?.backup_trouble" class="demo-line" role="alert">
        {{ $t('app.the_nights_backup_was_not', { backup_trouble: settings.backup_trouble }) }}
        <RouterLink to="/settings">{{ $t('app.settings') }}</RouterLink>
      </p>
      <p v-if="seen" class="seen-line" role="status">
        <strong>{{ $t('app.fribbet_does_not_answer') }}</strong>
        {{ $t('app.this_is_what_was_last', { seen: momentOf(seen) }) }}
      </p>
      <WaitingLine />
      <RouterView :key="String(route.params.dogId ?? '')" />
    </main>
  </div>
  <UndoBar v-if="!bare" />
  <KeysHelp v-if="helpAsked" v-model="helpOpen" />
</template>
