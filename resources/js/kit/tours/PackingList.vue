<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { api, ask, type Packing, type Tour } from '@/api/client';
import { useBoard } from '@/stores/board';
import { useDraft } from '@/stores/drafts';
import { useGarage } from '@/stores/garage';
import { day, number } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import { listed, say } from '@/words/say';

/** What to pack for a tour, ticked off on this device: adapters, what its networks need, and what is known about each. */
const props = defineProps<{ tour: Tour }>();
const garage = useGarage();
const board = useBoard();
const packing = ref<Packing | null>(null);
/** What is packed. The ticks stay on this device. */
const packed = ref<string[]>([]);
useDraft(`packed ${props.tour.id}`, packed, 'device');
const { error, attempt } = useAttempt();

watch(
  [() => props.tour.version, () => board.policy, () => garage.adapters, () => garage.networks],
  () =>
    attempt(async () => {
      const params = { path: { tour: props.tour.id }, query: { policy: board.policy } };
      packing.value = await ask(api.GET('/tours/{tour}/pack', { params }));
    }),
  { immediate: true },
);

const places = (ids: string[]): string =>
  listed(
    'and',
    ids.flatMap((id) => garage.places.find((p) => p.id === id)?.name ?? []),
  );
const lines = computed(() => {
  const p = packing.value;
  if (p === null) {
    return [];
  }
  const pieces = p.pieces.map((piece) => {
    const adapter = garage.adapter(piece.adapter);
    return {
      id: piece.adapter,
      name: adapter ? say('rail.tagged', { tag: adapter.tag, name: adapter.name }) : piece.adapter,
      needs: say('packing.for', { places: places(piece.places) }),
      warnings: [
        ...(piece.lent_to ? [say('packing.lent', { who: piece.lent_to })] : []),
        ...(piece.charge ? [say('packing.charge')] : []),
        ...(piece.proven_on ? [] : [say('packing.unproven')]),
      ],
      notes: [
        ...(adapter?.spec.mass_g == null ? [] : [say('crate.weighs', { grams: number(adapter.spec.mass_g) })]),
        ...(adapter?.spec.theft_lock === true ? [say('crate.lock')] : []),
        ...(piece.kept_in ? [say('crate.kept_in', { where: piece.kept_in })] : []),
        ...(piece.proven_on ? [say('packing.proven', { day: day(piece.proven_on, 'UTC') })] : []),
      ],
    };
  });
  const networks = p.networks.map((n) => ({
    id: n.name,
    name: n.name,
    needs: say('packing.for', { places: places(n.places) }),
    warnings: [
      ...(n.to_do.length > 0 ? [say('packing.to_do', { steps: listed('and', n.to_do) })] : []),
      ...(n.checked || n.to_do.length > 0 ? [] : [say('packing.not_checked')]),
    ],
    notes: [
      ...(n.have.length > 0 ? [say('packing.have', { steps: listed('and', n.have) })] : []),
      ...(n.help_line ? [say('packing.help_line', { number: n.help_line })] : []),
    ],
  }));
  return [...pieces, ...networks];
});
/** The stops with their addresses, and the bays where a trailer can stay on. */
const stops = computed(() =>
  (packing.value?.places ?? []).map((p) => ({
    id: p.place,
    name: places([p.place]),
    notes: [
      ...(p.address ? [p.address] : []),
      ...(p.pull_through.length > 0
        ? [say('packing.bays', { stalls: listed('and', p.pull_through), n: p.pull_through.length })]
        : []),
    ],
  })),
);
const done = computed(() => lines.value.filter((l) => packed.value.includes(l.id)).length);
</script>

<template>
  <section class="packing" :aria-label="say('packing.title', { tour: tour.name })">
    <h3>{{ say('packing.title', { tour: tour.name }) }}</h3>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <p v-if="packing && lines.length === 0" class="quiet">{{ say('tours.pack_nothing') }}</p>
    <p v-if="lines.length > 0" class="quiet" role="status">{{ say('packing.done', { n: done, all: lines.length }) }}</p>
    <ul v-if="stops.some((s) => s.notes.length > 0)" class="stops">
      <li v-for="s in stops" :key="s.id">
        <strong>{{ s.name }}</strong> <span class="quiet">{{ listed('dot', s.notes) }}</span>
      </li>
    </ul>
    <ul>
      <li v-for="line in lines" :key="line.id">
        <label>
          <input v-model="packed" type="checkbox" :value="line.id" />
          <strong>{{ line.name }}</strong>
        </label>
        <span class="quiet">{{ listed('dot', [line.needs, ...line.notes]) }}</span>
        <span v-for="w in line.warnings" :key="w" class="warning">{{ w }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.packing {
  margin: var(--space-4) 0 var(--space-7);
  padding: var(--space-5) var(--space-6);
  border: 1.5px solid var(--line-strong);
  background: var(--paper-raised);
}

h3 {
  margin: 0;
  font-size: var(--size-text);
}

ul {
  margin: var(--space-3) 0 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-5);
  align-items: center;
  padding: var(--space-2) 0;
  border-bottom: 1px solid var(--line);
  font-size: var(--size-small);
}

label {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  min-height: 44px;
  font-size: var(--size-text);
}

input {
  width: 20px;
  height: 20px;
}

.warning {
  color: var(--ochre-text);
  font-weight: 600;
}

p {
  margin: var(--space-2) 0 0;
}
</style>
