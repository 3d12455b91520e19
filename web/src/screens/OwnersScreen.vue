<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { ref } from 'vue'
import { useOwners } from '../api/round'
import { $t } from '../i18n'
import { useLater } from '../local/later'
import AnswerState from '../parts/AnswerState.vue'
import { reaches } from './round/words'

const search = ref('')
const { data, error, refetch } = useOwners(useLater(search))
const fresh = crypto.randomUUID()
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" :what="$t('owners.the_owners')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>{{ $t('owners.owners') }}</h1>
          <p class="soft lead">{{ $t('owners.who_brings_which_dog_and') }}</p>
        </div>
        <div class="aside">
          <a href="/api/sheets/owners" download class="btn btn-plain">{{ $t('owners.as_a_spreadsheet') }}</a>
          <label for="owner-search" class="visually-hidden">{{ $t('owners.search_an_owner_by_name') }}</label>
          <BFormInput
            id="owner-search"
            v-model="search"
            type="search"
            :placeholder="$t('owners.search_a_name')"
            autocomplete="off"
          />
          <RouterLink to="/owners/list" class="btn btn-plain">{{ $t('owners.from_a_list') }}</RouterLink>
          <RouterLink :to="`/owners/${fresh}?new`" class="btn btn-go">{{ $t('owners.add_an_owner') }}</RouterLink>
        </div>
      </div>
      <div v-if="data.owners.length === 0" class="empty">
        <h2>{{ search ? $t('owners.no_owner_is_called', { search }) : $t('owners.no_owners_yet') }}</h2>
        <p v-if="!search">{{ $t('owners.an_owner_has_a_name') }}</p>
      </div>
      <ul v-else class="owners">
        <li v-for="o in data.owners" :key="o.id">
          <RouterLink :to="`/owners/${o.id}`" class="name" dir="auto">{{ o.name }}</RouterLink>
          <span>{{ o.dogs.map(d => d.name).join(', ') || $t('owners.no_dog_yet') }}</span>
          <span class="soft small"
            >{{ reaches[o.reach] }}<template v-if="o.address"> · {{ o.address }}</template
            ><template v-if="o.stopped">{{ ' ' }}{{ $t('owners.no_messages') }}</template></span
          >
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
}
.owners {
  list-style: none;
  margin: 0;
  padding: 0;
}
.owners li {
  align-items: center;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 0 1.5rem;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr) minmax(0, 1fr);
  min-height: 48px;
  padding-block: 0.4rem;
}
.name {
  color: var(--ink);
  font-weight: 650;
  overflow-wrap: anywhere;
  text-decoration: none;
}
.name:hover {
  color: var(--go);
  text-decoration: underline;
}
.empty {
  padding: 2rem 0;
}
@media (max-width: 700px) {
  .owners li {
    grid-template-columns: minmax(0, 1fr);
  }
  .aside input {
    width: 100%;
  }
}
</style>
