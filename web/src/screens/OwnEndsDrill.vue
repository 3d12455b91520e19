<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { pictureOf } from '../api/pictures'
import { useOwnEnds, useSayOfOwnEnd } from '../api/practice'
import { dayOf } from '../dates'
import { $t } from '../i18n'
import { act, isTyping, onKey } from '../local/keys'
import { useNailNames } from '../local/nailNames'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import { useUnits } from '../units'
import { faces } from '../words'

/** One's own cut ends, as they were pictured at the bench: what did the next slice show? */
const router = useRouter()
const { length } = useUnits()
const { data, error, refetch } = useOwnEnds()
const say = useSayOfOwnEnd()
const at = ref(0)
const said = ref<Schemas['Face']>()
const showed = ref<Schemas['Face']>()
const right = ref(0)
const end = computed(() => data.value?.ends[at.value])
const { name } = useNailNames()
let id = crypto.randomUUID()
function answer(face: Schemas['Face']) {
  if (!end.value || said.value || say.isPending.value) return
  say.mutate(
    { id, picture_id: end.value.picture_id, said: face },
    {
      onSuccess: d => {
        said.value = face
        showed.value = d.showed
        if (d.showed === face) right.value++
      },
    },
  )
}
function next() {
  id = crypto.randomUUID()
  said.value = undefined
  at.value++
}
onKey(event => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  const face = end.value?.faces[Number(event.key) - 1]
  if (said.value && event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) act(event, next)
  else if (face) act(event, () => answer(face))
})
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" :what="$t('practice.your_pictures')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <p class="soft small crumb">
            <RouterLink to="/practice">{{ $t('practice.practice') }}</RouterLink>
          </p>
          <h1>{{ $t('practice.your_own_ends') }}</h1>
        </div>
      </div>
      <div v-if="end" class="drill">
        <img
          :src="pictureOf(end.hash)"
          :alt="$t('practice.cut_end_of_your_dog', { name: end.name, code: name(end.code) })"
          width="300"
          height="300"
        />
        <div>
          <p>
            <strong>{{ $t('practice.of', { asked: at + 1, of: data.ends.length }) }}</strong>
            {{ $t('practice.whose_end', { name: end.name, code: name(end.code), on: dayOf(end.on) }) }}
          </p>
          <p class="asks">{{ $t('practice.what_did_the_next_show', { mm: length.show(end.mm) }) }}</p>
          <div class="choices" role="group" :aria-label="$t('practice.what_it_showed')">
            <button
              v-for="(f, i) in end.faces"
              :key="f"
              type="button"
              :aria-pressed="said === f"
              :class="{ right: said && f === showed }"
              :disabled="said !== undefined || say.isPending.value"
              @click="answer(f)"
            >
              {{ faces[f] }} <kbd>{{ i + 1 }}</kbd>
            </button>
          </div>
          <div v-if="said" class="after" role="status">
            <p>
              {{
                said === showed
                  ? $t('practice.it_did', { face: faces[showed] })
                  : $t('practice.it_showed', { face: faces[showed!] })
              }}
            </p>
            <BButton variant="go" class="btn-big" @click="next">{{ $t('practice.next') }}</BButton>
          </div>
        </div>
      </div>
      <template v-else>
        <p class="asks" role="status">
          {{ at > 0 ? $t('practice.of_right', { right, asked: at }) : $t('practice.none_of_yours_today') }}
        </p>
        <BButton variant="go" class="btn-big" @click="router.push('/practice')">{{
          $t('practice.back_to_practice')
        }}</BButton>
      </template>
      <RefusalNote :error="say.error.value" />
      <p class="soft">{{ $t('practice.only_you_see_them') }}</p>
    </template>
  </div>
</template>

<style scoped>
.drill {
  display: grid;
  gap: 1rem 2rem;
  grid-template-columns: auto minmax(0, 1fr);
  margin-bottom: 1.5rem;
  max-width: 60rem;
}
.drill img {
  border-radius: 50%;
  height: 300px;
  object-fit: cover;
  width: 300px;
}
.asks {
  font-size: 1.375rem;
  font-weight: 650;
}
.choices button:disabled {
  opacity: 1;
}
.choices .right {
  border: 3px solid var(--go);
}
.after {
  margin-top: 1rem;
}
@media (max-width: 700px) {
  .drill {
    grid-template-columns: minmax(0, 1fr);
  }
  .drill img {
    height: 220px;
    width: 220px;
  }
}
</style>
