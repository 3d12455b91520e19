<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'

/** The ladder itself, its first step at the bottom. */
defineProps<{ ladder: Schemas['Ladder'] }>()
</script>

<template>
  <ol class="rungs" reversed>
    <li
      v-for="(step, i) in [...ladder.steps].reverse()"
      :key="step.words"
      :class="{ now: ladder.steps.length - 1 - i === ladder.step, done: ladder.steps.length - 1 - i < ladder.step }"
      :aria-current="ladder.steps.length - 1 - i === ladder.step ? 'step' : undefined"
    >
      <span class="number">{{ ladder.steps.length - i }}</span>
      <span
        >{{ step.words
        }}<span v-if="ladder.steps.length - 1 - i < ladder.step" class="visually-hidden"
          >{{ ' ' }}{{ $t('ladder.behind_it') }}</span
        ></span
      >
      <span
        v-if="ladder.steps.length - 1 - i === ladder.step"
        class="streak"
        role="img"
        :aria-label="$t('ladder.of_calm', { streak: ladder.streak, needed: ladder.needed })"
        ><i v-for="n in ladder.needed" :key="n" :class="{ calm: n <= ladder.streak }"
      /></span>
    </li>
  </ol>
</template>

<style scoped>
.rungs {
  border-inline: 5px solid var(--line-strong);
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  align-items: center;
  border-bottom: 5px solid var(--line-strong);
  display: flex;
  gap: 0.6rem;
  line-height: 1.2;
  min-height: 40px;
  padding: 0.25rem 0.7rem;
}
.number {
  color: var(--ink-soft);
  min-width: 1.4rem;
  text-align: right;
}
li.done {
  background: repeating-linear-gradient(-45deg, var(--spare-ground) 0 4px, transparent 4px 9px);
}
li.now {
  border-bottom-color: var(--go);
  font-weight: 650;
}
.streak {
  display: inline-flex;
  gap: 4px;
  margin-left: auto;
}
.streak i {
  border: 2px solid var(--line-strong);
  border-radius: 50%;
  height: 14px;
  width: 14px;
}
.streak i.calm {
  background: var(--go);
  border-color: var(--go);
}
</style>
