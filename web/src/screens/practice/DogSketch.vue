<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'

/** A dog in a few lines, by what it shows: tail, mouth, eyes, body. */
defineProps<{ dog: Schemas['SceneDog'] }>()
</script>

<template>
  <svg
    viewBox="0 0 300 200"
    :class="['sketch', dog.body, dog.tail]"
    role="img"
    :aria-label="$t('practice.a_line_drawing_of_the')"
  >
    <line v-if="dog.body !== 'lying'" x1="20" y1="184" x2="284" y2="184" class="floor" />
    <g class="whole">
      <g v-if="dog.body === 'lying'">
        <path d="M40 160C60 118 150 116 190 140L196 172L44 176Z" />
        <path d="M60 174h70M140 174h50" />
      </g>
      <g v-else>
        <path class="back" d="M70 92C110 78 150 80 188 92L192 132C150 142 108 140 74 132Z" />
        <path d="M82 130L78 184M100 134L98 184M168 136L168 184M186 130L190 184" />
        <path v-if="dog.body === 'pulling'" class="hand" d="M190 150h44m-10-8l12 8l-12 8" />
        <path v-if="dog.body === 'leaning'" class="hand" d="M262 40v140" />
      </g>
      <path
        class="tail"
        :d="
          dog.tail === 'loose'
            ? 'M72 96C50 84 40 66 52 48'
            : dog.tail === 'stiff'
              ? 'M72 94L34 62'
              : 'M72 98C58 112 62 138 74 150'
        "
      />
      <path v-if="dog.tail === 'loose'" class="wag" d="M36 56q6 -8 14 -12M66 44q4 8 2 16" />
      <g class="head">
        <path
          class="skull"
          d="M186 96C178 62 196 40 224 42C252 44 262 62 258 82C256 98 244 104 228 106C206 108 192 104 186 96Z"
        />
        <path
          :d="
            dog.eyes === 'hard'
              ? 'M196 50L192 24L210 42'
              : dog.tail === 'loose'
                ? 'M196 52C184 56 180 70 186 82'
                : 'M196 50C182 46 174 52 172 64'
          "
        />
        <path v-if="dog.mouth === 'closed'" d="M258 84C250 92 240 94 230 92" />
        <path v-else-if="dog.mouth === 'yawn'" class="mouth" d="M258 80L236 84L244 112L264 96Z" />
        <g v-else-if="dog.mouth === 'lick'">
          <path d="M258 86C250 92 240 94 230 92" />
          <path class="tongue" d="M250 90C258 96 268 86 262 76" />
        </g>
        <g v-else-if="dog.mouth === 'teeth'">
          <path class="mouth" d="M260 78L230 86L236 102L262 92Z" />
          <path d="M240 84l3 7l3 -8l3 7l3 -8l3 6" />
        </g>
        <g v-else>
          <path class="mouth" d="M258 82L234 88L240 100L258 94Z" />
          <path class="tongue" d="M244 98C246 116 258 114 256 98" />
        </g>
        <circle cx="260" cy="72" r="5" class="nose" />
        <g class="eyes">
          <path v-if="dog.eyes === 'shut'" d="M216 66q6 5 12 0" />
          <template v-else>
            <circle cx="222" cy="66" :r="dog.eyes === 'soft' ? 4 : 7" :class="dog.eyes === 'soft' ? 'nose' : 'white'" />
            <circle v-if="dog.eyes !== 'soft'" :cx="dog.eyes === 'whites' ? 218 : 222" cy="66" r="3.4" class="nose" />
            <path v-if="dog.eyes === 'hard'" d="M212 56l18 5" />
          </template>
        </g>
      </g>
      <path v-if="dog.body === 'frozen'" class="wag" d="M60 70v14M130 64v10M200 150v10" />
    </g>
  </svg>
</template>

<style scoped>
.sketch {
  display: block;
  max-width: 460px;
  width: 100%;
}
path,
line,
circle {
  fill: none;
  stroke: var(--ink);
  stroke-linecap: round;
  stroke-linejoin: round;
  stroke-width: 3;
}
.floor {
  stroke: var(--line-strong);
  stroke-width: 1.5;
}
.skull {
  fill: var(--paper);
}
.nose {
  fill: var(--ink);
}
.white {
  fill: #fff;
}
.mouth {
  fill: var(--quick);
  fill-opacity: 0.25;
}
.tongue {
  fill: var(--quick);
  fill-opacity: 0.5;
}
.wag {
  stroke: var(--ink-soft);
  stroke-width: 2;
}
.hand {
  stroke: var(--go);
}
.away .head {
  transform: scaleX(-1);
  transform-box: fill-box;
  transform-origin: 30% 50%;
}
.pulling .whole {
  transform: rotate(-5deg);
  transform-box: fill-box;
  transform-origin: 20% 100%;
}
.leaning .whole {
  transform: rotate(5deg);
  transform-box: fill-box;
  transform-origin: 50% 100%;
}
.stiff .back,
.frozen .back {
  stroke-width: 5;
}
.lying .head {
  transform: translate(-6px, 62px);
}
.lying .tail {
  transform: translate(-28px, 62px);
}
</style>
