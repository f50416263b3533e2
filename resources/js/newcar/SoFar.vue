<script setup lang="ts">
import { computed } from 'vue';
import { useGarage } from '@/stores/garage';
import { useTerms } from '@/stores/terms';
import JointGlyph from '@/ui/JointGlyph.vue';
import { ranged } from '@/ui/figures';
import { listed, say, type Code } from '@/words/say';
import type { CarQuestion, NewCar, NewCarRow } from './useNewCar';

/** What the car comes to so far at the kinds of charger, and which answer would narrow it most. */
const props = defineProps<{ draft: NewCar | null }>();

const terms = useTerms();
const garage = useGarage();
/** What may charge as it is stands first, then what an adapter would join. */
const joins = computed(() =>
  (props.draft?.rows ?? [])
    .filter((r) => r.cell.outcome !== 'no_joint' || r.by_adapter)
    .sort((a, b) => Number(a.cell.flows === 'no') - Number(b.cell.flows === 'no')),
);
const left = computed(() => (props.draft?.rows.length ?? 0) - joins.value.length);

/** What stands at the end of a line. */
function figure({ cell, by_adapter }: NewCarRow): string {
  if (cell.flows === 'no') {
    return by_adapter ? say('new_car.by_adapter') : terms.short(cell.outcome);
  }
  return ranged(cell) || terms.short(cell.outcome);
}

const QUESTIONS: Record<CarQuestion, Code> = {
  inlet: 'new_car.narrow_inlet',
  language: 'new_car.narrow_language',
  pack: 'new_car.narrow_pack',
  energy: 'new_car.narrow_energy',
  peak: 'new_car.narrow_peak',
  onboard: 'new_car.narrow_onboard',
};
const narrows = computed(() =>
  listed(
    'comma',
    (props.draft?.narrows ?? []).slice(0, 2).map((q) => say(QUESTIONS[q])),
  ),
);
</script>

<template>
  <section class="so-far" aria-labelledby="so-far-title">
    <h2 id="so-far-title">{{ say('new_car.so_far') }}</h2>
    <p class="quiet">{{ say('new_car.so_far_how') }}</p>
    <p v-if="narrows" class="narrows">
      <strong>{{ say('new_car.narrow_most') }}</strong> {{ narrows }}
    </p>
    <p v-if="joins.length === 0" class="quiet nothing">{{ say('new_car.nothing_yet') }}</p>
    <ul v-else>
      <li v-for="row in joins" :key="row.cell.outlet" :class="row.cell.outcome" :title="row.cell.why">
        <span>{{ row.name }}</span>
        <JointGlyph :outcome="row.cell.outcome" :tags="row.cell.adapters.map(garage.tag)" />
        <span :class="{ figures: row.cell.flows !== 'no' }" class="end">{{ figure(row) }}</span>
        <span class="sr-only">{{ row.cell.title }}</span>
      </li>
    </ul>
    <p v-if="left > 0 && joins.length > 0" class="quiet">{{ say('new_car.no_joint_at', { n: left }) }}</p>
    <p v-if="joins.length > 0" class="quiet small">{{ say('new_car.typical_how') }}</p>
  </section>
</template>

<style scoped>
ul {
  margin: var(--space-5) 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 44px 74px;
  gap: var(--space-4);
  align-items: center;
  min-height: 34px;
  padding: var(--space-2) 0;
  border-bottom: 1px solid var(--line);
  line-height: 1.25;

  --glyph-width: 44px;
}

li .end {
  font-weight: 620;
  text-align: right;
}

.unverified .end {
  color: var(--ochre-text);
}

.wont_charge .end,
.no_joint .end {
  color: var(--ink-soft);
  font-weight: 500;
}

.hazard .end {
  color: var(--brick-text);
}

.narrows {
  margin-top: var(--space-4);
}

.nothing {
  margin-top: var(--space-7);
}

.small {
  font-size: var(--size-small);
}
</style>
