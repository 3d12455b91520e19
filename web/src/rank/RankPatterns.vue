<template>
  <!-- Hatches and fades that every rank draws with, once a page. -->
  <svg width="0" height="0" aria-hidden="true" focusable="false" class="patterns">
    <defs>
      <pattern id="spare-hatch" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="4" height="4" class="hatch-ground" />
        <line x1="0" y1="0" x2="0" y2="4" class="hatch-line" />
      </pattern>
      <pattern id="spare-hatch-mm" width="0.5" height="0.5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="0.5" height="0.5" class="hatch-ground" />
        <line x1="0" y1="0" x2="0" y2="0.5" class="hatch-line-mm" />
      </pattern>
      <linearGradient id="quick-fade" x1="0" y1="0" x2="0" y2="1">
        <stop offset="0" class="fade-start" />
        <stop offset="1" class="fade-end" />
      </linearGradient>
    </defs>
  </svg>
</template>
