<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, reactive } from 'vue'
import { useAnswer, useGateway, useMessages, useSendAgain } from '../api/messages'
import { useSettings } from '../api/queries'
import { momentOf } from '../dates'
import { $t } from '../i18n'
import AnswerMeans from './round/AnswerMeans.vue'
import AnswerState from '../parts/AnswerState.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import { messageStates } from './round/words'

/** What owners were told and how far each has come; in the demonstration the other side of it as well. */
const { data: settings } = useSettings()
const demo = computed(() => settings.value?.demo === true)
const { data, error, refetch } = useMessages()
const { data: gateway } = useGateway(() => demo.value)
const again = useSendAgain()
const answer = useAnswer()
const words = reactive<Record<string, string>>({})
const reply = (id: string, text: string) => answer.mutate({ id, text }, { onSuccess: () => (words[id] = '') })
const replyTyped = (id: string) => words[id]?.trim() && reply(id, words[id])
</script>

<template>
  <div class="screen">
    <AnswerState v-if="!data" :error="error" :what="$t('owners.the_messages')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1>{{ $t('owners.messages') }}</h1>
          <p class="soft lead">{{ $t('owners.what_was_sent_to_owners') }}</p>
        </div>
        <div class="aside">
          <a v-if="data.messages.length > 0" href="/api/sheets/messages" download class="btn btn-plain">{{
            $t('owners.as_a_spreadsheet')
          }}</a><RouterLink to="/round/calls" class="btn btn-plain">{{ $t('owners.who_to_call') }}</RouterLink>
        </div>
      </div>
      <p v-if="!data.goes" class="note">{{ $t('owners.fribbet_has_no_service_here') }}</p>
      <p v-else-if="data.quiet" class="note" role="status">{{ $t('owners.quiet_hours_what_waits_goes') }}</p>
      <RefusalNote :error="again.error.value ?? answer.error.value" />
      <div :class="{ sides: demo }">
        <section :aria-label="$t('owners.sent')">
          <p v-if="data.messages.length === 0" class="soft">{{ $t('owners.nothing_yet_places_are_offered') }}</p>
          <ul>
            <li v-for="m in data.messages" :key="m.id" :class="['message', m.state]">
              <div>
                <RouterLink :to="`/owners/${m.owner_id}`" class="who" dir="auto">{{ m.owner }}</RouterLink>{{ ' '
                }}<span class="soft small">{{ m.to }} · {{ momentOf(m.made_at) }}</span>
              </div>
              <p dir="auto">{{ m.text }}</p>
              <p class="small">
                <strong>{{ messageStates[m.state] }}</strong><template v-if="m.failures > 0 && m.state === 'waiting'">{{
                  $t('owners.tried', { failures: m.failures, failures2: $t('owners.time_times', m.failures) })
                }}</template
                ><template v-if="m.answer"
                  >: “<bdi>{{ m.answer }}</bdi
                  >”</template
                ><template v-if="m.said">. {{ m.said }}</template>
              </p>
              <AnswerMeans v-if="m.state === 'person'" :message="m" />
              <BButton v-if="m.state === 'failed'" variant="plain" @click="again.mutate(m.id)">{{
                $t('owners.send_it_again')
              }}</BButton>
            </li>
          </ul>
        </section>
        <section v-if="demo" class="other" :aria-label="$t('owners.the_other_side')">
          <h2>
            {{ $t('owners.the_other_side') }}
            <span class="soft small">{{ $t('owners.simulated_what_the_owners_read') }}</span>
          </h2>
          <p v-if="!gateway || gateway.messages.length === 0" class="soft">{{ $t('owners.nothing_has_arrived') }}</p>
          <ul v-else>
            <li v-for="m in gateway.messages" :key="m.id" class="message">
              <p class="soft small">{{ m.to }} · {{ momentOf(m.at) }}</p>
              <p dir="auto">{{ m.text }}</p>
              <p v-for="(a, i) in m.answers" :key="i" class="reply" dir="auto">{{ a }}</p>
              <div class="ways">
                <BButton v-for="t in ['1', '2', '3', 'no', 'stop']" :key="t" variant="plain" @click="reply(m.id, t)">{{
                  t
                }}</BButton>
              </div>
              <form class="ways" @submit.prevent="replyTyped(m.id)">
                <label :for="`say-${m.id}`" class="visually-hidden">{{ $t('owners.another_answer') }}</label><BFormInput
                  :id="`say-${m.id}`"
                  v-model="words[m.id]"
                  maxlength="300"
                  :placeholder="$t('owners.another_answer_2')"
                /><BButton type="submit" variant="plain">{{ $t('owners.answer') }}</BButton>
              </form>
            </li>
          </ul>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
.lead {
  margin: 0.15rem 0 0;
  max-width: 44rem;
}
.note {
  border-left: var(--bar) solid var(--caution-edge);
  padding-left: 0.75rem;
}
.sides {
  display: grid;
  gap: 2.5rem;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.message {
  border-top: 1px solid var(--line);
  padding-block: 0.6rem;
}
.message p {
  margin: 0.15rem 0;
  overflow-wrap: anywhere;
}
.who {
  color: var(--ink);
  font-weight: 650;
}
.failed,
.person {
  border-left: var(--bar) solid var(--caution-edge);
  padding-left: 0.75rem;
}
.other {
  border-left: 1px dashed var(--line-strong);
  padding-left: 1.5rem;
}
.reply {
  font-weight: 600;
  padding-left: 1.5rem;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  margin-top: 0.3rem;
}
.ways .form-control {
  flex: 1;
}
@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
  .other {
    border-left: 0;
    padding-left: 0;
  }
}
</style>
