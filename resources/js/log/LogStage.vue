<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { api, ask, type SessionLine } from '@/api/client';
import EmptyState from '@/ui/EmptyState.vue';
import LogLine from './LogLine.vue';

const sessions = ref<SessionLine[] | null>(null);
const error = ref('');

onMounted(async () => {
  try {
    sessions.value = (await ask(api.GET('/sessions'))).sessions;
  } catch (e) {
    error.value = e instanceof Error ? e.message : String(e);
  }
});
</script>

<template>
  <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  <p v-else-if="sessions === null" class="quiet loading" role="status">Opening the log…</p>
  <EmptyState v-else-if="sessions.length === 0" title="No sessions yet">
    <p><RouterLink to="/board">Choose a cell on the board</RouterLink> and start one with <kbd>n</kbd>.</p>
  </EmptyState>
  <section v-else class="log" aria-labelledby="log-title">
    <h1 id="log-title">Log</h1>
    <p class="quiet">{{ sessions.length }} sessions, newest first.</p>
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
