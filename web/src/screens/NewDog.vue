<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BForm } from 'bootstrap-vue-next/components/BForm'
import { useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { useAddDog } from '../api/queries'
import { $t } from '../i18n'
import NewDogFields from '../parts/NewDogFields.vue'
import RefusalNote from '../parts/RefusalNote.vue'

const router = useRouter()
const fields = useTemplateRef('fields')
const { mutate, isPending, error } = useAddDog()
const add = () => mutate(fields.value!.told(), { onSuccess: dog => void router.push(`/dogs/${dog.id}`) })
</script>

<template>
  <div class="screen">
    <div class="screen-head">
      <h1>{{ $t('start.add_a_dog') }}</h1>
    </div>
    <p class="soft">{{ $t('start.everything_else_has_a_usable') }}</p>
    <BForm novalidate @submit.prevent="add">
      <NewDogFields ref="fields" v-slot="{ shown }" :error="error">
        <RefusalNote :error="error" :shown="shown" />
        <BButton type="submit" variant="go" class="btn-big" :disabled="isPending">{{
          $t('start.add_this_dog')
        }}</BButton>
      </NewDogFields>
    </BForm>
  </div>
</template>
