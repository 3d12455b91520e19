<script setup lang="ts">
import { computed } from 'vue'
import { $t } from '../i18n'
import { useUnits } from '../units'

const { length } = useUnits()
/** Words of the trade, and the few of our own, each explained once. */
const words = computed((): [string, string][] => [
  [$t('glossary.quick'), $t('glossary.the_live_part_inside_the')],
  [$t('glossary.safe_to_trim'), $t('glossary.how_much_may_come_off')],
  [$t('glossary.cut_end'), $t('glossary.what_you_see_when_you')],
  [$t('glossary.thin_slice'), $t('glossary.a_cut_of_about_half', { thick: length.value.show(0.5) })],
  [$t('glossary.first_sign'), $t('glossary.the_first_look_of_a')],
  [$t('glossary.dot'), $t('glossary.a_small_dark_or_pink')],
  [$t('glossary.groove'), $t('glossary.the_furrow_on_the_underside')],
  [$t('glossary.dewclaw'), $t('glossary.the_toe_higher_up_on')],
  ['LF3, RH1', $t('glossary.a_nail_by_code_left')],
  [$t('glossary.on_the_floor'), $t('glossary.the_nail_touches_a_hard')],
  [$t('glossary.long_quick'), $t('glossary.a_quick_that_grew_forward')],
  [$t('glossary.how_often'), $t('glossary.the_time_between_two_trims')],
  [$t('glossary.check_of_the_feet'), $t('glossary.a_look_at_all_four')],
  [$t('glossary.ladder'), $t('glossary.training_in_small_steps_until')],
  [$t('glossary.about_1_in_250'), $t('glossary.of_250_cuts_like_this')],
  [$t('glossary.range'), $t('glossary.two_numbers_between_which_the')],
])
</script>

<template>
  <div class="screen">
    <div class="screen-head">
      <h1>{{ $t('glossary.what_the_words_mean') }}</h1>
      <div class="aside">
        <RouterLink to="/chart" class="btn btn-plain">{{ $t('glossary.paw_chart_to_print') }}</RouterLink>
      </div>
    </div>
    <dl>
      <template v-for="[word, says] in words" :key="word"
        ><dt>{{ word }}</dt>
        <dd>{{ says }}</dd></template
      >
    </dl>
  </div>
</template>

<style scoped>
dl {
  display: grid;
  gap: 0 2rem;
  grid-template-columns: minmax(8rem, 12rem) minmax(0, 40rem);
  margin: 0;
}
dt,
dd {
  border-top: 1px solid var(--line);
  margin: 0;
  padding-block: 0.6rem;
}
@media (max-width: 700px) {
  dl {
    grid-template-columns: minmax(0, 1fr);
  }
  dd {
    border-top: 0;
    padding-top: 0;
  }
}
</style>
