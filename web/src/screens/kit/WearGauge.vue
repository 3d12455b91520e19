<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'

/** What is used of a limit, as a rule that fills up: its end is where the piece is due. */
const props = defineProps<{ item: Schemas['KitItem'] }>()
const share = computed(() => Math.min(1, props.item.used / (props.item.limit ?? Infinity)))
const unit = computed(() => (props.item.counts === 'cuts' ? $t('kit.cuts') : $t('kit.min')))
</script>

<template>
  <div class="gauge">
    <div class="rule" :class="item.level" aria-hidden="true">
      <div class="used" :style="{ width: `${share * 100}%` }" />
    </div>
    <div class="small">
      <template v-if="item.assumed">{{ $t('kit.about') }}{{ ' ' }}</template
      >{{ $t('kit.of', { used: Math.round(item.used), limit: Math.round(item.limit!), unit }) }}
      <span class="soft">· {{ item.told ? $t('kit.your_limit') : $t('kit.our_judgement') }}</span>
    </div>
  </div>
</template>

<style scoped>
.gauge {
  line-height: 1.2;
  max-width: 17rem;
}
.rule {
  background: repeating-linear-gradient(to right, var(--line-strong) 0 1px, transparent 1px 10%) 0 100% / 100% 5px
    no-repeat;
  border: 1px solid var(--line-strong);
  height: 12px;
  margin-bottom: 0.2rem;
}
.used {
  background: repeating-linear-gradient(-45deg, var(--spare) 0 3px, var(--spare-ground) 3px 7px);
  border-right: 2px solid var(--ink);
  height: 100%;
}
.overdue .used {
  background: var(--quick);
}
</style>
