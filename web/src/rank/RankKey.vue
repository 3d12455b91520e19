<template>
  <!-- What the rank's marks mean, in the order in which the eye meets them. -->
  <ul class="rank-key">
    <li><span class="swatch quick" />quick</li>
    <li><span class="swatch unsure" />may be quick</li>
    <li><span class="swatch spare" />safe to trim</li>
    <li><span class="swatch touch" />on the floor</li>
    <li><span class="swatch guess" />dashed edge or floor: assumed, not measured</li>
  </ul>
</template>
