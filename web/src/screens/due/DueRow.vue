<script lang="ts">
import { defineAsyncComponent } from 'vue'

/** Few rows are asked why. */
const WhyTable = defineAsyncComponent(() => import('../../parts/WhyTable.vue'))
</script>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { dayOf, inDays, shortDayOf } from '../../dates'
import { $t } from '../../i18n'
import AppIcon from '../../parts/AppIcon.vue'
import RankSmall from '../../rank/RankSmall.vue'
import DueStrip from './DueStrip.vue'

const props = defineProps<{ row: Schemas['DueRow']; first: boolean }>()
const open = ref(false)
const vet = computed(() => props.row.cautions.some(c => c.kind === 'veterinarian'))
const late = computed(() => props.row.standing === 'late')
const warnings = computed(() => props.row.cautions.filter(c => c.kind !== 'prepare'))
/** A late dog is due today. */
const day = computed(() => props.row.due && (late.value ? $t('due.today') : dayOf(props.row.due)))
const when = computed(() => {
  if (props.row.due === undefined || props.row.due_in_days === undefined) return $t('due.now')
  return late.value ? $t('due.late_since', { due: shortDayOf(props.row.due) }) : inDays(props.row.due_in_days)
})
</script>

<template>
  <li :class="['due-grid', 'row-line', { first, late }]">
    <div class="who">
      <RouterLink :to="`/dogs/${row.dog_id}`" class="name" dir="auto">{{ row.name }}</RouterLink>
      <details v-if="row.why" class="why" @toggle="open = ($event.target as HTMLDetailsElement).open">
        <summary>{{ row.reason }}</summary>
      </details>
      <div v-else class="why">{{ row.reason }}</div>
      <div v-if="row.waits" class="soft small">{{ row.waits }}</div>
      <div v-if="row.look && !vet" class="small">
        <RouterLink :to="`/dogs/${row.dog_id}/walk`" class="look"
          >{{ row.look.in_days <= 0 ? $t('due.today_2') : dayOf(row.look.on) }}: {{ row.look.words }}</RouterLink
        >
      </div>
      <div
        v-for="c in warnings.slice(0, first ? 2 : 1)"
        :key="c.words"
        :class="['warn', 'small', { vet: c.kind === 'veterinarian' }]"
      >
        <AppIcon :name="c.kind === 'veterinarian' ? 'vet' : 'caution'" />{{
          c.kind === 'veterinarian' ? c.words : c.words.split('. ', 1).join().replace(/\.$/, '')
        }}
      </div>
    </div>
    <RankSmall :rank="row.rank" />
    <DueStrip :due="row.due_in_days" :cautious="row.cautious_in_days" />
    <div class="act">
      <div class="when">
        <strong v-if="day">{{ day }}</strong> <span :class="{ overdue: late }">{{ when }}</span>
      </div>
      <RouterLink
        v-if="row.open_sitting"
        :to="`/dogs/${row.dog_id}/bench/${row.open_sitting}`"
        :class="['btn', first ? 'btn-go btn-big' : 'btn-plain']"
        >{{ $t('due.go_on')
        }}<span class="visually-hidden">{{ ' ' }}{{ $t('due.with', { name: row.name }) }}</span></RouterLink
      >
      <RouterLink v-else-if="vet" :to="`/dogs/${row.dog_id}`" class="btn btn-plain"
        >{{ $t('due.open') }}<span class="visually-hidden"> {{ row.name }}</span></RouterLink
      >
      <RouterLink
        v-else-if="row.task === 'ladder'"
        :to="`/dogs/${row.dog_id}/ladder`"
        :class="['btn', first ? 'btn-go btn-big' : 'btn-plain']"
        >{{ $t('due.train') }}<span class="visually-hidden"> {{ row.name }}</span></RouterLink
      >
      <RouterLink v-else :to="`/dogs/${row.dog_id}/ready`" :class="['btn', first ? 'btn-go btn-big' : 'btn-plain']"
        >{{ $t('due.start')
        }}<span class="visually-hidden">{{ ' ' }}{{ $t('due.s_trim', { name: row.name }) }}</span></RouterLink
      >
    </div>
    <WhyTable v-if="open && row.why" :why="row.why" :nails="row.rank.bars.length" class="because" />
  </li>
</template>

<style>
.due-grid {
  align-items: center;
  column-gap: 1.25rem;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 206px minmax(0, 1.25fr) 212px;
}
</style>

<style scoped>
.row-line {
  border-top: 1px solid var(--line);
  contain-intrinsic-size: auto 90px;
  content-visibility: auto;
  padding-block: 0.5rem;
}
.row-line:first-child {
  border-top: 0;
}
.first {
  padding-block: 1rem;
}
.who {
  min-width: 0;
}
.name {
  display: inline-block;
  min-height: 24px;
  overflow-wrap: anywhere;
  color: var(--ink);
  font-size: 1.0625rem;
  font-weight: 650;
  text-decoration: none;
}
.name:hover {
  color: var(--go);
  text-decoration: underline;
}
.first .name {
  font-size: 1.5rem;
}
.why {
  line-height: 1.3;
}
summary {
  cursor: pointer;
  min-height: 24px;
}
summary::marker {
  color: var(--go);
}
.because {
  grid-column: 1 / -1;
  margin-block: 0.5rem;
}
.warn {
  align-items: baseline;
  color: var(--spare-text);
  display: flex;
  gap: 0.35rem;
  line-height: 1.3;
  margin-top: 0.15rem;
}
.warn.vet {
  color: var(--quick-text);
  font-weight: 600;
}
.warn .icon {
  align-self: center;
}
.act {
  align-items: center;
  display: flex;
  gap: 0.75rem;
  justify-content: flex-end;
}
.when {
  line-height: 1.25;
  text-align: right;
}
.when strong,
.when span {
  display: block;
}
.when span {
  color: var(--ink-soft);
  font-size: var(--small);
  white-space: nowrap;
}
.when .overdue {
  color: var(--quick-text);
  font-weight: 600;
}

@media (max-width: 1000px) {
  .due-grid {
    grid-template-columns: minmax(0, 1fr) auto;
    row-gap: 0.4rem;
  }
  .row-line > .strip {
    grid-column: 1 / -1;
    grid-row: 3;
    min-height: 1.5rem;
  }
  .row-line > .rank {
    grid-column: 1 / -1;
    grid-row: 2;
  }
  .who,
  .act {
    grid-row: 1;
  }
  .act {
    flex-direction: column;
    align-items: flex-end;
    gap: 0.25rem;
  }
}
</style>
