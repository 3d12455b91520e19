<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, onMounted, useTemplateRef } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { answers, pawWords } from '../../words'

/** What a reaction asks for, over the whole screen: the way to stop lies under the thumb. */
const props = defineProps<{ answer: Schemas['ReactionAnswer']; name: string; done: number; of: number }>()
const emit = defineEmits<{ end: []; leave: []; goOn: []; undo: [] }>()
const words = computed(() => answers[props.answer.key])
const paw = computed(() => (props.answer.paw ? pawWords[props.answer.paw] : $t('bench.this_paw')))
const dialog = useTemplateRef('dialog')
const first = useTemplateRef('first')
onMounted(() => {
  dialog.value?.showModal() // the browser keeps the focus inside; Escape goes back to the nail
  ;(first.value?.$el as HTMLElement | undefined)?.focus()
})
</script>

<template>
  <dialog
    ref="dialog"
    :class="['answer', { stop: answer.ends }]"
    aria-labelledby="answer-title"
    @cancel.prevent="emit('goOn')"
  >
    <div class="says">
      <p class="who">
        <bdi>{{ name }}</bdi> · {{ paw }}
      </p>
      <h2 id="answer-title">{{ words.now }}</h2>
      <p>{{ words.today }}</p>
      <p v-if="words.why" class="soft">{{ words.why }}</p>
    </div>
    <div class="ways">
      <BButton v-if="!answer.ends" variant="plain" class="btn-big" @click="emit('end')">{{
        $t('bench.end_here_of_done', { done, of })
      }}</BButton>
      <BButton v-if="!answer.ends && !answer.leave_paw" variant="plain" class="btn-big" @click="emit('leave')">{{
        $t('bench.leave_for_today', { paw })
      }}</BButton>
      <BButton variant="plain" class="slip" @click="emit('undo')">{{ $t('bench.it_was_a_slip_undo') }}</BButton>
      <BButton v-if="answer.ends" ref="first" variant="go" class="most" @click="emit('end')"
        >{{ $t('bench.end_the_trim')
        }}<span class="small">{{ $t('bench.of_done_that_is_enough', { done, of }) }}</span></BButton
      >
      <BButton v-else-if="answer.leave_paw" ref="first" variant="go" class="most" @click="emit('leave')">{{
        $t('bench.leave_for_today', { paw })
      }}</BButton>
      <BButton v-else ref="first" variant="go" class="most" @click="emit('goOn')">{{
        $t('bench.it_has_eased_go_on')
      }}</BButton>
    </div>
  </dialog>
</template>

<style scoped>
.answer {
  background: var(--sheet);
  border: 0;
  border-top: calc(var(--bar) * 3) solid var(--caution-edge);
  color: var(--ink);
  height: 100dvh;
  margin: 0;
  max-height: none;
  max-width: none;
  overflow: hidden;
  padding: 1rem 1.25rem;
  width: 100vw;
}
.answer[open] {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  justify-items: center;
}
.answer.stop {
  border-top-color: var(--vet-edge);
}
.answer::backdrop {
  background: rgb(0 0 0 / 60%);
}
.says,
.ways {
  max-width: 34rem;
  width: 100%;
}
.says {
  overflow: auto;
  padding-bottom: 0.75rem;
}
.who {
  color: var(--ink-soft);
  margin: 0 0 0.25rem;
}
h2 {
  font-size: 1.75rem;
  line-height: 1.2;
  margin-bottom: 0.75rem;
}
.says p {
  font-size: 1.125rem;
}
.ways {
  display: grid;
  gap: 0.5rem;
  padding-bottom: env(safe-area-inset-bottom);
}
.most {
  align-items: center;
  display: flex;
  flex-direction: column;
  font-size: 1.5rem;
  gap: 0.25rem;
  justify-content: center;
  min-height: 112px;
}
.stop .most {
  min-height: 176px;
}
.slip {
  min-height: 48px;
}
</style>
