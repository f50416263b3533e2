<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useBoard } from '@/stores/board';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import { say } from '@/words/say';
import BoardStop from './BoardStop.vue';
import TourChoice from './TourChoice.vue';
import CheckCar from './CheckCar.vue';
import { counted } from './chargesCount';
import { useNear } from './useNear';

/** The board on a phone: one car at a time, each charger a row with its joint, its kW and the reason. */
const emit = defineEmits<{ choose: [outlet: string, vehicle: string, opensWhy: boolean] }>();

const garage = useGarage();
const board = useBoard();
const rail = useRail();
const { near, watch: watchRow } = useNear((id, isSeen) => board.see(id, isSeen));
const chosen = ref(rail.pick.vehicle ?? '');
const car = computed(() => garage.vehicle(chosen.value) ?? garage.cars[0]);
const sections = computed(() => garage.sections.filter((p) => p.outlets.length > 0));
/** A list that is soon drawn is drawn as a whole; of a longer one what is near. */
const FEW_ROWS = 80;
const isLong = computed(() => garage.outlets.length > FEW_ROWS);
const isNear = (outlet: string) => !isLong.value || near.has(outlet);

/** At how many outlets each car charges; nothing where not every one is known. */
function count(vehicle: string, how: 'short' | 'long'): string {
  const cells = garage.outlets.map((o) => board.cell(o.id, vehicle));
  return cells.every(Boolean)
    ? counted(cells.filter((c) => c?.flows === 'yes').length, cells.length, garage.areKinds)[how]
    : '';
}

// Another car came into the rail, from an address or from another stage.
watch(
  () => rail.pick.vehicle,
  (vehicle) => (chosen.value = vehicle ?? chosen.value),
);
</script>

<template>
  <div v-if="car" class="phone" role="group" :aria-label="say('board.grid')">
    <TourChoice />
    <div class="cars" role="group" :aria-label="say('board.one_car')">
      <button
        v-for="v in garage.cars"
        :key="v.id"
        type="button"
        class="chip"
        :aria-pressed="v.id === car.id"
        @click="chosen = v.id"
      >
        {{ v.name }} <span class="figures count">{{ count(v.id, 'short') }}</span>
      </button>
    </div>
    <p class="counts">{{ count(car.id, 'long') }}</p>
    <section v-for="place in sections" :key="place.id" :aria-label="place.name">
      <h2>{{ place.name }}</h2>
      <ul>
        <BoardStop
          v-for="o in place.outlets"
          :key="o.id"
          :outlet="o"
          :car="car"
          :is-near="isNear(o.id)"
          @choose="emit('choose', o.id, car.id, false)"
          @there="(element) => isLong && watchRow(o.id, element)"
        />
      </ul>
    </section>
    <CheckCar :vehicle="car.id" />
  </div>
</template>

<style scoped>
.cars {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  margin: 0 calc(-1 * var(--space-6));
  padding: var(--space-4) var(--space-6);
  background: var(--paper);
}

.chip {
  min-height: 36px;
  padding: var(--space-2) var(--space-6);
  border: 1.5px solid var(--line-strong);
  background: var(--paper-raised);
  color: var(--ink);
  font: inherit;
  font-weight: 600;
}

.chip[aria-pressed='true'] {
  border-color: var(--ink);
  background: var(--ink);
  color: var(--on-ink);
}

.count {
  /* Room for it before every answer is there. */
  display: inline-block;
  min-width: 2.9em;
  font-size: var(--size-small);
  font-weight: 500;
}

/* Room for it before every answer is there. */
.counts {
  min-height: 1.3em;
  font-weight: 620;
}

h2 {
  margin: var(--space-5) 0 var(--space-1);
  color: var(--ink-soft);
  font-size: var(--size-label);
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
