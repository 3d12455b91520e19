<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BForm } from 'bootstrap-vue-next/components/BForm'
import { computed, ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { Refusal, type Schemas } from '../api/client'
import { useAddDog, useSaveSettings, useSettings } from '../api/queries'
import { $t } from '../i18n'
import { language } from '../i18n/language'
import AnswerState from '../parts/AnswerState.vue'
import NewDogFields from '../parts/NewDogFields.vue'
import RefusalNote from '../parts/RefusalNote.vue'

const router = useRouter()
const { data: settings, error: unread, refetch } = useSettings()
const fields = useTemplateRef('fields')
const role = ref<Schemas['Role']>('keeper')
const save = useSaveSettings()
const add = useAddDog()
const error = computed(() => save.error.value ?? add.error.value)
const busy = computed(() => save.isPending.value || add.isPending.value)

/** Who uses it comes first: a new dog's rhythm follows from it. What is refused stays on the screen. */
async function begin(withDog: boolean) {
  try {
    await save.mutateAsync({
      ...settings.value!.choices,
      role: role.value,
      hand: undefined,
      end_point: undefined,
      language,
    })
    const dog = withDog ? await add.mutateAsync(fields.value!.told()) : undefined
    await router.replace(dog ? `/dogs/${dog.id}` : '/')
  } catch (refusal) {
    if (!(refusal instanceof Refusal)) throw refusal
  }
}
const roles: { value: Schemas['Role']; title: string; says: string }[] = [
  { value: 'keeper', title: $t('start.keeper'), says: $t('start.my_own_dogs') },
  { value: 'groomer', title: $t('start.groomer'), says: $t('start.other_peoples_dogs') },
]
</script>

<template>
  <div class="screen start">
    <AnswerState v-if="!settings" :error="unread" :what="$t('start.the_book')" @again="refetch()" />
    <template v-else>
      <h1 class="mark"><img src="/mark.svg" alt="" width="44" height="44" />Fribbet</h1>
      <p class="soft">{{ $t('start.how_much_may_come_off') }}</p>
      <BForm novalidate class="form" @submit.prevent="begin(true)">
        <fieldset class="roles">
          <legend>{{ $t('start.who_are_you') }}</legend>
          <label v-for="r in roles" :key="r.value" :class="['role', { chosen: role === r.value }]">
            <input v-model="role" type="radio" name="role" :value="r.value" class="form-check-input" />
            <span
              ><strong>{{ r.title }}</strong
              ><br />{{ r.says }}</span
            >
          </label>
        </fieldset>
        <div class="dog">
          <h2>{{ $t('start.your_first_dog') }}</h2>
          <NewDogFields ref="fields" v-slot="{ shown }" :error="error">
            <RefusalNote :error="error" :shown="shown" />
            <div class="go">
              <BButton type="submit" variant="go" class="btn-big" :disabled="busy">{{
                $t('start.show_its_nails')
              }}</BButton>
              <button type="button" class="later" :disabled="busy" @click="begin(false)">
                {{ $t('start.start_with_an_empty_book') }}
              </button>
            </div>
          </NewDogFields>
        </div>
      </BForm>
      <p class="soft small disclaimer">{{ $t('start.torn_swollen_or_still_bleeding') }}</p>
    </template>
  </div>
</template>

<style scoped>
.start {
  max-width: 66rem;
}
.mark {
  align-items: center;
  display: flex;
  font-size: 1.25rem;
  font-weight: 700;
  gap: 0.6rem;
  margin-bottom: 0.5rem;
}
.form {
  display: grid;
  gap: 1.5rem 3rem;
  grid-template-columns: minmax(0, 20rem) minmax(0, 1fr);
  margin-top: 1.5rem;
}
.roles {
  align-content: start;
  display: grid;
  gap: 0.5rem;
}
.roles legend,
.dog h2 {
  float: none;
  font-size: 1.125rem;
  font-weight: 650;
  line-height: 1.4;
  margin-bottom: 0.4rem;
}
.role {
  align-items: flex-start;
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  cursor: pointer;
  display: flex;
  font-weight: 400;
  gap: 0.75rem;
  min-height: 56px;
  padding: 0.5rem 0.9rem;
}
.role.chosen {
  border-color: var(--go);
  box-shadow: inset 0 -4px 0 var(--go);
}
.go {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 1.25rem;
}
.later {
  background: none;
  border: 0;
  color: var(--go);
  font-weight: 600;
  min-height: 44px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.disclaimer {
  margin-top: 2rem;
  max-width: 46rem;
}

@media (max-width: 900px) {
  .form {
    grid-template-columns: minmax(0, 1fr);
  }
  .roles {
    grid-template-columns: 1fr 1fr;
  }
  .roles legend {
    grid-column: 1 / -1;
  }
}
</style>
