<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { api, ask, type Comparison, type SessionLine } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useUnits } from '@/stores/units';
import { useTerms } from '@/stores/terms';
import { day } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';
import AveragesTable from './AveragesTable.vue';
import { adaptersOf } from './sessionNames';

/** Two sessions that were picked: what differs between them, and what else was different. */
const props = defineProps<{ pair: SessionLine[] }>();
const emit = defineEmits<{ none: [] }>();

const account = useAccount();
const router = useRouter();
const terms = useTerms();
const units = useUnits();
const { error, attempt } = useAttempt();
const comparison = ref<Comparison | null>(null);
/** Compares the one with more adapters with the one with fewer; else the newer with the older. */
const ordered = computed(() =>
  [...props.pair].sort((a, b) => b.adapters.length - a.adapters.length || b.started_at.localeCompare(a.started_at)),
);
const withIt = computed(() => ordered.value[0]);
const without = computed(() => ordered.value[1]);
const name = (s: SessionLine) => listed('dot', [day(s.started_at, account.zone), adaptersOf(s)]);
const rises = computed(() =>
  (comparison.value?.rises ?? []).map((r) =>
    say('log.rises', {
      point: terms.words('point', r.point),
      with: r.with_k === null ? say('report.not_read') : units.rise(r.with_k),
      without: r.without_k === null ? say('report.not_read') : units.rise(r.without_k),
    }),
  ),
);

watch(
  () => props.pair.map((s) => s.id).join(),
  () =>
    attempt(async () => {
      comparison.value = null;
      const [a, b] = [withIt.value, without.value];
      if (a && b) {
        comparison.value = await ask(api.GET('/compare', { params: { query: { with: a.id, without: b.id } } }));
      }
    }),
  { immediate: true },
);

async function keep(): Promise<void> {
  const [a, b] = [withIt.value, without.value];
  if (a && b) {
    await attempt(async () => {
      await ask(
        api.PUT('/sessions/{session}/baselines/{baseline}', { params: { path: { session: a.id, baseline: b.id } } }),
      );
      await router.push(`/log/${a.id}`);
    });
  }
}
</script>

<template>
  <section class="pair" aria-live="polite" :aria-label="say('log.pair')">
    <template v-if="withIt && without">
      <p class="quiet">{{ say('log.pair_of', { with: name(withIt), without: name(without) }) }}</p>
      <p v-if="comparison" class="sentence">{{ comparison.sentence }}</p>
      <ul v-if="comparison">
        <li v-for="line in rises" :key="line">{{ line }}</li>
        <li v-for="c in comparison.confounders" :key="c.code">{{ c.detail }}</li>
      </ul>
      <AveragesTable
        v-if="comparison"
        folds
        :windows="comparison.windows.with"
        :other="comparison.windows.without"
        :heads="[name(withIt), name(without)]"
      />
    </template>
    <p v-else>{{ say('log.pick_another') }}</p>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <p class="acts">
      <TextButton v-if="comparison && account.may('record')" @click="keep">
        {{ say('log.keep_baseline') }}
      </TextButton>
      <TextButton @click="emit('none')">{{ say('log.unpick') }}</TextButton>
    </p>
  </section>
</template>

<style scoped>
.pair {
  position: sticky;
  top: 0;
  z-index: 2;
  margin: var(--space-4) 0;
  padding: var(--space-4) var(--space-6);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
}

.sentence {
  font-family: var(--face-wide);
  font-weight: 650;
}

ul {
  margin: var(--space-2) 0;
  padding-inline-start: var(--space-7);
  font-size: var(--size-label);
}

p {
  margin: var(--space-1) 0;
}

.acts {
  display: flex;
  gap: var(--space-7);
}
</style>
