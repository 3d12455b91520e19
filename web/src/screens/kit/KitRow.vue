<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useKeepKitItem, useRemoveKitItem, useServiceKitItem, useUndoKitService } from '../../api/kit'
import { fullDayOf, shortDayOf } from '../../dates'
import { $t } from '../../i18n'
import RefusalNote from '../../parts/RefusalNote.vue'
import { kitKinds, serviced, stocks, tips } from '../../words'
import KitForm from './KitForm.vue'
import { inputOf, supplied } from './input'
import WearGauge from './WearGauge.vue'

const props = defineProps<{ item: Schemas['KitItem']; kit: Schemas['Kit'] }>()
const keep = useKeepKitItem()
const service = useServiceKitItem()
const undo = useUndoKitService()
const remove = useRemoveKitItem()
const error = computed(() => keep.error.value ?? service.error.value ?? undo.error.value ?? remove.error.value)
const changing = ref(false)
const justDone = ref(false)

const details = computed(() => {
  const i = props.item
  const machine = props.kit.items.find(m => m.id === i.on_item_id)
  return [
    i.grit && $t('kit.grit_2', { grit: i.grit }),
    i.tip && tips[i.tip],
    i.guard && $t('kit.with_a_guard'),
    machine && $t('kit.on', { name: machine.name || kitKinds[machine.kind] }),
    i.expires && $t('kit.until', { expires: fullDayOf(i.expires) }),
  ]
    .filter(Boolean)
    .join(' · ')
})
const stocked = computed(() => supplied(props.item.shelf))
const due = computed(() => props.item.level !== 'fine')

function serve() {
  service.mutate(props.item.id, { onSuccess: () => (justDone.value = true) })
}
function takeBack() {
  undo.mutate(props.item.id, { onSuccess: () => (justDone.value = false) })
}
const setStock = (stock: Schemas['Stock']) => keep.mutate({ ...inputOf(props.item), stock })
</script>

<template>
  <li :class="['piece', item.level]">
    <div class="what">
      <strong>{{ kitKinds[item.kind] }}</strong><span v-if="item.name" dir="auto">, {{ item.name }}</span>
      <div v-if="details" class="soft small">{{ details }}</div>
    </div>
    <div class="state">
      <WearGauge v-if="item.counts !== 'nothing'" :item="item" />
      <div
        v-else-if="stocked"
        class="choices"
        role="group"
        :aria-label="$t('kit.how_much_is_left_of', { kind: kitKinds[item.kind] })"
      >
        <button
          v-for="(words, s) in stocks"
          :key="s"
          type="button"
          :aria-pressed="(item.stock ?? 'full') === s"
          :disabled="keep.isPending.value"
          @click="setStock(s)"
        >
          {{ words }}
        </button>
      </div>
    </div>
    <div class="says">
      <span v-if="due" :class="['words', item.level]">{{ item.words }}</span>
      <span v-else-if="item.serviced" class="soft small"
        >{{ serviced[item.service].toLowerCase() }} {{ shortDayOf(item.serviced) }}</span
      >
    </div>
    <div class="acts">
      <BButton v-if="justDone" variant="plain" :disabled="undo.isPending.value" @click="takeBack">{{
        $t('kit.undo')
      }}</BButton>
      <BButton v-else-if="item.counts !== 'nothing'" variant="plain" :disabled="service.isPending.value" @click="serve"
        >{{ serviced[item.service]
        }}<span class="visually-hidden">
          {{ kitKinds[item.kind] }} <bdi>{{ item.name }}</bdi></span
        ></BButton
      >
      <BButton variant="plain" :aria-expanded="changing" @click="changing = !changing"
        >{{ changing ? $t('kit.close') : $t('kit.edit')
        }}<span class="visually-hidden">
          {{ kitKinds[item.kind] }} <bdi>{{ item.name }}</bdi></span
        ></BButton
      >
    </div>
    <div v-if="changing" class="wide">
      <KitForm :item="item" :kit="kit" @kept="changing = false">
        <BButton variant="plain" :disabled="remove.isPending.value" @click="remove.mutate(item.id)">{{
          $t('kit.take_it_out')
        }}</BButton>
      </KitForm>
    </div>
    <RefusalNote class="wide" :error="error" />
  </li>
</template>

<style scoped>
.piece {
  align-items: center;
  border-top: 1px solid var(--line);
  column-gap: 1.25rem;
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr) minmax(0, 1fr) 12.5rem;
  padding-block: 0.3rem;
  row-gap: 0.3rem;
}
.piece:first-child {
  border-top: 0;
}
.what {
  line-height: 1.3;
  overflow-wrap: anywhere;
}
.wide {
  grid-column: 1 / -1;
}
.words {
  color: var(--spare-text);
  font-weight: 600;
}
.words::before {
  content: '△ ';
}
.words.overdue {
  color: var(--quick-text);
}
.words.overdue::before {
  content: '◀ ';
}
.acts {
  display: flex;
  gap: 0.4rem;
  justify-content: flex-end;
}

@media (max-width: 900px) {
  .piece {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .what,
  .acts {
    grid-row: 1;
  }
  .state,
  .says {
    grid-column: 1 / -1;
  }
  .state:empty,
  .says:empty {
    display: none;
  }
}
</style>
