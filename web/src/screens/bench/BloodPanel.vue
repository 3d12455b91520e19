<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, onMounted, useTemplateRef } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { useNailNames } from '../../local/nailNames'
import { useStopwatch } from '../../local/stopwatch'

const { name } = useNailNames()
/** What to do now, over the work, with its clock. */
const props = defineProps<{ nail: Schemas['BenchNail']; remedy: string; hold: number; stops: number }>()
const emit = defineEmits<{ stopped: []; bleeding: []; end: []; close: []; hide: [] }>()
const { seconds, clock } = useStopwatch()
const stopButton = useTemplateRef('stopButton')
const dialog = useTemplateRef('dialog')
onMounted(() => {
  dialog.value?.showModal() // the browser keeps the focus inside; Escape goes back to the nail
  ;(stopButton.value?.$el as HTMLElement | undefined)?.focus()
})
const now1 = computed(() => {
  if (props.nail.bleeding) return $t('bench.call_a_veterinarian_now_keep')
  if (seconds.value < props.hold) return $t('bench.hold_it_do_not_look')
  if (seconds.value < props.stops) return $t('bench.look_still_bleeding_powder_again')
  return $t('bench.four_minutes_and_it_still')
})
</script>

<template>
  <dialog ref="dialog" class="sheet" aria-labelledby="blood-title" @cancel.prevent="emit('hide')">
    <h2 id="blood-title">{{ $t('bench.bleeds_a_little_blood_goes', { code: name(nail.code) }) }}</h2>
    <ol>
      <li>{{ $t('bench.stay_calm_keep_the_dog') }}</li>
      <li>{{ remedy }}</li>
      <li>{{ $t('bench.hold_a_full_minute_look') }}</li>
    </ol>
    <p class="clock" role="timer">
      <strong>{{ clock }}</strong> {{ now1 }}
    </p>
    <div v-if="!nail.stopped && !nail.bleeding" class="acts">
      <BButton ref="stopButton" variant="go" class="btn-big" @click="emit('stopped')">{{
        $t('bench.it_stopped')
      }}</BButton>
      <BButton variant="plain" class="btn-big" @click="emit('bleeding')">{{ $t('bench.still_bleeding') }}</BButton>
    </div>
    <template v-else>
      <p>{{ $t('bench.is_done_for_today_and', { code: name(nail.code) }) }}</p>
      <div class="acts">
        <BButton variant="go" class="btn-big" @click="emit('end')">{{ $t('bench.end_the_trim') }}</BButton>
        <BButton variant="plain" class="btn-big" @click="emit('close')">{{
          $t('bench.go_on_with_another_nail')
        }}</BButton>
      </div>
    </template>
  </dialog>
</template>

<style scoped>
.sheet {
  background: var(--sheet);
  border: 0;
  border-left: calc(var(--bar) * 3) solid var(--vet-edge);
  color: var(--ink);
  margin: auto;
  max-height: calc(100% - 2rem);
  max-width: min(34rem, 100% - 2rem);
  overflow: auto;
  padding: 1.25rem 1.5rem;
}
.sheet::backdrop {
  background: rgb(0 0 0 / 60%);
}
h2 {
  font-size: 1.5rem;
}
ol {
  font-size: 1.125rem;
  margin: 0.75rem 0;
  padding-left: 1.4rem;
}
.clock {
  font-size: 1.125rem;
}
.clock strong {
  font-size: 2.25rem;
  margin-right: 0.5rem;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
}
</style>
