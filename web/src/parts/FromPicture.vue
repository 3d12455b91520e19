<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import type { Schemas } from '../api/client'
import { $t } from '../i18n'
import type { Target } from '../local/photo'

/** To where this nail is read off a picture, and its numbers come back here. */
const props = defineProps<{ code: Schemas['NailCode']; to: Target }>()
const route = useRoute()
const path = computed(() => ({
  path: `/dogs/${String(route.params.dogId)}/photo/${props.code}`,
  query: { to: props.to, sitting: route.params.sittingId as string | undefined },
}))
</script>

<template>
  <RouterLink :to="path" class="from-picture">{{ $t('parts.from_a_picture') }}</RouterLink>
</template>

<style scoped>
.from-picture {
  align-content: center;
  min-height: 44px;
}
</style>
