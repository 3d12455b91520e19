<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { useDog, useWithdrawSitting } from '../api/queries'
import { fullDayOf } from '../dates'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import RankPicture from '../rank/RankPicture.vue'
import { useUnits } from '../units'
import DogNext from './dog/DogNext.vue'

const props = defineProps<{ dogId: string; sittingId: string }>()
const router = useRouter()
const { length } = useUnits()
const { data, error: unread, refetch } = useDog(() => props.dogId)
const { mutate, isPending, error } = useWithdrawSitting(() => props.dogId)
const sitting = computed(() => data.value?.sittings.find((s) => s.id === props.sittingId))
const takeBack = () => mutate(props.sittingId, { onSuccess: () => router.replace(`/dogs/${props.dogId}`) })
</script>

<template>
  <div class="screen saved">
    <AnswerState v-if="!data" :error="unread" what="this dog" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1><span dir="auto">{{ data.dog.name }}</span> is done</h1>
          <p v-if="sitting" class="soft lead" role="status">
            Saved: {{ fullDayOf(sitting.on) }}, {{ sitting.nails }} nails cut, at most {{ length.show(sitting.removed_mm) }} off one.
            <template v-if="sitting.blood.length > 0"> Bled: {{ sitting.blood.join(', ') }}: keep an eye on it; bleeding that comes back is a veterinarian’s matter.</template>
          </p>
        </div>
        <RouterLink to="/" class="btn btn-go btn-big">Next dog</RouterLink>
      </div>
      <DogNext :next="data.next" :days="data.next_in_days" :why-none="data.why_none" />
      <div class="after"><RankPicture :rank="data.rank" size="medium" /></div>
      <RefusalNote :error="error" />
      <div class="ways">
        <RouterLink :to="`/dogs/${dogId}`" class="btn btn-plain"><span>Open <bdi>{{ data.dog.name }}</bdi></span></RouterLink>
        <BButton variant="plain" :disabled="isPending" @click="takeBack">Take this sitting back</BButton>
      </div>
    </template>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; max-width: 44rem; }
.after { margin-block: 1.25rem; overflow-x: auto; }
.ways { display: flex; flex-wrap: wrap; gap: 0.75rem; }
</style>
