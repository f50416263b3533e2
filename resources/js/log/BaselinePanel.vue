<script setup lang="ts">
import { ref } from 'vue';
import { api, ask, type Baseline, type Report, type SessionLine } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useUndo } from '@/stores/undo';
import { day, hour } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';
import AveragesTable from './AveragesTable.vue';
import { adaptersOf, BASELINE_LETTERS } from './sessionNames';

/** Sessions of the same car to compare this one with: what differs, and what else was different. */
const props = defineProps<{ report: Report }>();
const emit = defineEmits<{ judged: [report: Report] }>();

const account = useAccount();
const undo = useUndo();
const { error, attempt } = useAttempt();
/** As many of the newest as can be chosen from. */
const MOST = 500;
const others = ref<SessionLine[] | null>(null);

const when = (s: { started_at: string }) => day(s.started_at, account.zone);
const label = (s: SessionLine) =>
  listed('dot', [`${when(s)}, ${hour(s.started_at, account.zone)}`, s.outlet.name, adaptersOf(s)]);
const path = (baseline: string) => ({ params: { path: { session: props.report.session.id, baseline } } });

/** Asked for when somebody wants to choose. */
async function open(): Promise<void> {
  await attempt(async () => {
    const kept = new Set([props.report.session.id, ...props.report.baselines.map((b) => b.id)]);
    const query = { vehicle: props.report.session.vehicle.id, most: MOST };
    others.value = (await ask(api.GET('/sessions', { params: { query } }))).sessions.filter(
      (s) => s.finished_at !== null && !kept.has(s.id),
    );
  });
}
async function keep(id: string): Promise<void> {
  await attempt(async () => {
    emit('judged', await ask(api.PUT('/sessions/{session}/baselines/{baseline}', path(id))));
    others.value = null;
  });
}
async function drop(baseline: Baseline): Promise<void> {
  await attempt(async () => {
    emit('judged', await ask(api.DELETE('/sessions/{session}/baselines/{baseline}', path(baseline.id))));
    undo.done(say('report.baseline_gone', { day: when(baseline) }), () => keep(baseline.id));
  });
}
function chosen(event: Event): void {
  const id = (event.target as HTMLSelectElement).value;
  if (id) {
    void keep(id);
  }
}
</script>

<template>
  <section aria-labelledby="baselines-title">
    <h2 id="baselines-title">{{ say('report.baselines') }}</h2>
    <p v-if="report.baselines.length === 0" class="quiet small">{{ say('report.no_baselines') }}</p>
    <ul>
      <li v-for="(b, i) in report.baselines" :key="b.id">
        <p>
          <strong>{{ BASELINE_LETTERS[i] }}</strong>
          <RouterLink :to="`/log/${b.id}`">{{ listed('dot', [when(b), b.outlet.name]) }}</RouterLink>
        </p>
        <p>{{ b.comparison.sentence }}</p>
        <ul v-if="b.comparison.confounders.length > 0" class="small quiet">
          <li v-for="c in b.comparison.confounders" :key="c.code">{{ c.detail }}</li>
        </ul>
        <AveragesTable
          folds
          :windows="b.comparison.windows.with"
          :other="b.comparison.windows.without"
          :heads="[say('averages.this'), BASELINE_LETTERS[i] ?? '']"
        />
        <TextButton v-if="account.may('record')" @click="drop(b)">
          {{ say('report.drop_baseline') }}
        </TextButton>
      </li>
    </ul>
    <template v-if="account.may('record')">
      <select v-if="others" :aria-label="say('report.choose_baseline')" @change="chosen">
        <option value="">{{ say('report.choose_baseline') }}</option>
        <option v-for="s in others" :key="s.id" :value="s.id">{{ label(s) }}</option>
      </select>
      <TextButton v-else @click="open">{{ say('report.choose_baseline') }}</TextButton>
    </template>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  </section>
</template>

<style scoped>
ul {
  margin: var(--space-2) 0 var(--space-4);
  padding: 0;
  list-style: none;
}

p {
  margin: var(--space-1) 0;
}

strong {
  margin-inline-end: var(--space-3);
}

.small {
  font-size: var(--size-small);
}

select {
  width: 100%;
}
</style>
