<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormCheckbox } from 'bootstrap-vue-next/components/BFormCheckbox'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { ref, watch } from 'vue'
import type { Schemas } from '../../api/client'
import { useHouse, useHouseChange } from '../../api/queries'
import { momentOf } from '../../dates'
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
watch(() => data.value?.devices.length, (now, before) => {
  if (before !== undefined && now! > before) hide()
})
const edit = (d: Schemas['Device']) => (edited.value = edited.value?.id === d.id ? undefined : { id: d.id, name: d.name, who: d.who })
const saveName = () => rename(edited.value!, { onSuccess: () => (edited.value = undefined) })
</script>

<template>
  <section class="section" aria-labelledby="devices-title">
    <h2 id="devices-title">Devices</h2>
    <AnswerState v-if="!data" :error="error" what="the devices" @again="refetch()" />
    <template v-else-if="!data.open">
      <p class="says">Fribbet answers this machine only. To have it on the phone at the table, stop it and start it with <code>--listen 0.0.0.0:8642</code>: it asks for a passphrase, and seals what is said (TLS). It is for the house, not for the internet.</p>
    </template>
    <template v-else>
      <p class="says">Phones and tablets in the house reach it at <code>{{ data.addresses[0] }}</code>. It is for the house, not for the internet.</p>
      <template v-if="data.host">
        <BButton variant="plain" @click="show()">{{ shown ? 'Another code' : 'Let a device in' }}</BButton>
        <RefusalNote :error="noCode" />
        <div v-if="shown" class="pairing">
          <svg :viewBox="`-4 -4 ${shown.picture.size + 8} ${shown.picture.size + 8}`" role="img" aria-label="The address with its code, for a camera"><rect x="-4" y="-4" width="100%" height="100%" fill="#fff" /><path :d="shown.picture.path" fill="#000" /></svg>
          <div>
            <p>Point the device’s camera at this, or open:</p>
            <p class="address"><code>{{ shown.url }}</code></p>
            <p class="soft small">Good once, until {{ momentOf(shown.until) }}.</p>
            <p v-if="data.fingerprint" class="soft small">Its browser does not know Fribbet’s certificate and warns. The fingerprint it shows must be this one (SHA-256): <code class="print">{{ data.fingerprint }}</code></p>
          </div>
        </div>
      </template>
      <p v-else class="soft small says">Another device is let in on the machine itself.</p>
      <ul v-if="data.devices.length > 0" class="list">
        <li v-for="d in data.devices" :key="d.id">
          <span class="who"><bdi>{{ d.name }}</bdi><template v-if="d.who">, <bdi>{{ d.who }}</bdi></template><template v-if="d.here"> · this one</template></span>
          <span class="soft">last here {{ momentOf(d.seen_at) }}</span>
          <span class="acts">
            <button type="button" :aria-label="`Name ${d.name}`" @click="edit(d)">Name</button>
            <button type="button" :aria-label="`Withdraw ${d.name}`" @click="sure = sure === d.id ? '' : d.id">Withdraw…</button>
          </span>
          <form v-if="edited?.id === d.id" class="more" @submit.prevent="saveName">
            <label>What it is <BFormInput v-model="edited.name" maxlength="40" /></label>
            <label>Who uses it <BFormInput v-model="edited.who" maxlength="40" /></label>
            <BButton type="submit" variant="go">Save</BButton>
            <RefusalNote :error="unnamed" />
          </form>
          <div v-if="sure === d.id" class="more">
            <span>It comes in no more{{ d.here ? ', and this is the one you hold' : '' }}. Its browser drops what it kept of the book when it next asks, taps that wait in it too.</span>
            <BFormCheckbox v-model="renew">Give the calendar and the cards’ pages new addresses: it saw the old ones</BFormCheckbox>
            <BButton variant="go" @click="drop({ id: d.id, renew })">Withdraw it</BButton>
            <RefusalNote :error="kept" />
          </div>
        </li>
      </ul>
      <p v-else class="soft">None was let in yet.</p>
    </template>
  </section>
</template>

<style scoped>
.says { max-width: 46rem; }
.pairing { align-items: start; display: flex; flex-wrap: wrap; gap: 1.25rem; margin-block: 0.75rem; max-width: 46rem; }
.pairing svg { flex: none; height: auto; width: 13rem; }
.pairing div { flex: 1 1 16rem; min-width: 0; }
.address, .print { overflow-wrap: anywhere; }
.list { list-style: none; margin: 0.75rem 0 0.5rem; max-width: 46rem; padding: 0; }
.list li { align-items: center; border-bottom: 1px solid var(--line); display: flex; flex-wrap: wrap; gap: 0.25rem 1rem; min-height: 44px; }
.who { font-weight: 600; min-width: 12rem; overflow-wrap: anywhere; }
.acts { margin-left: auto; }
.acts button { background: none; border: 0; color: var(--go); font-weight: 600; margin-left: 1rem; min-height: 44px; text-decoration: underline; text-underline-offset: 3px; }
.more { align-items: end; background: var(--sunk); display: flex; flex-basis: 100%; flex-wrap: wrap; gap: 0.75rem; margin-bottom: 0.5rem; padding: 0.75rem; }
</style>
