<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { useUnits } from '../../units'
import NailUnderHands from './NailUnderHands.vue'

/** A nail that nothing is asked of: why, and how the sitting goes on. */
defineProps<{
  nail: Schemas['BenchNail']
  closed: boolean
  /** It was clipped, and a grinder is in hand. */
  grindable: boolean
  next: { words: string; does: () => void }
}>()
const emit = defineEmits<{ cut: [mm: number]; takeUp: [] }>()
const { length } = useUnits()
</script>

<template>
  <NailUnderHands :nail="nail" />
  <p class="why">
    {{
      closed
        ? nail.blood
          ? $t('bench.it_bled_done_for_today')
          : nail.done
            ? $t('bench.done')
            : $t('bench.left_out')
        : nail.advice.because
    }}.
    <button
      v-if="!closed && nail.advice.kind === 'leave' && nail.advice.cut_mm > 0"
      type="button"
      class="anyway"
      @click="emit('cut', nail.advice.cut_mm)"
    >
      {{ $t('bench.take_all_the_same', { cut: length.show(nail.advice.cut_mm) }) }}
    </button>
  </p>
  <BButton v-if="grindable" variant="plain" class="act taken-up" @click="emit('takeUp')">{{
    $t('bench.shorten_it_with_the_grinder')
  }}</BButton>
  <BButton variant="go" class="next" @click="next.does"
    >{{ next.words }} <kbd>{{ $t('bench.space') }}</kbd></BButton
  >
</template>

<style scoped>
.why {
  margin: 0.25rem 0 0.5rem;
}
/* Written within sentences elsewhere. */
.why::first-letter {
  text-transform: uppercase;
}
.anyway {
  background: none;
  border: 0;
  color: var(--go);
  min-height: 44px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.taken-up {
  line-height: 1.2;
  margin-bottom: 0.4rem;
  min-height: 64px;
  width: 100%;
}
.next {
  font-size: 1.5rem;
  min-height: 84px;
  width: 100%;
}
@media (max-width: 900px) {
  .next {
    font-size: 1.375rem;
    min-height: 72px;
  }
  .why {
    font-size: var(--small);
  }
}
</style>
