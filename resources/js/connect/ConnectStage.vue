<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { api, ask, wordsOf } from '@/api/client';
import { useGarage } from '@/stores/garage';
import { useOutbox } from '@/stores/outbox';
import { useRail } from '@/stores/rail';
import EmptyState from '@/ui/EmptyState.vue';
import Said from '@/words/Said.vue';
import { say } from '@/words/say';
import BeforeConnect from './BeforeConnect.vue';
import OneSession from './OneSession.vue';
import OpenSessions, { type Open } from './OpenSessions.vue';

const route = useRoute();
const router = useRouter();
const rail = useRail();
const garage = useGarage();
const outbox = useOutbox();
const open = ref<Open[]>([]);
const error = ref('');
const id = computed(() => (typeof route.params.id === 'string' ? route.params.id : ''));

/** Open sessions: those on the server, and those it doesn't know yet. */
async function load(): Promise<void> {
  error.value = '';
  if (id.value !== '') {
    return;
  }
  await outbox.look().catch(() => undefined);
  const begun = await outbox.begunHere().catch(() => []);
  const ended = (session: string) => outbox.of(session).some((a) => a.kind === 'finish' || a.kind === 'discard');
  const unsent = begun.filter((b) => outbox.of(b.id).some((a) => a.kind === 'begin'));
  const here = unsent.map((b) => ({
    id: b.id,
    car: b.car.name,
    outlet: b.outlet.name,
    startedAt: new Date(b.startedMs).toISOString(),
  }));
  try {
    const { sessions } = await ask(api.GET('/sessions'));
    const there = sessions
      .filter((s) => s.finished_at === null)
      .map((s) => ({ id: s.id, car: s.vehicle.name, outlet: s.outlet.name, startedAt: s.started_at }));
    open.value = [...here.filter((h) => !there.some((t) => t.id === h.id)), ...there].filter((s) => !ended(s.id));
  } catch (e) {
    open.value = here.filter((s) => !ended(s.id));
    error.value = here.length === 0 ? wordsOf(e) : '';
  }
}

onMounted(load);
watch(id, load);
</script>

<template>
  <div class="connect-stage">
    <OneSession v-if="id !== ''" :id="id" :key="id" />
    <template v-else>
      <p v-if="error" class="complaint" role="alert">{{ error }}</p>
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
      <BeforeConnect v-else-if="rail.answer" @begun="(begun) => router.push(`/connect/${begun}`)" />
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
  </div>
</template>

<style scoped>
.connect-stage {
  max-width: 1160px;
  margin: 0 auto;
  padding: var(--space-8);
}

@media (width <= 720px) {
  .connect-stage {
    padding: var(--space-6);
  }
}
</style>
