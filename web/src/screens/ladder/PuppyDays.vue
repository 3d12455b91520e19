<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { useChangeDog, useDog } from '../../api/queries'
import { dayOf } from '../../dates'
import { $t } from '../../i18n'
import RefusalNote from '../../parts/RefusalNote.vue'

/** A puppy's first two months: every day its feet are handled is a filled square. */
const props = defineProps<{ dogId: string; puppy: Schemas['Puppyhood'] }>()
const { data: view } = useDog(() => props.dogId)
const { mutate, isPending, error } = useChangeDog(() => props.dogId)
const tips = computed(() => view.value?.dog.handling.tips_meanwhile ?? false)
function choose(meanwhile: boolean) {
  const dog = view.value?.dog
  if (dog && meanwhile !== tips.value)
    mutate({ version: dog.version, handling: { ...dog.handling, tips_meanwhile: meanwhile } })
}
const handled = computed(() => props.puppy.days.filter(Boolean).length)
</script>

<template>
  <section class="section" aria-labelledby="puppy-title">
    <h2 id="puppy-title">{{ $t('ladder.the_first_two_months') }}</h2>
    <p>
      {{
        $t('ladder.handle_every_foot_every_day', { n: puppy.days.length, n2: puppy.length, from: dayOf(puppy.from) })
      }}
      <strong>{{ handled }}</strong><template v-if="puppy.in_a_row > 1">{{
        $t('ladder.the_last_in_a_row', { in_a_row: puppy.in_a_row })
      }}</template
      >.
    </p>
    <p>
      {{ $t('ladder.today_besides') }} <strong>{{ puppy.handle.says }}</strong>
    </p>
    <div class="schools">
      <span>{{ $t('ladder.while_its_paws_learn_practitioners') }}</span>
      <div class="choices" role="group" :aria-label="$t('ladder.while_its_paws_are_on')">
        <button type="button" :aria-pressed="!tips" :disabled="isPending" @click="choose(false)">
          {{ $t('ladder.the_ladder_first') }}
        </button>
        <button type="button" :aria-pressed="tips" :disabled="isPending" @click="choose(true)">
          {{ $t('ladder.a_nail_or_two_tipped') }}
        </button>
      </div>
    </div>
    <RefusalNote :error="error" />
    <div class="days" aria-hidden="true">
      <i
        v-for="n in puppy.length"
        :key="n"
        :class="{ handled: puppy.days[n - 1], today: n === puppy.days.length, gone: n < puppy.days.length }"
      />
    </div>
  </section>
</template>

<style scoped>
.schools {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 0.75rem;
  margin-bottom: 0.75rem;
}
.days {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  max-width: 40rem;
}
.days i {
  border: 1px solid var(--line);
  height: 18px;
  width: 18px;
}
.days i.gone {
  border-color: var(--line-strong);
}
.days i.handled {
  background: repeating-linear-gradient(-45deg, var(--spare) 0 3px, var(--spare-ground) 3px 6px);
  border-color: var(--line-strong);
}
.days i.today {
  outline: 2px solid var(--ink);
  outline-offset: 1px;
}
</style>
