<script setup lang="ts">
import { onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { api, ask, wordsOf, type Report, type SessionLine } from '@/api/client';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import EmptyState from '@/ui/EmptyState.vue';
import Said from '@/words/Said.vue';
import { say } from '@/words/say';
import BeforeConnect from './BeforeConnect.vue';
import NowSession from './NowSession.vue';
import OpenSessions from './OpenSessions.vue';

const route = useRoute();
const router = useRouter();
const rail = useRail();
const garage = useGarage();
const open = ref<SessionLine[]>([]);
const report = ref<Report | null>(null);
const error = ref('');

async function load(): Promise<void> {
  error.value = '';
  try {
    const id = typeof route.params.id === 'string' ? route.params.id : '';
    if (id === '') {
      report.value = null;
      const { sessions } = await ask(api.GET('/sessions'));
      open.value = sessions.filter((s) => s.finished_at === null);
    } else if (report.value?.session.id !== id) {
      report.value = await ask(api.GET('/sessions/{session}', { params: { path: { session: id } } }));
      await rail.follow(report.value.session);
    }
  } catch (e) {
    error.value = wordsOf(e);
  }
}

async function begun(started: Report): Promise<void> {
  report.value = started;
  await router.push(`/connect/${started.session.id}`);
}

onMounted(load);
watch(() => route.params.id, load);
</script>

<template>
  <div class="connect-stage">
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <NowSession v-else-if="report" :key="report.session.id" v-model="report" />
    <template v-else-if="route.params.id === undefined || route.params.id === ''">
      <OpenSessions v-if="open.length > 0" :sessions="open" />
      <EmptyState v-if="garage.areKinds && rail.answer" :title="say('connect.kind')">
        <p>
          <Said code="why.kind">
            <template #kit
              ><RouterLink to="/kit">{{ say('screen.kit') }}</RouterLink></template
            >
          </Said>
        </p>
      </EmptyState>
      <BeforeConnect v-else-if="rail.answer" @begun="begun" />
      <EmptyState v-else-if="open.length === 0" :title="say('connect.empty')">
        <p>
          <Said code="connect.empty_how">
            <template #board
              ><RouterLink to="/board">{{ say('connect.choose_cell') }}</RouterLink></template
            >
            <template #key><kbd>3</kbd></template>
          </Said>
        </p>
      </EmptyState>
    </template>
    <p v-else class="quiet loading" role="status">{{ say('connect.opening') }}</p>
  </div>
</template>

<style scoped>
.connect-stage {
  max-width: 1160px;
  margin: 0 auto;
  padding: 20px;
}

@media (width <= 720px) {
  .connect-stage {
    padding: 12px;
  }
}
</style>
