<script setup lang="ts">
import { useHindsight } from '../api/hindsight'
import { $t } from '../i18n'
import AnswerState from '../parts/AnswerState.vue'
import HindsightSaid from '../parts/HindsightSaid.vue'

/** How a dog's trims went, then what was said before each, beside what then was. */
const props = defineProps<{ dogId: string }>()
const { data, error, refetch } = useHindsight(() => props.dogId)
</script>

<template>
  <div class="screen hindsight">
    <AnswerState v-if="!data" :error="error" :what="$t('hindsight.how_right_it_was')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <p class="soft small crumb">
            <RouterLink :to="`/dogs/${dogId}`"
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
