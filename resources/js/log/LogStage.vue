<script setup lang="ts">
import { useIntersectionObserver, useMediaQuery } from '@vueuse/core';
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useAccount } from '@/stores/account';
import EmptyState from '@/ui/EmptyState.vue';
import TextButton from '@/ui/TextButton.vue';
import ZoneNote from '@/ui/ZoneNote.vue';
import Said from '@/words/Said.vue';
import { say } from '@/words/say';
import ComparePair from './ComparePair.vue';
import LogChunk from './LogChunk.vue';
import LogFilters from './LogFilters.vue';
import LogSums from './LogSums.vue';
import { useLog } from './useLog';
import { usePicks } from './usePicks';

/** Loaded when first needed. */
const EnterSession = defineAsyncComponent(() => import('./EnterSession.vue'));

const { sessions, total, next, error, filter, isFiltered, want, showAll, more, again } = useLog();
const { picked, isPicked, canPick, pick, unpick } = usePicks(sessions);
const account = useAccount();
const route = useRoute();
const router = useRouter();
/** A chain that must not be connected leads here from the board. */
const isEntering = ref(route.query.enter !== undefined);

function closeEntry(): void {
  isEntering.value = false;
  if (route.query.enter !== undefined) {
    void router.replace({ query: { ...route.query, enter: undefined } });
  }
}
const isWide = useMediaQuery('(width > 900px)');
/** The sums above the list are there. */
const isSettled = ref(false);
const end = useTemplateRef<HTMLElement>('end');
useIntersectionObserver(end, ([seen]) => seen?.isIntersecting && void more(), {
  root: computed(() => end.value?.closest<HTMLElement>('#stage')),
  rootMargin: '800px',
});

/** So many are drawn, or left out of the page, together. */
const CHUNK = 20;
const chunks = computed(() => {
  const all = sessions.value ?? [];
  return Array.from({ length: Math.ceil(all.length / CHUNK) }, (_, i) => all.slice(i * CHUNK, (i + 1) * CHUNK));
});
const isEmpty = computed(() => sessions.value?.length === 0 && !isFiltered.value);
</script>

<template>
  <EmptyState v-if="error && sessions === null" :title="say('log.not_here')">
    <p role="alert">{{ error }}</p>
    <p>
      <Said code="log.not_here_how">
        <template #connect
          ><RouterLink to="/connect">{{ say('screen.connect') }}</RouterLink></template
        >
      </Said>
    </p>
    <p>
      <TextButton @click="again">{{ say('log.again') }}</TextButton>
    </p>
  </EmptyState>
  <p v-else-if="error" class="complaint" role="alert">{{ error }}</p>
  <p v-else-if="sessions === null" class="quiet loading" role="status">{{ say('log.opening') }}</p>
  <EmptyState v-else-if="isEmpty" :title="say('log.empty')">
    <p>
      <Said code="log.empty_how">
        <template #board
          ><RouterLink to="/board">{{ say('connect.choose_cell') }}</RouterLink></template
        >
        <template #key><kbd>n</kbd></template>
      </Said>
    </p>
  </EmptyState>
  <section v-else class="log" aria-labelledby="log-title">
    <header>
      <div>
        <h1 id="log-title">{{ say('log.title') }}</h1>
        <p class="quiet" role="status">{{ say('log.count', { n: total }) }}</p>
        <ZoneNote :zone="account.zone" />
      </div>
      <TextButton v-if="account.may('record')" aria-haspopup="dialog" @click="isEntering = true">{{
        say('enter.title')
      }}</TextButton>
    </header>
    <LogFilters :filter="filter" :is-filtered="isFiltered" @want="want" @all="showAll" />
    <details :open="isWide" class="look">
      <summary :class="{ none: isWide }">{{ say('log.sums') }}</summary>
      <LogSums :filter="filter" @settled="isSettled = true" />
    </details>
    <ComparePair v-if="picked.length > 0" :pair="picked" @none="unpick" />
    <div v-show="isSettled" class="sessions">
      <LogChunk
        v-for="(chunk, i) in chunks"
        :key="chunk[0]?.id"
        :sessions="chunk"
        :is-first="i === 0"
        :is-picked="isPicked"
        :can-pick="canPick"
        @pick="pick"
      />
    </div>
    <p v-if="sessions.length === 0" class="quiet">{{ say('log.nothing') }}</p>
    <p ref="end">
      <TextButton v-if="next" @click="more">
        {{ say('log.more', { n: total - sessions.length }) }}
      </TextButton>
    </p>
  </section>
  <el-dialog
    :model-value="isEntering"
    :title="say('enter.title')"
    width="min(520px, 94%)"
    append-to-body
    destroy-on-close
    @close="closeEntry"
  >
    <EnterSession @cancel="closeEntry" />
  </el-dialog>
</template>

<style scoped>
.log {
  max-width: 1160px;
  margin: 0 auto;
  padding: var(--space-7) var(--space-8) var(--space-10);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-7);
  align-items: baseline;
  justify-content: space-between;
}

.sessions {
  margin-top: var(--space-5);
  border-top: 1.5px solid var(--ink);
}

summary.none {
  display: none;
}

summary {
  min-height: 32px;
  cursor: pointer;
  font-weight: 600;
}

.loading,
.complaint {
  margin: var(--space-10);
}
</style>
