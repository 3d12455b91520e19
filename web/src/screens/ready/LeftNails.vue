<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import AppIcon from '../../parts/AppIcon.vue'

/** Nails that no day of the plan holds, by whose matter they are and why. */
const props = defineProps<{ left: Schemas['LeftNail'][] }>()
const order: Schemas['Whose'][] = ['veterinarian', 'professional', 'training', 'nobody']
const groups = computed(() => {
  const found = new Map<string, { whose: Schemas['Whose']; why: string; codes: string[] }>()
  for (const l of props.left) {
    const key = `${l.whose} ${l.why}`
    if (!found.has(key)) found.set(key, { whose: l.whose, why: l.why, codes: [] })
    found.get(key)!.codes.push(l.code)
  }
  return [...found.values()].sort((a, b) => order.indexOf(a.whose) - order.indexOf(b.whose))
})
</script>

<template>
  <section v-if="groups.length > 0" aria-labelledby="left-title">
    <h2 id="left-title" class="visually-hidden">{{ $t('ready.left_out_2') }}</h2>
    <ul>
      <li v-for="g in groups" :key="g.whose + g.why" :class="g.whose">
        <AppIcon v-if="g.whose === 'veterinarian' || g.whose === 'professional'" name="vet" />
        <span
          ><strong>{{ g.codes.join(' ') }}</strong> {{ g.why }}</span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  align-items: baseline;
  display: flex;
  gap: 0.5rem;
  line-height: 1.35;
  padding-block: 0.2rem;
}
li.veterinarian,
li.professional {
  color: var(--quick-text);
  font-weight: 600;
}
.icon {
  align-self: center;
}
</style>
