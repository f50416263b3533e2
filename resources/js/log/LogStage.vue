<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { api, ask, wordsOf, type SessionLine } from '@/api/client';
import EmptyState from '@/ui/EmptyState.vue';
import Said from '@/words/Said.vue';
import { say } from '@/words/say';
import LogLine from './LogLine.vue';

const sessions = ref<SessionLine[] | null>(null);
const error = ref('');

onMounted(async () => {
  try {
    sessions.value = (await ask(api.GET('/sessions'))).sessions;
  } catch (e) {
    error.value = wordsOf(e);
  }
});
</script>

<template>
  <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  <p v-else-if="sessions === null" class="quiet loading" role="status">{{ say('log.opening') }}</p>
  <EmptyState v-else-if="sessions.length === 0" :title="say('log.empty')">
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
    <h1 id="log-title">{{ say('log.title') }}</h1>
    <p class="quiet">{{ say('log.count', { n: sessions.length }) }}</p>
    <ul>
      <li v-for="session in sessions" :key="session.id"><LogLine :session="session" /></li>
    </ul>
  </section>
</template>

<style scoped>
.log {
  max-width: 1160px;
  margin: 0 auto;
  padding: 18px 20px 30px;
}

ul {
  margin: 10px 0 0;
  padding: 0;
  border-top: 1.5px solid var(--ink);
  list-style: none;
}

.loading,
.complaint {
  margin: 30px;
}
</style>
