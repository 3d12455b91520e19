<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { useNarrow } from '../../local/narrow'
import { spoken } from '../../local/speech'
import CautionList from '../../parts/CautionList.vue'
import RankPicture from '../../rank/RankPicture.vue'
import HoldPicture from '../ready/HoldPicture.vue'
import HoldWords from '../ready/HoldWords.vue'

/** What stands beside the nail in hand: all nails as a rank, how many are to go, how the paw is held, what to mind. */
const props = defineProps<{
  bench: Schemas['Bench']
  code: string
  marks: Record<string, string>
  counts: { done: number; left: number }
  /** Whether there was time to draw the rank. */
  ranked: boolean
  enough: string
}>()
const emit = defineEmits<{ select: [code: string]; end: [calmly: boolean] }>()
const narrow = useNarrow()
const paw = computed(() => props.code.slice(0, 2))
const hold = computed(() => props.bench.holds.find(h => h.paw === paw.value))
</script>

<template>
  <div class="side">
    <RankPicture
      v-if="bench.rank_before && ranked"
      :rank="bench.rank_before"
      :size="narrow ? 'narrow' : 'medium'"
      stacked
      :selected="code"
      :marks="marks"
      @select="emit('select', $event)"
    />
    <p class="tally" aria-live="polite">
      <strong>{{ counts.done }}</strong> {{ $t('bench.done_2') }} <strong>{{ counts.left }}</strong>
      {{ $t('bench.to_go_today') }}
    </p>
    <details v-if="hold" class="hold" :open="!narrow">
      <summary>{{ $t('bench.how_is_held', { paw }) }}</summary>
      <HoldPicture :hold="hold" />
      <p class="small">{{ bench.support.says }}</p>
      <HoldWords :hold="hold" />
    </details>
    <CautionList :cautions="bench.cautions" />
    <details class="hold" :open="!narrow">
      <summary>{{ $t('bench.mind_with_this_tool') }}</summary>
      <ul class="mind small">
        <li v-for="words in bench.mind" :key="words">{{ words }}</li>
      </ul>
    </details>
    <BButton v-if="!narrow" variant="plain" class="btn-big" @click="emit('end', false)">{{ enough }}</BButton>
    <BButton v-if="bench.calmly && counts.done > 0" variant="plain" class="calmly" @click="emit('end', true)">{{
      $t('bench.it_was_calm_throughout_end')
    }}</BButton>
    <BButton variant="plain" :aria-pressed="spoken" class="voice" @click="spoken = !spoken">{{
      spoken ? $t('bench.speaks') : $t('bench.silent')
    }}</BButton>
  </div>
</template>

<style scoped>
.side {
  align-self: start;
}
.side .btn {
  width: 100%;
}
.hold summary {
  align-items: center;
  color: var(--ink-soft);
  cursor: pointer;
  display: flex;
  font-weight: 600;
  min-height: 44px;
}
.hold summary::before {
  content: '▸';
  margin-right: 0.4rem;
}
.hold[open] summary::before {
  content: '▾';
}
.mind {
  color: var(--ink-soft);
  margin-top: 0.5rem;
}
.mind li {
  border-left: var(--bar) solid var(--caution-edge);
  margin-bottom: 0.25rem;
  padding-left: 0.6rem;
}
.tally {
  margin: 0.75rem 0;
}
.voice,
.calmly {
  margin-top: 0.5rem;
}
</style>
