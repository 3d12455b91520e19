<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Schemas } from '../../api/client'
import { useAddPicture } from '../../api/pictures'
import { $t } from '../../i18n'

/** A picture of the cut end, in one press: a card to practise on, whose answer is what the next slice shows. */
const props = defineProps<{ dogId: string; sittingId: string; nail: Schemas['BenchNail'] }>()
const add = useAddPicture(() => props.dogId)
const taken = ref<File>()
const keep = () => {
  const { code, cuts } = props.nail
  if (taken.value)
    add.mutate({
      file: taken.value,
      paw: code.slice(0, 2) as Schemas['Paw'],
      end: { code, sitting_id: props.sittingId, cuts: cuts.length },
    })
}
function choose(event: Event) {
  taken.value = (event.target as HTMLInputElement).files?.[0]
  keep()
}
watch([() => props.nail.code, () => props.nail.cuts.length], () => {
  taken.value = undefined
  add.reset()
})
</script>

<template>
  <p class="end small">
    <span v-if="add.isSuccess.value" role="status">{{ $t('bench.picture_is_kept') }}</span>
    <template v-else>
      <label class="btn btn-plain"
        >{{ add.isPending.value ? $t('bench.keeping_it') : $t('bench.picture_of_this_end')
        }}<input
          type="file"
          accept="image/*"
          capture="environment"
          class="visually-hidden"
          :disabled="add.isPending.value"
          @change="choose"
      /></label>
      <span v-if="add.isError.value" role="alert">
        {{ $t('bench.picture_is_not_kept') }}
        <button type="button" class="btn btn-plain" @click="keep">{{ $t('bench.try_again') }}</button></span
      >
    </template>
  </p>
</template>

<style scoped>
.end {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  margin: 0.5rem 0 0;
}
.btn:focus-within {
  outline: 3px solid var(--go);
  outline-offset: 2px;
}
</style>
