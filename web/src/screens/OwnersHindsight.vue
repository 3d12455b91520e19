<script setup lang="ts">
import { useOwnersHindsight } from '../api/hindsight'
import { $t } from '../i18n'
import AnswerState from '../parts/AnswerState.vue'
import HindsightSaid from '../parts/HindsightSaid.vue'

/** An owner's dogs together. */
const props = defineProps<{ ownerId: string }>()
const { data, error, refetch } = useOwnersHindsight(() => props.ownerId)
</script>

<template>
  <div class="screen hindsight">
    <AnswerState v-if="!data" :error="error" :what="$t('hindsight.how_right_it_was')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <p class="soft small crumb">
            <RouterLink :to="`/owners/${ownerId}`"
              ><bdi>{{ data.name }}</bdi></RouterLink
            >
          </p>
          <h1>{{ $t('hindsight.how_right_was_it') }}</h1>
        </div>
      </div>
      <HindsightSaid :data="data" />
    </template>
  </div>
</template>
