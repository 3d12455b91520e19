<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { useWholeHindsight } from '../api/hindsight'
import { momentOf } from '../dates'
import { $t } from '../i18n'
import AnswerState from '../parts/AnswerState.vue'
import HindsightSaid from '../parts/HindsightSaid.vue'
import OwnUsual from '../parts/OwnUsual.vue'

/** The same of all dogs together, worked out in the background. */
const { data, error, refetch, anew } = useWholeHindsight()
</script>

<template>
  <div class="screen hindsight">
    <AnswerState v-if="!data" :error="error" :what="$t('hindsight.how_right_it_was')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>{{ $t('hindsight.how_right_was_it') }}</h1>
          <p class="soft lead">{{ $t('hindsight.all_your_dogs_together_each') }}</p>
        </div>
      </div>
      <p v-if="data.progress" role="status">
        {{ $t('hindsight.working_it_out_of_dogs', { done: data.progress.done, all: data.progress.all })
        }}<progress :value="data.progress.done" :max="data.progress.all" />
      </p>
      <p v-else-if="data.at" class="small soft">
        {{ $t('hindsight.from_dogs_worked_out', { dogs: data.dogs, at: momentOf(data.at) })
        }}<template v-if="data.skipped > 0">{{
          $t('hindsight.could_not_be_worked_out', { skipped: data.skipped })
        }}</template
        >. <BButton variant="plain" @click="anew">{{ $t('hindsight.work_it_out_anew') }}</BButton>
      </p>
      <HindsightSaid v-if="data.said" :data="data.said" />
      <OwnUsual v-if="data.own.length > 0" :own="data.own" />
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
progress {
  accent-color: var(--go);
  display: block;
  margin-top: 0.5rem;
  width: min(24rem, 100%);
}
</style>
