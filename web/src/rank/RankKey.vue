<script setup lang="ts">
import { $t } from '../i18n'
</script>

<template>
  <!-- What the rank's marks mean, in the order in which the eye meets them. -->
  <ul class="rank-key">
    <li><span class="swatch quick" />{{ $t('rank.quick') }}</li>
    <li><span class="swatch unsure" />{{ $t('rank.may_be_quick') }}</li>
    <li><span class="swatch spare" />{{ $t('rank.safe_to_trim') }}</li>
    <li><span class="swatch touch" />{{ $t('rank.on_the_floor') }}</li>
    <li><span class="swatch guess" />{{ $t('rank.dashed_edge_or_floor_assumed') }}</li>
  </ul>
</template>
