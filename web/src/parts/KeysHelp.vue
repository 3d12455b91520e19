<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next/components/BModal'
import { $t } from '../i18n'

const open = defineModel<boolean>({ required: true })
const places = {
  [$t('parts.everywhere')]: [
    ['/', $t('parts.search_a_dog_by_name')],
    ['g d', $t('parts.go_to_due_2')],
    ['g b', $t('parts.go_to_the_trim_that')],
    ['g l', $t('parts.go_to_ladder')],
    ['g r', $t('parts.go_to_how_often_of')],
    ['g k', $t('parts.go_to_kit')],
    ['g p', $t('parts.go_to_practice')],
    ['g n', $t('parts.go_to_today_of_a')],
    ['g o', $t('parts.go_to_the_week_of')],
    ['g t', $t('parts.the_telephone_book_a_visit')],
    ['g a', $t('parts.add_a_dog')],
    ['g w', $t('parts.what_the_words_mean')],
    ['g s', $t('parts.settings')],
    ['?', $t('parts.these_keys')],
  ],
  [$t('parts.while_recording')]: [
    ['0–9 Enter', $t('parts.the_number_for_this_nail')],
    [$t('parts.space'), $t('parts.as_planned_then_the_next')],
    ['A', $t('parts.everything_not_said_yet_as')],
    ['S', $t('parts.left_out_then_the_next')],
    ['B', $t('parts.it_bled')],
    ['R', $t('parts.how_the_dog_was_about')],
    ['F', $t('parts.it_took_force')],
    ['N P', $t('parts.next_and_previous_nail')],
    ['U', $t('parts.undo_2')],
    [$t('parts.ctrl_enter'), $t('parts.save_the_trim')],
  ],
  [$t('parts.while_practising')]: [
    ['1–5', $t('parts.how_thick_or_what_the')],
    ['Enter', $t('parts.cut_then_the_next_nail')],
    ['S', $t('parts.stop_here')],
    ['L', $t('parts.look_at_the_nail')],
    ['N', $t('parts.the_next_nail')],
  ],
  [$t('parts.at_the_bench')]: [
    [$t('parts.space'), $t('parts.the_next_thing_this_nail')],
    ['1 … 7', $t('parts.what_the_cut_end_shows')],
    ['+ −', $t('parts.one_cut_more_one_less')],
    ['T W', $t('parts.one_touch_of_the_grinder')],
    ['E', $t('parts.sides_and_top')],
    ['S', $t('parts.stop_this_nail_or_leave')],
    ['N P', $t('parts.next_and_previous_nail')],
    ['U', $t('parts.undo_2')],
    ['B', $t('parts.blood')],
    [$t('parts.page_down_page_up'), $t('parts.a_pedal_the_next_thing')],
  ],
  [$t('parts.in_the_week')]: [
    ['[ ]', $t('parts.the_day_before_the_day')],
    ['↑ ↓', $t('parts.move_the_chosen_visit_by')],
    ['← →', $t('parts.move_it_to_another_day')],
    ['Enter', $t('parts.leave_it_there')],
    ['Esc', $t('parts.back_to_where_it_was')],
  ],
  [$t('parts.in_a_history')]: [
    ['← →', $t('parts.read_off_the_day_before')],
    [$t('parts.home_end'), $t('parts.the_first_the_last')],
  ],
  [$t('parts.getting_ready')]: [
    ['Enter', $t('parts.start_the_trim')],
    ['H', $t('parts.a_helper_is_here_or')],
  ],
  [$t('parts.on_the_ladder')]: [
    ['1 … 5', $t('parts.how_the_dog_took_this')],
    ['T', $t('parts.the_timer')],
    ['U', $t('parts.undo_the_last_try')],
  ],
  [$t('parts.on_a_check')]: [
    ['T A C O', $t('parts.touches_paper_passes_bank_card')],
    ['X', $t('parts.reaches_past_its_pad')],
    ['W', $t('parts.say_it_of_the_whole')],
    ['D L M', $t('parts.dark_light_mixed')],
    ['F G H J', $t('parts.straight_usual_hooked_curled')],
    ['Enter N P', $t('parts.next_and_previous_nail')],
  ],
}
</script>

<template>
  <BModal
    v-model="open"
    :title="$t('parts.keys')"
    ok-only
    :ok-title="$t('parts.close')"
    :header-close-label="$t('parts.close')"
    ok-variant="plain"
    no-fade
    scrollable
  >
    <template v-for="(keys, where) in places" :key="where">
      <h3>{{ where }}</h3>
      <table>
        <tbody>
          <tr v-for="[key, what] in keys" :key="key">
            <td class="nowrap">
              <kbd>{{ key }}</kbd>
            </td>
            <td>{{ what }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </BModal>
</template>

<style scoped>
h3:not(:first-child) {
  margin-top: 1rem;
}
</style>
