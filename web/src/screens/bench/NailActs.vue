<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { useNarrow } from '../../local/narrow'
import AppIcon from '../../parts/AppIcon.vue'
import { reactions } from '../../words'
import { clipped } from './nails'

/** What may be done with any nail at any time; on a phone undo, blood and the end stand under the thumb. */
const props = defineProps<{
  bench: Schemas['Bench']
  nail: Schemas['BenchNail']
  closed: boolean
  /** Paws of which every nail of today is closed. */
  finished: Schemas['Paw'][]
  grinding: boolean
  enough: string
}>()
const emit = defineEmits<{
  finish: []
  edges: []
  undo: []
  blood: []
  end: []
  ground: [paw: Schemas['Paw']]
  smooth: [paw: Schemas['Paw']]
  reaction: [reaction: Schemas['Reaction']]
}>()
const narrow = useNarrow()
const unsmoothed = computed(() => props.finished.filter(p => !props.bench.smooth.includes(p)))
const clippedOf = (p: Schemas['Paw']) => props.bench.nails.filter(n => n.code.startsWith(p) && clipped(n))
/** Paws that were clipped and are to be ground round: one press for all of a paw. */
const clippedPaws = computed(() => (props.grinding ? props.finished.filter(p => clippedOf(p).length > 0) : []))
const groundRound = (p: Schemas['Paw']) => clippedOf(p).every(n => n.ground)
</script>

<template>
  <div class="acts">
    <BButton variant="plain" class="act" :disabled="closed" @click="emit('finish')"
      >{{ nail.cuts.length > 0 ? $t('bench.stop_this_nail') : $t('bench.leave_out') }} <kbd>S</kbd></BButton
    >
    <BButton variant="plain" class="act" :disabled="nail.edged || closed" @click="emit('edges')"
      >{{ $t('bench.sides_and_top_2') }} <kbd>E</kbd></BButton
    >
    <template v-if="!narrow">
      <BButton variant="plain" class="act" :disabled="!bench.last" @click="emit('undo')"
        >{{ $t('bench.undo') }} <kbd>U</kbd></BButton
      >
      <BButton variant="plain" class="act drop" @click="emit('blood')"
        ><AppIcon name="blood" />{{ $t('bench.blood') }} <kbd>B</kbd></BButton
      >
    </template>
  </div>
  <div v-if="narrow" class="reach" role="group" :aria-label="$t('bench.always_in_reach')">
    <BButton variant="plain" class="act" :disabled="!bench.last" @click="emit('undo')">{{ $t('bench.undo') }}</BButton>
    <BButton variant="plain" class="act drop" @click="emit('blood')"
      ><AppIcon name="blood" />{{ $t('bench.blood') }}</BButton
    >
    <BButton variant="plain" class="act" @click="emit('end')">{{ enough }}</BButton>
  </div>
  <div v-if="clippedPaws.length > 0" class="smooth second" role="group" :aria-label="$t('bench.the_second_pass')">
    <BButton
      v-for="p in clippedPaws"
      :key="p"
      variant="plain"
      class="act"
      :disabled="groundRound(p)"
      @click="emit('ground', p)"
      >{{ groundRound(p) ? $t('bench.is_ground_round', { p }) : $t('bench.ground_round_all_of', { p }) }}</BButton
    >
  </div>
  <div v-if="unsmoothed.length > 0" class="smooth">
    <BButton v-for="p in unsmoothed" :key="p" variant="plain" class="act" @click="emit('smooth', p)">{{
      $t('bench.a_finger_round_every_end', { p })
    }}</BButton>
  </div>
  <div class="choices took" role="group" :aria-label="$t('bench.how_the_dog_was_about')">
    <button
      v-for="(words, r) in reactions"
      :key="r"
      type="button"
      :aria-pressed="nail.reaction === r"
      @click="emit('reaction', r)"
    >
      {{ words }}
    </button>
  </div>
</template>

<style scoped>
.acts {
  display: grid;
  gap: 0.4rem;
  grid-template-columns: repeat(4, 1fr);
  margin-block: 0.5rem;
}
.act {
  flex-wrap: wrap;
  gap: 0 0.4rem;
  line-height: 1.2;
  min-height: 64px;
  padding-inline: 0.3rem;
}
.drop {
  color: var(--quick-text);
}
.smooth {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  margin-bottom: 0.5rem;
}
.took {
  display: grid;
  gap: 0.3rem;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  margin: 0 0 0.35rem;
}
.took button {
  min-width: 0;
  padding-inline: 0.1rem;
}
/* On a phone under the thumb, wherever the page stands: over the bar of places. */
.reach {
  background: var(--sunk);
  border-top: 1px solid var(--line-strong);
  bottom: 60px;
  display: grid;
  gap: 0.4rem;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  left: 0;
  padding: 0.4rem;
  position: fixed;
  right: 0;
  z-index: 9;
}
.reach .act {
  min-height: 52px;
  min-width: 0;
  overflow-wrap: anywhere;
}
@media (max-width: 900px) {
  .acts {
    grid-template-columns: repeat(2, 1fr);
  }
  .took {
    grid-template-columns: repeat(auto-fit, minmax(5.5rem, 1fr));
  }
  .took button {
    font-size: 0.9rem;
  }
}
</style>
