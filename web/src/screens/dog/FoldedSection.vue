<script setup lang="ts">
import { ref } from 'vue'
import { kept } from '../../local/kept'

/**
 * A section that is closed until somebody opens it, and stays as it was left, on every dog; closed, it says itself in
 * one line.
 */
const props = defineProps<{ name: string; title: string; line: string }>()
const store = kept<boolean>(`fribbet-dog-${props.name}`)
const open = ref(store.read() ?? false)
function toggled(event: Event) {
  open.value = (event.target as HTMLDetailsElement).open
  store.keep(open.value)
}
</script>

<template>
  <details class="fold" :open="open" @toggle.self="toggled">
    <summary>
      <h2>{{ title }}</h2>
      <span class="soft line">{{ line }}</span>
    </summary>
    <slot v-if="open" />
  </details>
</template>

<style scoped>
.fold {
  border-top: 1px solid var(--line-strong);
  margin-top: 0.5rem;
  padding-top: 0.25rem;
}
summary {
  align-items: baseline;
  cursor: pointer;
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.75rem;
  list-style: none;
  min-height: 44px;
  padding-block: 0.5rem;
}
summary::before {
  color: var(--go);
  content: '▸';
}
.fold[open] > summary::before {
  content: '▾';
}
summary h2 {
  font-size: 1.125rem;
  margin: 0;
}
.line {
  flex: 1;
  min-width: 8rem;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
