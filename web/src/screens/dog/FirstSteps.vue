<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { useNarrow } from '../../local/narrow'

/** How to begin with a dog whose feet nobody has told anything of: the best way first and largest. */
defineProps<{ dogId: string; name: string; steps: Schemas['FirstStep'][] }>()
const narrow = useNarrow()
const to = { ladder: 'ladder', walk: 'walk', nail: 'ready' }
</script>

<template>
  <section class="first-steps" aria-labelledby="first-steps-title">
    <h2 id="first-steps-title">
      {{ $t('dog.how_to_begin_with') }} <bdi>{{ name }}</bdi>
    </h2>
    <ul>
      <li v-for="(s, i) in steps" :key="s.way">
        <RouterLink :to="`/dogs/${dogId}/${to[s.way]}`" :class="['btn btn-big', i === 0 ? 'btn-go' : 'btn-plain']">{{
          s.words
        }}</RouterLink>
        <span v-if="!narrow">{{ s.why }}</span>
      </li>
    </ul>
    <details v-if="narrow">
      <summary>{{ $t('dog.why_in_this_order') }}</summary>
      <p v-for="s in steps" :key="s.way">
        <strong>{{ s.words }}.</strong> {{ s.why }}
      </p>
    </details>
  </section>
</template>

<style scoped>
.first-steps {
  border-left: var(--bar) solid var(--go);
  padding-left: 1rem;
}
summary {
  align-items: center;
  color: var(--go);
  cursor: pointer;
  display: flex;
  font-weight: 600;
  min-height: 44px;
}
h2 {
  font-size: 1.5rem;
  margin-bottom: 0.5rem;
}
li {
  align-items: center;
  display: grid;
  gap: 0.25rem 1rem;
  grid-template-columns: minmax(16rem, auto) minmax(0, 1fr);
  margin-bottom: 0.5rem;
}

@media (max-width: 900px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
