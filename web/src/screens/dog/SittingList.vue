<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useWithdrawSitting } from '../../api/queries'
import { fullDayOf } from '../../dates'
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
  <section aria-label="Trims">
    <p v-if="sittings.length === 0" class="soft">None recorded yet.</p>
    <div v-else class="scroll-sideways" tabindex="0" role="region" aria-label="Trims">
      <table>
        <thead><tr><th>day</th><th class="number">nails cut</th><th class="number">most off one</th><th>blood</th><th>how it went</th><th>note</th><th><span class="visually-hidden">delete</span></th></tr></thead>
        <tbody>
          <tr v-for="s in shown" :key="s.id">
            <td class="nowrap">{{ fullDayOf(s.on) }}</td>
            <td class="number">{{ s.nails }}</td>
            <td class="number">{{ s.removed_mm > 0 ? length.show(s.removed_mm) : s.nails > 0 ? 'not counted' : '–' }}</td>
            <td>{{ s.blood.join(' ') || '–' }}</td>
            <td>{{ reactionOf(s.worst_reaction) }}<span v-if="s.arrival" class="soft small arrived">{{ arrivalOf(s.arrival) }}</span></td>
            <td dir="auto">{{ s.note }}</td>
            <td class="take">
              <BButton variant="plain" size="sm" :disabled="isPending" :aria-label="`Delete the trim of ${fullDayOf(s.on)}`" @click="mutate(s.id)">Delete</BButton>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <RefusalNote :error="error" />
    <BButton v-if="sittings.length > few && !all" variant="plain" class="more" @click="all = true">All {{ sittings.length }} trims</BButton>
  </section>
</template>

<style scoped>
.take { text-align: right; white-space: nowrap; }
.arrived { display: block; }
.more { margin-top: 0.75rem; }
</style>
