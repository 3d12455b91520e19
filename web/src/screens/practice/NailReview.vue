<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { drawn } from '../../api/practice'
import { $t } from '../../i18n'
import { useUnits } from '../../units'
import { faces } from '../../words'
import BloodClock from './BloodClock.vue'

/** A nail that is done: how it went, and each choice beside what the advice was then. */
const props = defineProps<{ nail: Schemas['PracticeGame'] }>()
const { length } = useUnits()
type Step = Schemas['PracticeStep']
const done = (s: Step) =>
  s.stop
    ? $t('practice.you_stopped')
    : s.look
      ? $t('practice.you_looked')
      : $t('practice.you_cut', { mm: length.value.show(s.mm ?? 0) })
const advised = (s: Step) =>
  s.advice === 'sliver'
    ? $t('practice.cut_2', { advice: length.value.show(s.advice_mm ?? 0) })
    : s.advice === 'ask'
      ? $t('practice.look_from_below_first')
      : $t('practice.stop')
const steps = computed(() => props.nail.steps)
/** What the end showed that a step was decided on. */
const shown = (i: number) =>
  steps.value
    .slice(0, i)
    .reverse()
    .find(s => s.picture)
</script>

<template>
  <div>
    <p v-for="line in nail.says" :key="line.key" class="says" role="status">{{ line.says }}</p>
    <ol class="steps">
      <li v-for="(s, i) in steps" :key="i">
        <img v-if="shown(i)" :src="drawn(shown(i)!.picture!)" alt="" width="44" height="44" /><span
          v-else
          class="none"
        />
        <div>
          <div>
            <template v-if="shown(i)">{{ faces[shown(i)!.face!] }}: </template>{{ done(s)
            }}<template v-if="s.chance">{{ $t('practice.to_bleed', { chance: s.chance }) }}</template>
          </div>
          <div class="small soft">
            {{ $t('practice.the_advice', { s: advised(s) }) }}<template v-if="s.because"> ({{ s.because }})</template
            ><template v-if="s.best_mm !== undefined && !s.look">
              ·
              {{
                $t('practice.best_play', {
                  s: s.best_mm > 0 ? $t('practice.cut_2', { advice: length.show(s.best_mm) }) : $t('practice.stop'),
                })
              }}</template
            >
          </div>
        </div>
      </li>
    </ol>
    <BloodClock v-if="nail.bled" />
  </div>
</template>

<style scoped>
.says {
  font-size: 1.25rem;
  font-weight: 650;
  margin-bottom: 0.75rem;
}
.steps {
  list-style: none;
  margin: 0;
  padding: 0;
}
.steps li {
  align-items: center;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 0.75rem;
  grid-template-columns: 44px minmax(0, 1fr);
  padding-block: 0.4rem;
}
.steps img {
  border-radius: 50%;
}
.none {
  border: 1px dashed var(--line-strong);
  border-radius: 50%;
  height: 44px;
  width: 44px;
}
</style>
