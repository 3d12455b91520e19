<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { fullDayOf } from '../../dates'
import { $t } from '../../i18n'
import { reactions } from '../../words'

/** What was done and how it went, day by day, the latest first. */
const props = defineProps<{ ladder: Schemas['Ladder']; busy: boolean }>()
defineEmits<{ withdraw: [id: string] }>()
const moves: Record<Schemas['Move'], string> = { up: $t('ladder.up'), stay: '', down: $t('ladder.down') }
const few = 12
const all = ref(false)
const shown = computed(() => (all.value ? props.ladder.journal : props.ladder.journal.slice(0, few)))
</script>

<template>
  <section class="section" aria-labelledby="journal-title">
    <h2 id="journal-title">{{ $t('ladder.journal') }}</h2>
    <p v-if="ladder.journal.length === 0" class="soft">{{ $t('ladder.nothing_tried_yet') }}</p>
    <div v-else class="scroll-sideways" tabindex="0" role="region" aria-labelledby="journal-title">
      <table>
        <thead>
          <tr>
            <th>{{ $t('ladder.day') }}</th>
            <th>{{ $t('ladder.step_2') }}</th>
            <th>{{ $t('ladder.how_it_went') }}</th>
            <th>{{ $t('ladder.paw') }}</th>
            <th>{{ $t('ladder.came_to') }}</th>
            <th>{{ $t('ladder.note') }}</th>
            <th>
              <span class="visually-hidden">{{ $t('ladder.delete') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(e, i) in shown" :key="e.id">
            <td class="nowrap">{{ i === 0 || shown[i - 1]?.on !== e.on ? fullDayOf(e.on) : '' }}</td>
            <td>{{ e.step + 1 }}. {{ ladder.steps[e.step]?.words }}</td>
            <td>{{ reactions[e.reaction] }}</td>
            <td>{{ e.paw ?? '' }}</td>
            <td class="nowrap">{{ moves[e.move] }}</td>
            <td dir="auto">{{ e.note }}</td>
            <td class="take">
              <BButton
                v-if="e.on === ladder.journal[0]?.on"
                variant="plain"
                size="sm"
                :disabled="busy"
                :aria-label="$t('ladder.delete_the_try_of', { on: fullDayOf(e.on), reaction: reactions[e.reaction] })"
                @click="$emit('withdraw', e.id)"
                >{{ $t('ladder.delete_2') }}</BButton
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <BButton v-if="ladder.journal.length > few && !all" variant="plain" class="more" @click="all = true">{{
      $t('ladder.all_tries', { n: ladder.journal.length })
    }}</BButton>
  </section>
</template>

<style scoped>
.take {
  padding-block: 0;
  text-align: right;
  white-space: nowrap;
}
.take .btn {
  min-height: 32px;
}
.more {
  margin-top: 0.75rem;
}
</style>
