<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { reactions, signs } from '../../words'

/** How a try was taken, in one press each, with what shows it. */
defineProps<{ disabled: boolean }>()
const emit = defineEmits<{ tell: [reaction: Schemas['Reaction']] }>()
</script>

<template>
  <div class="reactions" role="group" :aria-label="$t('ladder.how_it_took_this_try')">
    <button
      v-for="(words, r, i) in reactions"
      :key="r"
      type="button"
      :class="r"
      :disabled="disabled"
      @click="emit('tell', r)"
    >
      <kbd>{{ i + 1 }}</kbd><strong>{{ words }}</strong
      ><span class="small">{{ signs[r] }}</span>
    </button>
  </div>
</template>

<style scoped>
.reactions {
  display: grid;
  gap: 0.5rem;
  grid-template-columns: repeat(5, minmax(0, 1fr));
}
.reactions button {
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  border-left-width: calc(var(--bar) * 2);
  border-radius: 3px;
  color: var(--ink);
  display: flex;
  flex-direction: column;
  gap: 0.1rem;
  justify-content: center;
  line-height: 1.2;
  min-height: 92px;
  padding: 0.4rem;
  text-align: left;
}
.reactions button:hover {
  border-color: var(--ink);
}
.reactions .calm {
  border-left-color: var(--go);
}
.reactions .fighting,
.reactions .snapping {
  border-left-color: var(--vet-edge);
}
.reactions kbd {
  align-self: flex-start;
}
.reactions strong {
  font-size: 1.1rem;
}
@media (max-width: 900px) {
  .reactions {
    grid-template-columns: minmax(0, 1fr);
  }
  .reactions button {
    align-items: center;
    flex-direction: row;
    gap: 0.75rem;
    justify-content: flex-start;
    min-height: 64px;
  }
  .reactions .small {
    margin-left: auto;
  }
}
</style>
