<script setup lang="ts">
import { BModal } from 'bootstrap-vue-next/components/BModal'

const open = defineModel<boolean>({ required: true })
const everywhere = [
  ['/', 'search a dog by name'],
  ['g d', 'go to Due'],
  ['g a', 'add a dog'],
  ['g s', 'settings'],
  ['?', 'these keys'],
]
const recording = [
  ['0–9 Enter', 'the number for this nail, then the next nail'],
  ['Space', 'as planned, then the next nail'],
  ['S', 'left out, then the next nail'],
  ['B', 'it bled'],
  ['R', 'how the dog took it: the next word'],
  ['N P', 'next and previous nail'],
  ['U', 'undo'],
  ['Ctrl Enter', 'save the sitting'],
]
const walking = [
  ['T A C O', 'touches, paper passes, bank card passes, coin passes'],
  ['X', 'reaches past its pad'],
  ['W', 'tell it of the whole paw, or of one nail'],
  ['D L M', 'dark, light, mixed'],
  ['F G H J', 'straight, usual, hooked, curled'],
  ['Enter N P', 'next and previous nail'],
]
</script>

<template>
  <BModal v-model="open" title="Keys" ok-only ok-title="Close" ok-variant="plain" no-fade>
    <h3>Everywhere</h3>
    <table><tbody><tr v-for="[key, what] in everywhere" :key="key"><td class="nowrap"><kbd>{{ key }}</kbd></td><td>{{ what }}</td></tr></tbody></table>
    <h3 class="mt">While recording a sitting</h3>
    <table><tbody><tr v-for="[key, what] in recording" :key="key"><td class="nowrap"><kbd>{{ key }}</kbd></td><td>{{ what }}</td></tr></tbody></table>
    <h3 class="mt">On a walk-round</h3>
    <table><tbody><tr v-for="[key, what] in walking" :key="key"><td class="nowrap"><kbd>{{ key }}</kbd></td><td>{{ what }}</td></tr></tbody></table>
  </BModal>
</template>

<style scoped>
.mt { margin-top: 1rem; }
</style>
