<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BForm } from 'bootstrap-vue-next/components/BForm'
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Schemas } from '../api/client'
import { useDue } from '../api/queries'
import { useKeepOwner, useOwner, useRemoveOwner, useSetOwner } from '../api/round'
import { dayOf } from '../dates'
import { $t } from '../i18n'
import { languages } from '../i18n/language'
import { clock } from '../local/clock'
import { useLater } from '../local/later'
import AnswerState from '../parts/AnswerState.vue'
import FormField from '../parts/FormField.vue'
import { offerUndo } from '../local/undo'
import RefusalNote from '../parts/RefusalNote.vue'
import SuitsPicker from '../parts/SuitsPicker.vue'
import { options } from '../words'
import { messageStates, reaches, visitStates } from './round/words'

/** An owner: how they are told, which dogs are theirs, what came of their visits. */
const props = defineProps<{ ownerId: string }>()
const route = useRoute()
const router = useRouter()
const fresh = computed(() => 'new' in route.query)
const {
  data,
  error: unread,
  refetch,
} = useOwner(
  () => props.ownerId,
  () => !fresh.value,
)
const keep = useKeepOwner()
const remove = useRemoveOwner()
const setOwner = useSetOwner()

const form = reactive({
  name: '',
  reach: 'text' as Schemas['OwnerRow']['reach'],
  address: '',
  may_offer: true,
  may_remind: true,
  stopped: false,
  note: '',
  language: '' as Schemas['Language'] | '',
  suits: [] as Schemas['OwnerSuits'][],
})
/** Only what is kept of the owner fills the form: a message that goes out meanwhile leaves alone what is typed. */
watch(
  () => data.value?.owner.version,
  () => {
    if (!data.value) return
    const { name, reach, address, may_offer, may_remind, stopped, note, language = '', suits } = data.value.owner
    Object.assign(form, { name, reach, address, may_offer, may_remind, stopped, note, language, suits })
  },
  { immediate: true },
)
const saved = ref(false)
const save = () =>
  keep.mutate(
    {
      id: props.ownerId,
      version: data.value?.owner.version,
      ...form,
      language: form.language || undefined,
      address: form.reach === 'hand' ? '' : form.address,
    },
    {
      onSuccess: () => {
        saved.value = true
        if (fresh.value) void router.replace(`/owners/${props.ownerId}`).then(() => refetch())
      },
    },
  )

const search = ref('')
const { data: dogs } = useDue(useLater(search))
const found = computed(() =>
  search.value.trim()
    ? (dogs.value?.pages[0]?.dogs ?? [])
        .filter(d => !data.value?.owner.dogs.some(o => o.dog_id === d.dog_id))
        .slice(0, 5)
    : [],
)
const give = (dogId: string) =>
  setOwner.mutate({ dogId, ownerId: props.ownerId }, { onSuccess: () => (search.value = '') })
const notTheirs = (d: { dog_id: string; name: string }) =>
  setOwner.mutate(
    { dogId: d.dog_id },
    {
      onSuccess: () =>
        offerUndo($t('owners.has_no_owner_now', { name: d.name }), () =>
          setOwner.mutateAsync({ dogId: d.dog_id, ownerId: props.ownerId }),
        ),
    },
  )
const gone = () => remove.mutate(props.ownerId, { onSuccess: () => void router.replace('/owners') })
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data && !fresh" :error="unread" :what="$t('owners.this_owner')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1 dir="auto">{{ data?.owner.name ?? $t('owners.a_new_owner') }}</h1>
          <p v-if="data" class="soft lead">
            {{ data.visits.length === 1 ? $t('owners.n1_visit') : $t('owners.visits', { n: data.visits.length })
            }}<template v-if="data.missed">{{ ' ' }}{{ $t('owners.missed', { missed: data.missed }) }}</template
            ><template v-if="data.called_off"
              >{{ ' ' }}{{ $t('owners.called_off', { called_off: data.called_off }) }}</template
            >
          </p>
        </div>
        <div class="aside">
          <RouterLink to="/owners" class="btn btn-plain">{{ $t('owners.all_owners') }}</RouterLink>
        </div>
      </div>
      <div class="columns">
        <BForm class="told" @submit.prevent="save">
          <FormField id="owner-name" :label="$t('owners.name')" :error="keep.error.value" :fields="['name']"
            ><BFormInput id="owner-name" v-model="form.name" dir="auto" maxlength="80" autocomplete="off" required
          /></FormField>
          <FormField
            id="owner-reach"
            :label="$t('owners.how_to_reach_them')"
            :error="keep.error.value"
            :fields="['reach']"
            ><BFormSelect id="owner-reach" v-model="form.reach" :options="options(reaches)"
          /></FormField>
          <FormField
            v-if="form.reach !== 'hand'"
            id="owner-address"
            :label="form.reach === 'mail' ? $t('owners.mail_address') : $t('owners.telephone_number')"
            :error="keep.error.value"
            :fields="['address']"
            ><BFormInput
              id="owner-address"
              v-model="form.address"
              :type="form.reach === 'mail' ? 'email' : 'tel'"
              autocomplete="off"
          /></FormField>
          <BFormCheckbox v-model="form.may_offer">{{ $t('owners.places_may_be_offered') }}</BFormCheckbox>
          <BFormCheckbox v-model="form.may_remind">{{ $t('owners.may_be_reminded_the_day') }}</BFormCheckbox>
          <BFormCheckbox v-model="form.stopped">{{ $t('owners.no_messages_they_asked_us') }}</BFormCheckbox>
          <SuitsPicker v-model="form.suits" />
          <FormField
            id="owner-language"
            :label="$t('owners.language_of_messages_and_card')"
            :error="keep.error.value"
            :fields="['language']"
            ><BFormSelect
              id="owner-language"
              v-model="form.language"
              :options="[{ value: '', text: $t('owners.as_the_book') }, ...options(languages)]"
          /></FormField>
          <FormField id="owner-note" :label="$t('owners.note')" :error="keep.error.value" :fields="['note']"
            ><BFormInput id="owner-note" v-model="form.note" dir="auto" maxlength="500"
          /></FormField>
          <RefusalNote :error="keep.error.value" />
          <div class="ways">
            <BButton type="submit" variant="go" :disabled="keep.isPending.value">{{
              fresh ? $t('owners.add_this_owner') : $t('owners.save')
            }}</BButton>
            <span v-if="saved && !keep.isPending.value" role="status" class="soft">{{ $t('owners.saved') }}</span>
          </div>
        </BForm>
        <div v-if="data">
          <h2>{{ $t('owners.dogs') }}</h2>
          <ul class="dogs">
            <li v-for="d in data.owner.dogs" :key="d.dog_id">
              <RouterLink :to="`/dogs/${d.dog_id}`" class="name" dir="auto">{{ d.name }}</RouterLink><BButton
                variant="plain"
                @click="notTheirs(d)"
                >{{ $t('owners.not_theirs') }}</BButton
              >
            </li>
            <li v-if="data.owner.dogs.length === 0" class="soft">{{ $t('owners.none_yet') }}</li>
          </ul>
          <label for="owner-dog" class="small">{{ $t('owners.give_them_a_dog_of') }}</label>
          <BFormInput
            id="owner-dog"
            v-model="search"
            type="search"
            :placeholder="$t('owners.search_a_name')"
            autocomplete="off"
          />
          <div class="ways">
            <BButton v-for="d in found" :key="d.dog_id" variant="plain" @click="give(d.dog_id)"
              ><bdi>{{ d.name }}</bdi></BButton
            >
          </div>
          <RefusalNote :error="setOwner.error.value ?? remove.error.value" />
          <h2 class="visits-head">{{ $t('owners.visits_2') }}</h2>
          <p v-if="data.visits.length === 0" class="soft">{{ $t('owners.none_yet') }}</p>
          <ul class="dogs">
            <li v-for="v in data.visits.slice(0, 20)" :key="v.id">
              <RouterLink :to="{ path: '/round', query: { on: v.on } }"
                >{{ dayOf(v.on) }} {{ clock(v.start) }}</RouterLink
              ><span
                ><bdi>{{ v.dog.name }}</bdi
                >, {{ visitStates[v.state] }}</span
              >
            </li>
          </ul>
          <template v-if="data.messages.length > 0">
            <h2 class="visits-head">{{ $t('owners.messages') }}</h2>
            <ul class="dogs">
              <li v-for="m in data.messages.slice(0, 20)" :key="m.id">
                <span dir="auto"
                  >{{ m.text
                  }}<template v-if="m.answer">
                    <strong
                      >“<bdi>{{ m.answer }}</bdi
                      >”</strong
                    ></template
                  ></span
                ><RouterLink to="/messages" class="small">{{ messageStates[m.state] }}</RouterLink>
              </li>
            </ul>
          </template>
          <p v-if="data.owner.dogs.length > 0">
            <RouterLink :to="`/owners/${ownerId}/hindsight`">{{ $t('hindsight.how_right_was_it') }}</RouterLink>
          </p>
          <div class="ways end">
            <BButton variant="plain" :disabled="remove.isPending.value" @click="gone">{{
              $t('owners.take_out_of_the_book')
            }}</BButton>
          </div>
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.columns {
  display: grid;
  gap: 2.5rem;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
}
.told {
  display: flex;
  flex-direction: column;
  gap: 0.6rem;
}
.dogs {
  list-style: none;
  margin: 0 0 0.75rem;
  padding: 0;
}
.dogs li {
  align-items: center;
  border-top: 1px solid var(--line);
  display: flex;
  gap: 1rem;
  justify-content: space-between;
  min-height: 44px;
  padding-block: 0.2rem;
}
.name {
  color: var(--ink);
  font-weight: 650;
}
.ways {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  margin-top: 0.4rem;
}
.visits-head {
  margin-top: 1.25rem;
}
.end {
  margin-top: 1.5rem;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
