<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'

/** Dewclaws that a dog can have and this one is not known to. */
const props = defineProps<{ had: Schemas['NailCode'][] }>()
const more = defineModel<Schemas['Look'][]>({ required: true })
const absent = computed(() =>
  (['LF1', 'RF1', 'LH1', 'LH1b', 'RH1', 'RH1b'] as const).filter(c => !props.had.includes(c)),
)
const isMore = (code: string) => more.value.some(l => l.code === code)
function toggle(code: Schemas['NailCode']) {
  more.value = isMore(code) ? more.value.filter(l => l.code !== code) : [...more.value, { code, present: true }]
}
</script>

<template>
  <div v-if="absent.length > 0" class="choices more" role="group" :aria-label="$t('walk.dewclaws_that_are_there_too')">
    <span>{{ $t('walk.there_is_a_dewclaw_at') }}</span>
    <button v-for="code in absent" :key="code" type="button" :aria-pressed="isMore(code)" @click="toggle(code)">
      {{ code }}
    </button>
  </div>
</template>

<style scoped>
.more {
  align-items: center;
  margin-top: 0.5rem;
}
</style>
