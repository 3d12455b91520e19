<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import type { Draft } from '../../local/drafts'

/** Which paws were ground round after they were clipped; asked of who has a grinder. */
const props = defineProps<{ kit?: Schemas['Kit']; ground?: Draft['ground'] }>()
const emit = defineEmits<{ ground: [ground: Draft['ground']] }>()
const paws: Schemas['Paw'][] = ['LF', 'RF', 'LH', 'RH']
const grinder = computed(() => props.kit?.items.find(i => i.tool?.startsWith('grinder')))
function turn(paw: Schemas['Paw']) {
  const was = props.ground?.paws ?? []
  const all = was.includes(paw) ? was.filter(p => p !== paw) : [...was, paw]
  const { tool, id } = grinder.value!
  emit('ground', all.length > 0 ? { paws: all, tool: tool!, item_id: id } : undefined)
}
</script>

<template>
  <div v-if="grinder" class="choices far" role="group" :aria-label="$t('record.ground_round_afterwards')">
    <span>{{ $t('record.ground_round_afterwards_2') }}</span>
    <button v-for="p in paws" :key="p" type="button" :aria-pressed="ground?.paws.includes(p) ?? false" @click="turn(p)">
      {{ p }}
    </button>
  </div>
</template>

<style scoped>
.far {
  align-items: center;
  margin-top: 0.5rem;
}
.far button {
  min-height: 56px;
}
</style>
