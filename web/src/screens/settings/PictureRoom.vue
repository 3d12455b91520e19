<script setup lang="ts">
import { usePicturesKept } from '../../api/pictures'
import { $t } from '../../i18n'
import { decimal } from '../../i18n/language'

/** What the pictures take, and where they are. */
const { data } = usePicturesKept()
</script>

<template>
  <section v-if="data" class="section" aria-labelledby="room-title">
    <h2 id="room-title">{{ $t('settings.pictures') }}</h2>
    <p class="says">
      <template v-if="data.pictures === 0">{{ $t('settings.none_are_kept') }}</template><template v-else
        ><strong>{{ data.pictures }}</strong> {{ $t('settings.picture_takes_pictures_take', data.pictures) }}
        <strong>{{ $t('settings.mb', { bytes: decimal(data.bytes / 1e6, 1) }) }}</strong>.</template
      >
      {{ $t('settings.they_are_files_in') }} <code>{{ data.place }}</code>{{ $t('settings.without_place_and_time_of') }}
    </p>
  </section>
</template>

<style scoped>
.says {
  max-width: 46rem;
}
.says code {
  overflow-wrap: anywhere;
}
</style>
