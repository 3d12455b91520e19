<script setup lang="ts">
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import RankPicture from '../../rank/RankPicture.vue'

/** What the owner takes home: printed, and not on the screen. In words that need no trade. */
defineProps<{ card: Schemas['Card']; sitting: Schemas['Bench'] }>()
</script>

<template>
  <article class="card" :lang="card.language" :aria-label="$t('saved.card_for_the_owner')">
    <h1 dir="auto">{{ card.name }}</h1>
    <p>{{ card.done }} {{ card.how }}</p>
    <p v-if="card.bled">
      <strong>{{ card.bled }}</strong>
    </p>
    <div class="ranks">
      <div>
        <h2>{{ card.headings.before }}</h2>
        <RankPicture v-if="sitting.rank_before" :rank="sitting.rank_before" size="narrow" />
      </div>
      <div>
        <h2>{{ card.headings.after }}</h2>
        <RankPicture v-if="sitting.rank_after" :rank="sitting.rank_after" size="narrow" />
      </div>
    </div>
    <p class="legend">{{ card.headings.legend }}</p>
    <h2>{{ card.headings.home }}</h2>
    <ul>
      <li v-for="words in card.home" :key="words">{{ words }}</li>
    </ul>
    <p v-if="card.next" class="next">
      <strong>{{ card.next }}</strong>
    </p>
    <figure v-if="card.page">
      <svg
        :viewBox="`-2 -2 ${card.page.size + 4} ${card.page.size + 4}`"
        width="110"
        height="110"
        role="img"
        :aria-label="$t('saved.this_card_as_a_page')"
      >
        <path :d="card.page.path" />
      </svg>
      <figcaption class="legend">
        {{ card.headings.page }} <bdi>{{ card.page.url }}</bdi>
      </figcaption>
    </figure>
  </article>
</template>

<style scoped>
.card {
  display: none;
}
@media print {
  .card {
    color: #000;
    display: block;
    max-width: 16cm;
  }
  h2 {
    font-size: 1rem;
    margin-top: 0.4cm;
  }
  ul {
    list-style: disc;
    padding-left: 1.2rem;
  }
  .next {
    font-size: 1.25rem;
    margin-top: 0.4cm;
  }
  .legend {
    font-size: 0.8rem;
    overflow-wrap: anywhere;
  }
  figure {
    align-items: center;
    display: flex;
    gap: 0.5cm;
    margin-top: 0.4cm;
  }
}
</style>
