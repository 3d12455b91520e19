<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { pictureOf, usePictures, useRemovePicture } from '../../api/pictures'
import { dayOf } from '../../dates'
import { $t } from '../../i18n'
import { useNailNames } from '../../local/nailNames'
import RefusalNote from '../../parts/RefusalNote.vue'
import { pawWords } from '../../words'

/** A dog's pictures by paw; two of one paw under a slider, before and after. */
const props = defineProps<{ dogId: string; nails: Schemas['NailCode'][] }>()
const { data } = usePictures(() => props.dogId)
const { mutate: remove, isPending, error } = useRemovePicture(() => props.dogId)
const paws = computed(() =>
  (Object.keys(pawWords) as Schemas['Paw'][])
    .map(paw => ({
      paw,
      nail: props.nails.find(n => n.startsWith(paw)),
      pictures: data.value?.pictures.filter(p => p.paw === paw && !p.code) ?? [],
    }))
    .filter(p => p.nail),
)
const opened = ref<Schemas['Paw']>()
const shown = computed(() => paws.value.find(p => p.paw === opened.value && p.pictures.length > 0))
const older = ref<string>()
const newer = ref<string>()
function open(paw: Schemas['Paw'], pictures: Schemas['Picture'][]) {
  opened.value = opened.value === paw ? undefined : paw
  newer.value = pictures[0]?.id
  older.value = pictures[pictures.length - 1]?.id
}
const pick = (id?: string) => shown.value?.pictures.find(p => p.id === id) ?? shown.value?.pictures[0]
const ends = computed(() => data.value?.pictures.filter(p => p.code) ?? [])
const { name } = useNailNames()
const share = ref(50)
const doomed = ref<string>()
</script>

<template>
  <section :aria-label="$t('dog.pictures')">
    <p class="soft small">{{ $t('dog.a_picture_of_a_paw') }}</p>
    <ul class="paws">
      <li v-for="p in paws" :key="p.paw">
        <button
          v-if="p.pictures.length > 0"
          type="button"
          class="latest"
          :aria-expanded="opened === p.paw"
          @click="open(p.paw, p.pictures)"
        >
          <img
            :src="pictureOf(p.pictures[0]!.hash, true)"
            :alt="$t('dog.the_paw_on', { paw: pawWords[p.paw], on: dayOf(p.pictures[0]!.on) })"
          />
        </button>
        <span
          >{{ pawWords[p.paw]
          }}<span v-if="p.pictures.length > 0" class="soft small"
            >{{ ' ' }}{{ $t('dog.the_last', { n: p.pictures.length, on: dayOf(p.pictures[0]!.on) }) }}</span
          ></span
        >
        <RouterLink :to="`/dogs/${dogId}/photo/${p.nail}`">{{
          p.pictures.length > 0 ? $t('dog.measure_or_take_another') : $t('dog.take_a_picture')
        }}</RouterLink>
      </li>
    </ul>
    <div v-if="shown" class="beside">
      <div class="two" :style="{ aspectRatio: `${pick(newer)!.width} / ${pick(newer)!.height}` }">
        <img :src="pictureOf(pick(newer)!.hash)" :alt="$t('dog.on', { on: dayOf(pick(newer)!.on) })" />
        <img
          v-if="shown.pictures.length > 1"
          class="over"
          :src="pictureOf(pick(older)!.hash)"
          :alt="$t('dog.on', { on: dayOf(pick(older)!.on) })"
          :style="{ clipPath: `inset(0 ${100 - share}% 0 0)` }"
        />
        <span v-if="shown.pictures.length > 1" class="edge" :style="{ left: `${share}%` }" aria-hidden="true" />
      </div>
      <template v-if="shown.pictures.length > 1">
        <label for="before-after" class="small">{{
          $t('dog.before_and_after', { on: dayOf(pick(older)!.on), on2: dayOf(pick(newer)!.on) })
        }}</label>
        <input id="before-after" v-model.number="share" type="range" min="0" max="100" />
      </template>
      <ul class="all">
        <li v-for="p in shown.pictures" :key="p.id">
          <span>{{ dayOf(p.on) }}</span>
          <template v-if="shown.pictures.length > 1"
            ><button type="button" :aria-pressed="older === p.id" @click="older = p.id">{{ $t('dog.before_2') }}</button
            ><button type="button" :aria-pressed="newer === p.id" @click="newer = p.id">
              {{ $t('dog.after') }}
            </button></template
          >
          <button type="button" :aria-pressed="doomed === p.id" @click="doomed = doomed === p.id ? undefined : p.id">
            {{ $t('dog.delete') }}
          </button>
          <div v-if="doomed === p.id" class="sure">
            <p>{{ $t('dog.it_is_gone_for_good') }}</p>
            <BButton
              variant="plain"
              :disabled="isPending"
              @click="remove(p.id, { onSuccess: () => (doomed = undefined) })"
              >{{ $t('dog.delete_it_for_good') }}</BButton
            >
          </div>
        </li>
      </ul>
    </div>
    <details v-if="ends.length > 0" class="ends">
      <summary>{{ $t('dog.your_cut_ends', ends.length) }}</summary>
      <ul class="paws">
        <li v-for="p in ends" :key="p.id">
          <img
            :src="pictureOf(p.hash, true)"
            :alt="$t('dog.cut_end_of_on', { code: name(p.code!), on: dayOf(p.on) })"
            width="72"
            height="72"
            loading="lazy"
          /><span
            >{{ name(p.code!) }}<span class="soft small"> {{ dayOf(p.on) }}</span></span
          ><button type="button" :aria-pressed="doomed === p.id" @click="doomed = doomed === p.id ? undefined : p.id">
            {{ $t('dog.delete') }}</button
          ><BButton
            v-if="doomed === p.id"
            variant="plain"
            :disabled="isPending"
            @click="remove(p.id, { onSuccess: () => (doomed = undefined) })"
            >{{ $t('dog.delete_it_for_good') }}</BButton
          >
        </li>
      </ul>
    </details>
    <RefusalNote :error="error" />
  </section>
</template>

<style scoped>
.paws {
  display: flex;
  flex-wrap: wrap;
  gap: 1rem 2rem;
  list-style: none;
  margin: 0;
  padding: 0;
}
.paws li {
  align-items: flex-start;
  display: flex;
  flex-direction: column;
  gap: 0.15rem;
}
.latest {
  background: none;
  border: 1px solid var(--line);
  padding: 0.2rem;
}
.latest[aria-expanded='true'] {
  border-color: var(--go);
  box-shadow: 0 0 0 1px var(--go);
}
.latest img {
  display: block;
  height: 90px;
}
.beside {
  margin-top: 1rem;
  max-width: 46rem;
}
.two {
  position: relative;
}
.two img {
  display: block;
  height: 100%;
  inset: 0;
  object-fit: contain;
  position: absolute;
  width: 100%;
}
.edge {
  background: #ffffff;
  bottom: 0;
  box-shadow: 0 0 0 1px #000000;
  position: absolute;
  top: 0;
  width: 2px;
}
#before-after {
  width: 100%;
}
.all {
  list-style: none;
  margin: 0.5rem 0 0;
  padding: 0;
}
.ends button:not(.btn) {
  background: none;
  border: 0;
  color: var(--go);
  min-height: 44px;
  padding: 0;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.ends summary {
  min-height: 44px;
  padding-block: 0.6rem;
}
.all li {
  align-items: center;
  border-top: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 0.75rem;
  min-height: 44px;
}
.all button {
  background: none;
  border: 0;
  color: var(--go);
  min-height: 44px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.all button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 650;
  text-decoration: none;
}
.sure {
  flex-basis: 100%;
  padding-bottom: 0.5rem;
}
.sure p {
  margin: 0 0 0.4rem;
}
</style>
