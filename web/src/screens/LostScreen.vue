<script setup lang="ts">
import { $t } from '../i18n'
</script>

<template>
  <div class="screen">
    <h1>{{ $t('app.nothing_here') }}</h1>
    <p>
      {{ $t('app.this_address_belongs_to_no') }} <RouterLink to="/">{{ $t('app.go_to_due') }}</RouterLink>
    </p>
  </div>
</template>
