<script setup lang="ts">
import { watch } from 'vue'
import { useRouter } from 'vue-router'
import { useUnderWay } from '../api/queries'
import { $t } from '../i18n'
import AnswerState from '../parts/AnswerState.vue'

/** The sitting that is under way; when there is none, Due, where one begins. */
const router = useRouter()
const { data, error, refetch } = useUnderWay()
watch(
  data,
  due => {
    const row = due?.dogs[0]
    if (due) void router.replace(row ? `/dogs/${row.dog_id}/bench/${row.open_sitting}` : '/')
  },
  { immediate: true },
)
</script>

<template>
  <div class="screen"><AnswerState :error="error" :what="$t('bench.the_bench')" @again="refetch()" /></div>
</template>
