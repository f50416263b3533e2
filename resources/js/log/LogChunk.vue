<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import type { SessionLine } from '@/api/client';
import LogLine from './LogLine.vue';

/** Some sessions of the log, drawn while they are near the viewport: a log of years scrolls like one of a week. */
const props = defineProps<{
  sessions: SessionLine[];
  isFirst: boolean;
  isPicked: (session: SessionLine) => boolean;
  canPick: (session: SessionLine) => boolean;
}>();
const emit = defineEmits<{ pick: [session: SessionLine] }>();

/** How high a line is while nobody has seen it, and how far outside the view it is drawn (px). */
const LINE_PX = 84;
const MARGIN_PX = 900;

const list = useTemplateRef<HTMLElement>('list');
/** What scrolls. */
const stage = computed(() => list.value?.closest<HTMLElement>('#stage'));
const isNear = ref(props.isFirst);
const heightPx = ref(LINE_PX * props.sessions.length);

useIntersectionObserver(
  list,
  ([seen]) => {
    // Nobody loses what they stand on.
    if (!seen || (!seen.isIntersecting && list.value?.contains(document.activeElement))) {
      return;
    }
    if (isNear.value && !seen.isIntersecting) {
      heightPx.value = seen.boundingClientRect.height;
    }
    isNear.value = seen.isIntersecting;
  },
  { root: stage, rootMargin: `${MARGIN_PX}px` },
);
</script>

<template>
  <ul ref="list" :style="isNear ? {} : { height: `${heightPx}px` }">
    <template v-if="isNear">
      <li v-for="session in sessions" :key="session.id">
        <LogLine
          :session="session"
          :is-picked="isPicked(session)"
          :can-pick="canPick(session)"
          @pick="emit('pick', session)"
        />
      </li>
    </template>
  </ul>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
