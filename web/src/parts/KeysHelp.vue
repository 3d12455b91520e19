<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next/components/BModal'

const open = defineModel<boolean>({ required: true })
const places = {
  'Everywhere': [
    ['/', 'search a dog by name'],
    ['g d', 'go to Due'],
    ['g b', 'go to the trim that is under way'],
    ['g l', 'go to Ladder'],
    ['g r', 'go to How often, of the dog that is open'],
    ['g k', 'go to Kit'],
    ['g p', 'go to Practice'],
    ['g n', 'go to today, of a groomer'],
    ['g o', 'go to the week, of a groomer'],
    ['g t', 'the telephone: book a visit, of a groomer'],
    ['g a', 'add a dog'],
    ['g w', 'what the words mean'],
    ['g s', 'settings'],
    ['?', 'these keys'],
  ],
  'While recording a trim': [
    ['0–9 Enter', 'the number for this nail, then the next nail'],
    ['Space', 'as planned, then the next nail'],
    ['A', 'everything not said yet: as planned'],
    ['S', 'left out, then the next nail'],
    ['B', 'it bled'],
    ['R', 'how the dog was about it: the next word'],
    ['F', 'it took force'],
    ['N P', 'next and previous nail'],
    ['U', 'undo'],
    ['Ctrl Enter', 'save the trim'],
  ],
  'While practising': [
    ['1–5', 'how thick, or what the end shows'],
    ['Enter', 'cut; then the next nail'],
    ['S', 'stop here'],
    ['L', 'look at the nail'],
    ['N', 'the next nail'],
  ],
  'At the bench': [
    ['Space', 'the next thing: this nail is done and showed no sign, or the next cut, or the next nail'],
    ['1 … 7', 'what the cut end shows: one press says the whole nail by it'],
    ['+ −', 'one cut more, one less, than it was likely to be'],
    ['T W', 'one touch of the grinder, and its next pass'],
    ['E', 'sides and top'],
    ['S', 'stop this nail or leave it out, then the next'],
    ['N P', 'next and previous nail'],
    ['U', 'undo'],
    ['B', 'blood'],
    ['Page down, page up', 'a pedal: the next thing; it stopped at the sign'],
  ],
  'In the week': [
    ['[ ]', 'the day before, the day after'],
    ['↑ ↓', 'move the chosen visit by five minutes; page up and down by half an hour'],
    ['← →', 'move it to another day'],
    ['Enter', 'leave it there'],
    ['Esc', 'back to where it was'],
  ],
  'In a history': [
    ['← →', 'read off the day before, the day after'],
    ['Home End', 'the first, the last'],
  ],
  'Getting ready': [
    ['Enter', 'start the trim'],
    ['H', 'a helper is here, or not'],
  ],
  'On the ladder': [
    ['1 … 5', 'how the dog took this try'],
    ['T', 'the timer'],
    ['U', 'undo the last try'],
  ],
  'On a check of the feet': [
    ['T A C O', 'touches, paper passes, bank card passes, coin passes'],
    ['X', 'reaches past its pad'],
    ['W', 'say it of the whole paw, or of one nail'],
    ['D L M', 'dark, light, mixed'],
    ['F G H J', 'straight, usual, hooked, curled'],
    ['Enter N P', 'next and previous nail'],
  ],
}
</script>

<template>
  <BModal v-model="open" title="Keys" ok-only ok-title="Close" ok-variant="plain" no-fade scrollable>
    <template v-for="(keys, where) in places" :key="where">
      <h3>{{ where }}</h3>
      <table><tbody><tr v-for="[key, what] in keys" :key="key"><td class="nowrap"><kbd>{{ key }}</kbd></td><td>{{ what }}</td></tr></tbody></table>
    </template>
  </BModal>
</template>

<style scoped>
h3:not(:first-child) { margin-top: 1rem; }
</style>
