<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDue } from '../api/queries'
import { $t } from '../i18n'
import { kept } from '../local/kept'

/** The demonstration’s first minute: one dog’s morning in five steps, passed by a press, and never shown again. */
const store = kept<number>('fribbet-first-minute')
const at = ref(store.read() ?? 0)
watch(at, step => store.keep(step))
const route = useRoute()
const router = useRouter()
const { data } = useDue('')
const first = computed(() => data.value?.pages[0]?.dogs.find(d => !d.open_sitting)?.dog_id)
const steps = computed(() => [
  { to: '/', words: $t('parts.who_is_due_stands_first') },
  { to: `/dogs/${first.value}`, words: $t('parts.one_dog_the_paws_as') },
  { to: `/dogs/${first.value}/ready`, words: $t('parts.before_you_begin_in_which') },
  { to: '/bench', words: $t('parts.at_the_table_with_one') },
  { to: '/today', words: $t('parts.a_groomers_day_who_is') },
])
const step = computed(() => steps.value[at.value])
const last = computed(() => at.value === steps.value.length - 1)
const pass = () => (at.value = steps.value.length)
const show = (n: number) => {
  at.value = n
  void router.push(steps.value[n]!.to)
}
</script>

<template>
  <aside
    v-if="first && step && (at > 0 || route.path === '/')"
    class="minute"
    :aria-label="$t('parts.the_first_minute')"
  >
    <span
      ><strong>{{ $t('parts.of_2', { at: at + 1, n: steps.length }) }}</strong> · {{ step.words }}</span
    >
    <span class="ways"
      ><BButton v-if="!last" variant="go" size="sm" @click="show(at + 1)">{{ $t('parts.next') }}</BButton
      ><BButton variant="plain" size="sm" @click="pass">{{ last ? $t('parts.done') : $t('parts.skip') }}</BButton></span
    >
  </aside>
</template>

<style scoped>
.minute {
  align-items: center;
  border-bottom: 1px dashed var(--line-strong);
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 1rem;
  justify-content: space-between;
  padding: 0.4rem 2rem;
}
.ways {
  display: flex;
  gap: 0.5rem;
}
@media (max-width: 700px) {
  .minute {
    padding-inline: 1rem;
  }
}
@media print {
  .minute {
    display: none;
  }
}
</style>
