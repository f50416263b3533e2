<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { say } from '@/words/say';
import FeedSession from './feed/FeedSession.vue';
import PlayBench from './play/PlayBench.vue';
import PractiseBench from './practise/PractiseBench.vue';

/** A stand-in car, adapter and charger: to watch a session, to practise, and to feed one. */
const route = useRoute();
const isWide = useMediaQuery('(width > 1180px)');
const subject = computed(() =>
  route.params.subject === 'feed' || route.params.subject === 'practise' ? route.params.subject : 'play',
);
const subjects = [
  { name: 'play', path: '/bench', title: 'play.play' },
  { name: 'practise', path: '/bench/practise', title: 'play.practise' },
  { name: 'feed', path: '/bench/feed', title: 'play.feed' },
] as const;
</script>

<template>
  <div class="bench">
    <Teleport defer to="#stage-tools" :disabled="!isWide">
      <nav class="subjects" :aria-label="say('play.subjects')">
        <RouterLink
          v-for="s in subjects"
          :key="s.name"
          :to="s.path"
          :class="{ here: s.name === subject }"
          :aria-current="s.name === subject ? 'page' : undefined"
          >{{ say(s.title) }}</RouterLink
        >
      </nav>
    </Teleport>
    <PlayBench v-if="subject === 'play'" />
    <PractiseBench v-else-if="subject === 'practise'" />
    <FeedSession v-else />
  </div>
</template>

<style scoped>
.bench {
  max-width: 1320px;
  margin: 0 auto;
  padding: var(--space-6) var(--space-8) var(--space-11);
}

.subjects {
  display: flex;
  width: fit-content;
  background: var(--paper-sunk);
}

.subjects a {
  display: flex;
  align-items: center;
  min-height: 44px;
  padding: 0 var(--space-8);
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
}

.subjects a:hover {
  background: var(--ink-wash);
}

.subjects a.here {
  background: var(--ink);
  forced-color-adjust: none;
  color: var(--on-ink);
}

@media (width <= 1180px) {
  .subjects {
    margin-bottom: var(--space-6);
  }
}
</style>
