<script setup lang="ts">
import { $t } from '../i18n'
import { typedWith } from '../local/numberMode'
import { typedWiths } from '../words'
</script>

<template>
  <div class="choices" role="group" :aria-label="$t('parts.the_number_was_read')">
    <button
      v-for="(words, by) in typedWiths"
      :key="by"
      type="button"
      :aria-pressed="typedWith === by"
      @click="typedWith = by"
    >
      {{ words }}
    </button>
  </div>
</template>
