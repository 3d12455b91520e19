<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useAdvice } from '../../api/queries'
import { $t } from '../../i18n'
import { decimal } from '../../i18n/language'
import AnswerState from '../../parts/AnswerState.vue'
import { tools } from '../../words'

/** Which tool for one nail: the ranked list with what speaks for and against each. */
const props = defineProps<{ dogId: string; code: Schemas['NailCode'] }>()
const purpose = ref<Schemas['Purpose']>('length')
const { data, error, refetch } = useAdvice(
  () => props.dogId,
  () => props.code,
  purpose,
)
const ranked = computed(() => (data.value?.options ?? []).filter(o => o.out === ''))
const out = computed(() => (data.value?.options ?? []).filter(o => o.out !== ''))
const disputes = computed(() => [...new Set((data.value?.options ?? []).flatMap(o => o.disputed))])
const named = (o: Schemas['ToolOption']) => (o.name ? `${tools[o.tool]}, ${o.name}` : tools[o.tool])
const gritOf = (o: Schemas['ToolOption']) =>
  $t('ready.grit_2', {
    grit: o.grit,
    grain_um: o.grain_um ? $t('ready.grains_of_mm', { grain_um: decimal(o.grain_um / 1000, 2) }) : '',
    speed: o.speed ? $t('ready.speed', { speed: o.speed }) : '',
  })
</script>

<template>
  <div class="advice" role="region" :aria-label="$t('ready.tools_for', { code })">
    <div class="choices" role="group" :aria-label="$t('ready.what_for')">
      <button type="button" :aria-pressed="purpose === 'length'" @click="purpose = 'length'">
        {{ $t('ready.for_length') }}
      </button>
      <button type="button" :aria-pressed="purpose === 'smoothing'" @click="purpose = 'smoothing'">
        {{ $t('ready.for_smoothing') }}
      </button>
    </div>
    <AnswerState v-if="!data" :error="error" :what="$t('ready.the_tools')" @again="refetch()" />
    <template v-else>
      <ol>
        <li v-for="(o, i) in ranked" :key="o.item_id ?? o.tool" :class="{ first: i === 0 }">
          <strong>{{ named(o) }}</strong><template v-if="o.grit">: {{ gritOf(o) }}</template>
          <div v-for="r in o.for" :key="r" class="for">{{ r }}</div>
          <div v-for="r in o.against" :key="r" class="against">{{ r }}</div>
        </li>
      </ol>
      <p v-if="out.length > 0" class="small">
        <strong>{{ $t('ready.ruled_out') }}</strong>{{ ' '
        }}<span v-for="(o, i) in out" :key="o.item_id ?? o.tool">{{ i ? '; ' : '' }}{{ named(o) }}, {{ o.out }}</span
        >.
      </p>
      <div v-if="disputes.length > 0" class="small">
        <strong>{{ $t('ready.where_practitioners_disagree') }}</strong> {{ disputes.join(' ') }}
      </div>
    </template>
  </div>
</template>

<style scoped>
.advice {
  background: var(--sheet);
  border: 1px solid var(--line);
  margin-block: 0.4rem;
  padding: 0.6rem 0.9rem;
}
ol {
  margin: 0.5rem 0;
  padding-left: 1.3rem;
}
li {
  line-height: 1.3;
  margin-bottom: 0.4rem;
}
.for,
.against {
  font-size: var(--small);
}
.for::before {
  content: '+ ';
  font-weight: 700;
}
.against::before {
  content: '– ';
  font-weight: 700;
}
</style>
