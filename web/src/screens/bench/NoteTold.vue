<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { ref } from 'vue'
import { $t } from '../../i18n'
import { phrases } from '../../words'

/** The sitting's note: a phrase in one press, or words of one's own. */
const props = defineProps<{ note: string }>()
const emit = defineEmits<{ note: [note: string] }>()
const typed = ref('')
const noting = ref(false)
function write(words: string) {
  if (words === '') return
  emit('note', props.note ? `${props.note}; ${words}` : words)
  typed.value = ''
}
</script>

<template>
  <p v-if="note" class="noted">
    <bdi>{{ note }}</bdi>
  </p>
  <div class="choices" role="group" :aria-label="$t('bench.a_note_in_one_press')">
    <button v-for="words in phrases" :key="words" type="button" :disabled="note.includes(words)" @click="write(words)">
      {{ words }}
    </button>
    <button type="button" :aria-expanded="noting" @click="noting = !noting">{{ $t('bench.write') }}</button>
  </div>
  <form v-if="noting" class="write" @submit.prevent="write(typed.trim())">
    <label for="bench-note" class="visually-hidden">{{ $t('bench.note') }}</label><BFormInput
      id="bench-note"
      v-model="typed"
      dir="auto"
      maxlength="300"
    /><BButton type="submit" variant="plain">{{ $t('bench.note_it') }}</BButton>
  </form>
</template>

<style scoped>
.noted {
  margin: 0.5rem 0 0;
}
.choices {
  margin-top: 0.5rem;
}
.write {
  display: flex;
  gap: 0.5rem;
  margin-top: 0.4rem;
}
</style>
