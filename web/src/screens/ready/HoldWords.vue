<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'

/** How one paw is held, in words; what keeps everybody safe stands out. */
defineProps<{ hold: Schemas['Hold'] }>()
</script>

<template>
  <div class="small">
    <p>{{ hold.place.says }} {{ hold.hands.says }} {{ hold.limb.says }} {{ hold.pull.says }}</p>
    <ul v-if="hold.safety.length > 0" class="safety" :aria-label="$t('ready.safety')">
      <li v-for="s in hold.safety" :key="s.key">{{ s.says }}</li>
    </ul>
  </div>
</template>

<style scoped>
p {
  margin: 0 0 0.35rem;
}
.safety {
  border-left: var(--bar) solid var(--caution-edge);
  list-style: none;
  margin: 0 0 0.35rem;
  padding-left: 0.6rem;
}
</style>
