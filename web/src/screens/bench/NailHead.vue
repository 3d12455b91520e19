<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { useUnits } from '../../units'
import { nailInWords } from '../../words'

/** Which nail is in hand, what came off it, and at which pace it is gone through. */
const props = defineProps<{ nail: Schemas['BenchNail']; pace: Schemas['Pace']; paces: boolean }>()
const emit = defineEmits<{ pace: [pace: Schemas['Pace']] }>()
const { length } = useUnits()
const inHand = computed(() => {
  const touches = props.nail.cuts.filter(c => c.touch).length
  const cuts = props.nail.cuts.length - touches
  const said = [
    cuts > 0 || touches === 0 ? `${cuts} ${$t('bench.cut_cuts', cuts)}` : '',
    touches > 0 ? `${touches} ${$t('bench.touch_touches', touches)}` : '',
  ]
  return said.filter(Boolean).join(', ')
})
</script>

<template>
  <div class="head">
    <span class="code">{{ nail.code }}</span><span
      >{{ nailInWords(nail.code)
      }}<span class="soft small off"
        ><template v-if="nail.cuts.length > 0">{{
          $t('bench.off', { inHand, removed: length.show(nail.removed_mm) })
        }}</template
        ><template v-if="nail.edged">{{ ' ' }}{{ $t('bench.sides_and_top') }}</template
        ><template v-if="nail.ground">{{ ' ' }}{{ $t('bench.ground_round') }}</template></span
      ></span
    >
    <button v-if="paces" type="button" class="pace" @click="emit('pace', pace === 'press' ? 'steps' : 'press')">
      {{ pace === 'press' ? $t('bench.step_by_step') : $t('bench.one_press_a_nail') }}
    </button>
  </div>
</template>

<style scoped>
.head {
  align-items: center;
  display: flex;
  gap: 0.9rem;
  line-height: 1.25;
}
.code {
  font-size: 2.25rem;
  font-weight: 700;
  line-height: 1;
  min-width: 5rem;
}
.off {
  display: block;
}
.pace {
  background: none;
  border: 0;
  color: var(--go);
  font-weight: 600;
  margin-left: auto;
  min-height: 44px;
  padding: 0;
  text-align: right;
  text-decoration: underline;
  text-underline-offset: 3px;
}
@media (max-width: 900px) {
  .code {
    font-size: 1.75rem;
    min-width: 4rem;
  }
}
</style>
