<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { ref, watch } from 'vue'
import type { Schemas } from '../../api/client'
import { useHouse, useHouseChange } from '../../api/queries'
import { momentOf } from '../../dates'
import { $t } from '../../i18n'
import AnswerState from '../../parts/AnswerState.vue'
import RefusalNote from '../../parts/RefusalNote.vue'

/** Which phones and tablets in the house may come in; on the machine itself, a code that lets one in. */
const { data, error, refetch } = useHouse()
const { name, withdraw, code } = useHouseChange()
const { data: shown, mutate: show, error: noCode, reset: hide } = code
const { mutate: rename, error: unnamed } = name
const { mutate: drop, error: kept } = withdraw
const edited = ref<Schemas['DeviceInput'] & { id: string }>()
const sure = ref('')
/** Addresses with keys in them, which the device saw, are made anew. */
const renew = ref(true)
/** The device that was let in takes the code off the screen. */
watch(
  () => data.value?.devices.length,
  (now, before) => {
    if (before !== undefined && now! > before) hide()
  },
)
const edit = (d: Schemas['Device']) =>
  (edited.value = edited.value?.id === d.id ? undefined : { id: d.id, name: d.name, who: d.who })
const saveName = () => rename(edited.value!, { onSuccess: () => (edited.value = undefined) })
</script>

<template>
  <section class="section" aria-labelledby="devices-title">
    <h2 id="devices-title">{{ $t('settings.devices') }}</h2>
    <AnswerState v-if="!data" :error="error" :what="$t('settings.the_devices')" @again="refetch()" />
    <template v-else-if="!data.open">
      <p class="says">
        {{ $t('settings.fribbet_answers_this_machine_only') }} <code>--listen 0.0.0.0:8642</code
        >{{ $t('settings.it_asks_for_a_passphrase') }}
      </p>
    </template>
    <template v-else>
      <p class="says">
        {{ $t('settings.phones_and_tablets_in_the') }} <code>{{ data.addresses[0] }}</code>{{
          $t('settings.it_is_for_the_house')
        }}
      </p>
      <template v-if="data.host">
        <BButton variant="plain" @click="show()">{{
          shown ? $t('settings.another_code') : $t('settings.let_a_device_in')
        }}</BButton>
        <RefusalNote :error="noCode" />
        <div v-if="shown" class="pairing">
          <svg
            :viewBox="`-4 -4 ${shown.picture.size + 8} ${shown.picture.size + 8}`"
            role="img"
            :aria-label="$t('settings.the_address_with_its_code')"
          >
            <rect x="-4" y="-4" width="100%" height="100%" fill="#fff" />
            <path :d="shown.picture.path" fill="#000" />
          </svg>
          <div>
            <p>{{ $t('settings.point_the_devices_camera_at') }}</p>
            <p class="address">
              <code>{{ shown.url }}</code>
            </p>
            <p class="soft small">{{ $t('settings.good_once_until', { until: momentOf(shown.until) }) }}</p>
            <p v-if="data.fingerprint" class="soft small">
              {{ $t('settings.its_browser_does_not_know') }} <code class="print">{{ data.fingerprint }}</code>
            </p>
          </div>
        </div>
      </template>
      <p v-else class="soft small says">{{ $t('settings.another_device_is_let_in') }}</p>
      <ul v-if="data.devices.length > 0" class="list">
        <li v-for="d in data.devices" :key="d.id">
          <span class="who"
            ><bdi>{{ d.name }}</bdi
            ><template v-if="d.who"
              >, <bdi>{{ d.who }}</bdi></template
            ><template v-if="d.here">{{ ' ' }}{{ $t('settings.this_one') }}</template></span
          >
          <span class="soft">{{ $t('settings.last_here', { seen_at: momentOf(d.seen_at) }) }}</span>
          <span class="acts">
            <button type="button" :aria-label="$t('settings.name', { name: d.name })" @click="edit(d)">
              {{ $t('settings.name_2') }}
            </button>
            <button
              type="button"
              :aria-label="$t('settings.withdraw', { name: d.name })"
              @click="sure = sure === d.id ? '' : d.id"
            >
              {{ $t('settings.withdraw_2') }}
            </button>
          </span>
          <form v-if="edited?.id === d.id" class="more" @submit.prevent="saveName">
            <label>{{ $t('settings.what_it_is') }} <BFormInput v-model="edited.name" maxlength="40" /></label>
            <label>{{ $t('settings.who_uses_it') }} <BFormInput v-model="edited.who" maxlength="40" /></label>
            <BButton type="submit" variant="go">{{ $t('settings.save') }}</BButton>
            <RefusalNote :error="unnamed" />
          </form>
          <div v-if="sure === d.id" class="more">
            <span>{{
              $t('settings.it_comes_in_no_more', { here: d.here ? $t('settings.and_this_is_the_one') : '' })
            }}</span>
            <BFormCheckbox v-model="renew">{{ $t('settings.give_the_calendar_and_the') }}</BFormCheckbox>
            <BButton variant="go" @click="drop({ id: d.id, renew })">{{ $t('settings.withdraw_it') }}</BButton>
            <RefusalNote :error="kept" />
          </div>
        </li>
      </ul>
      <p v-else class="soft">{{ $t('settings.none_was_let_in_yet') }}</p>
    </template>
  </section>
</template>

<style scoped>
.says {
  max-width: 46rem;
}
.pairing {
  align-items: start;
  display: flex;
  flex-wrap: wrap;
  gap: 1.25rem;
  margin-block: 0.75rem;
  max-width: 46rem;
}
.pairing svg {
  flex: none;
  height: auto;
  width: 13rem;
}
.pairing div {
  flex: 1 1 16rem;
  min-width: 0;
}
.address,
.print {
  overflow-wrap: anywhere;
}
.list {
  list-style: none;
  margin: 0.75rem 0 0.5rem;
  max-width: 46rem;
  padding: 0;
}
.list li {
  align-items: center;
  border-bottom: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1rem;
  min-height: 44px;
}
.who {
  font-weight: 600;
  min-width: 12rem;
  overflow-wrap: anywhere;
}
.acts {
  margin-left: auto;
}
.acts button {
  background: none;
  border: 0;
  color: var(--go);
  font-weight: 600;
  margin-left: 1rem;
  min-height: 44px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.more {
  align-items: end;
  background: var(--sunk);
  display: flex;
  flex-basis: 100%;
  flex-wrap: wrap;
  gap: 0.75rem;
  margin-bottom: 0.5rem;
  padding: 0.75rem;
}
</style>
