<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import EstimateText from '../../parts/EstimateText.vue'
import { useUnits } from '../../units'
import { shapes } from '../../words'
import { optional } from './put'

/** What a picture says of a nail, with its ranges, beside what was believed before. */
defineProps<{
  said: Schemas['PhotoRead']
  bar: Schemas['Bar']
  /** Whether the card's plane is drawn through the nail. */
  drawn: boolean
}>()
const { length } = useUnits()
const range = (n: Schemas['PhotoNumber']) => `${length.value.bare(n.mm)} (${length.value.range(n.low_mm, n.high_mm)})`
</script>

<template>
  <dl class="numbers" aria-live="polite">
    <dt>{{ $t('photo.length') }}</dt>
    <dd>
      <strong>{{ range(said.length) }}</strong>
    </dd>
    <dd class="soft small">{{ $t('photo.believed') }} <EstimateText :estimate="bar.length" /></dd>
    <template v-if="said.gap"
      ><dt>{{ $t('photo.gap_to_the_floor') }}</dt>
      <dd>{{ range(said.gap) }}</dd>
      <dd class="soft small">
        <template v-if="bar.gap">{{ $t('photo.believed') }} <EstimateText :estimate="bar.gap" /></template></dd
    ></template>
    <template v-for="mark in ['groove', 'pink'] as const" :key="mark"
      ><template v-if="said[mark]"
        ><dt>{{ $t('photo.from_the_tip', { mark: optional[mark] }) }}</dt>
        <dd>{{ range(said[mark]!) }}</dd>
        <dd class="soft small">
          {{ $t('photo.believed_safe_to_trim') }} <EstimateText :estimate="bar.spare" /></dd></template
    ></template>
    <template v-if="said.shape"
      ><dt>{{ $t('photo.shape') }}</dt>
      <dd>
        {{ shapes[said.shape]
        }}<template v-if="said.radius">{{ $t('photo.radius', { radius: range(said.radius) }) }}</template>
      </dd>
      <dd class="soft small">{{ $t('photo.believed_2', { shape: shapes[bar.shape] }) }}</dd></template
    >
    <template v-if="said.stands"
      ><dt>{{ $t('photo.nearer_to_the_camera_than') }}</dt>
      <dd>
        {{
          $t('photo.to', {
            mm: length.bare(said.stands.depth.mm),
            low: length.bare(said.stands.depth.low_mm),
            high: length.show(said.stands.depth.high_mm),
          })
        }}
      </dd>
      <dd class="soft small">{{ $t('photo.by_the_two_pictures_below') }}</dd>
      <dt>{{ $t('photo.tip_leaning_towards_the_camera') }}</dt>
      <dd>
        {{
          $t('photo.to_2', {
            lean: said.stands.lean_deg.toFixed(0),
            lean_low: said.stands.lean_low_deg.toFixed(0),
            lean_high: said.stands.lean_high_deg.toFixed(0),
          })
        }}
      </dd>
      <dd class="soft small">{{ $t('photo.reckoned_with_in_every_number') }}</dd></template
    >
    <template v-if="said.past_pad"
      ><dt>{{ $t('photo.past_the_pad_by') }}</dt>
      <dd>{{ range(said.past_pad) }}</dd>
      <dd class="soft small">
        {{ said.is_past_pad ? $t('photo.past_it') : $t('photo.not_surely_past_it') }}
      </dd></template
    >
  </dl>
  <p class="small soft">
    {{ $t('photo.pixels_a_millimetre', { px_per: said.px_per_mm.toFixed(0) })
    }}<template v-if="said.tilt_deg !== undefined">{{
      $t('photo.held_askew_about_cm_away', {
        tilt: said.tilt_deg.toFixed(0),
        distance: ((said.distance_mm ?? 0) / 10).toFixed(0),
      })
    }}</template
    >{{ $t('photo.ranges_hold_nine_times_in')
    }}<template v-if="drawn"
      >{{ ' ' }}{{ $t('photo.the_thin_lines_are_the')
      }}<template v-if="said.askew">{{ ' ' }}{{ $t('photo.held_squarely_the_range_is') }}</template></template
    >
  </p>
</template>

<style scoped>
.numbers {
  display: grid;
  gap: 0.15rem 0.75rem;
  grid-template-columns: auto auto;
  margin: 0.75rem 0 0.5rem;
}
.numbers dt {
  font-weight: 400;
}
.numbers dd {
  margin: 0;
  text-align: right;
}
.numbers dd + dd {
  border-bottom: 1px solid var(--line);
  grid-column: 1 / -1;
  padding-bottom: 0.25rem;
}
p {
  margin: 0 0 0.4rem;
}
</style>
