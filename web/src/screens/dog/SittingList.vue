<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useWithdrawSitting } from '../../api/queries'
import { fullDayOf } from '../../dates'
import { $t } from '../../i18n'
import RefusalNote from '../../parts/RefusalNote.vue'
import { useUnits } from '../../units'
import { arrivalOf, reactionOf } from '../../words'

const props = defineProps<{ dogId: string; sittings: Schemas['SittingSummary'][] }>()
const { length } = useUnits()
const { mutate, isPending, error } = useWithdrawSitting(() => props.dogId)
const few = 6
const all = ref(false)
const shown = computed(() => (all.value ? props.sittings : props.sittings.slice(0, few)))
</script>

<template>
  <section :aria-label="$t('dog.trims')">
    <p v-if="sittings.length === 0" class="soft">{{ $t('dog.none_recorded_yet_2') }}</p>
    <div v-else class="scroll-sideways" tabindex="0" role="region" :aria-label="$t('dog.trims')">
      <table>
        <thead>
          <tr>
            <th>{{ $t('dog.day') }}</th>
            <th class="number">{{ $t('dog.nails_cut') }}</th>
            <th class="number">{{ $t('dog.most_off_one') }}</th>
            <th>{{ $t('dog.blood') }}</th>
            <th>{{ $t('dog.how_it_went') }}</th>
            <th>{{ $t('dog.note') }}</th>
            <th>
              <span class="visually-hidden">{{ $t('dog.delete_2') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in shown" :key="s.id">
            <td class="nowrap">{{ fullDayOf(s.on) }}</td>
            <td class="number">{{ s.nails }}</td>
            <td class="number">
              {{ s.removed_mm > 0 ? length.show(s.removed_mm) : s.nails > 0 ? $t('dog.not_counted') : '–' }}
            </td>
            <td>{{ s.blood.join(' ') || '–' }}</td>
            <td>
              {{ reactionOf(s.worst_reaction)
              }}<span v-if="s.arrival" class="soft small arrived">{{ arrivalOf(s.arrival) }}</span>
            </td>
            <td dir="auto">{{ s.note }}</td>
            <td class="take">
              <BButton
                variant="plain"
                size="sm"
                :disabled="isPending"
                :aria-label="$t('dog.delete_the_trim_of', { on: fullDayOf(s.on) })"
                @click="mutate(s.id)"
                >{{ $t('dog.delete_3') }}</BButton
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <RefusalNote :error="error" />
    <BButton v-if="sittings.length > few && !all" variant="plain" class="more" @click="all = true">{{
      $t('dog.all_trims', { n: sittings.length })
    }}</BButton>
  </section>
</template>

<style scoped>
.take {
  text-align: right;
  white-space: nowrap;
}
.arrived {
  display: block;
}
.more {
  margin-top: 0.75rem;
}
</style>
