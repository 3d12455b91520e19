<script setup lang="ts">
/** Words of the trade, and the few of our own, each explained once. */
const words: [string, string][] = [
  ['Quick', 'The live part inside the nail. It has blood and nerves: a cut into it bleeds and hurts.'],
  ['Safe to trim', 'How much may come off before your safety margin in front of the quick is reached. It is worked out for each nail, with a range.'],
  ['Cut end', 'What you see when you look straight at the end after a cut. Its colour says how near the quick is.'],
  ['Thin slice', 'A cut of about half a millimetre. Near the quick every cut is one, and you look after each.'],
  ['First sign', 'The first look of a cut end that says the quick is near: a dark centre, a blush of pink.'],
  ['Dot', 'A small dark or pink spot in the cut end. The quick is right behind it: stop.'],
  ['Groove', 'The furrow on the underside of a nail. Where it ends, the quick begins to be near.'],
  ['Dewclaw', 'The toe higher up on the leg. It never meets the floor, so it is never worn and can curl.'],
  ['LF3, RH1', 'A nail by code: left or right, fore or hind, and the toe. 1 is the dewclaw, then 2 to 5 from the inside out.'],
  ['On the floor', 'The nail touches a hard floor when the dog stands. Walking pushes it back into the toe.'],
  ['Long quick', 'A quick that grew forward with a nail that was left long. Short trims, often, let it draw back over weeks.'],
  ['How often', 'The time between two trims. At some interval the quick stops growing; more often, it draws back.'],
  ['Check of the feet', 'A look at all four feet without a tool: which nails touch, what colour they are, what hurts.'],
  ['Ladder', 'Training in small steps, until a dog gives its paw and stays calm.'],
  ['About 1 in 250', 'Of 250 cuts like this one, about one would bleed. Very unlikely: fewer than 1 in 1000.'],
  ['Range', 'Two numbers between which the truth lies nine times in ten.'],
]
</script>

<template>
  <div class="screen">
    <div class="screen-head"><h1>What the words mean</h1><div class="aside"><RouterLink to="/chart" class="btn btn-plain">Paw chart, to print</RouterLink></div></div>
    <dl>
      <template v-for="[word, says] in words" :key="word"><dt>{{ word }}</dt><dd>{{ says }}</dd></template>
    </dl>
  </div>
</template>

<style scoped>
dl { display: grid; gap: 0 2rem; grid-template-columns: minmax(8rem, 12rem) minmax(0, 40rem); margin: 0; }
dt, dd { border-top: 1px solid var(--line); margin: 0; padding-block: 0.6rem; }
@media (max-width: 700px) { dl { grid-template-columns: minmax(0, 1fr); } dd { border-top: 0; padding-top: 0; } }
</style>
