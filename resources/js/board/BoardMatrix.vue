<script setup lang="ts">
import { computed, ref } from 'vue';
import { useBoard } from '@/stores/board';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import JointGlyph from '@/ui/JointGlyph.vue';
import { kw, outcomeShort, outcomeWords } from '@/ui/words';

const emit = defineEmits<{ choose: [outlet: string, vehicle: string, opensWhy: boolean] }>();

const garage = useGarage();
const board = useBoard();
const rail = useRail();
const grid = ref<HTMLElement>();

const rowOf = computed(() => new Map(garage.outlets.map((o, i) => [o.id, i])));
const isChosen = (o: string, v: string) => rail.pick.outlet === o && rail.pick.vehicle === v;
const hasChoice = computed(() => Boolean(rail.outlet && rail.vehicle));
/** One cell of the grid takes the Tab key: the chosen one, or the first. */
const takesTab = (o: string, v: string) =>
  hasChoice.value ? isChosen(o, v) : o === garage.outlets[0]?.id && v === garage.vehicles[0]?.id;

function words(outletId: string, vehicleId: string): string {
  const cell = board.cell(outletId, vehicleId);
  if (!cell) {
    return 'not known yet';
  }
  const flows = cell.outcome === 'charges' || cell.outcome === 'limited';
  const through = cell.adapters.length > 0 ? ` through ${cell.adapters.map(garage.tag).join(' and ')}` : '';
  return `${garage.vehicle(vehicleId)?.name} at ${garage.outlet(outletId)?.name}: ${outcomeWords[cell.outcome]}${flows ? `, ${kw(cell.expected_peak_kw)} kW` : ''}${through}`;
}

function figure(outletId: string, vehicleId: string): string {
  const cell = board.cell(outletId, vehicleId);
  return !cell ? '' : outcomeShort[cell.outcome] || kw(cell.expected_peak_kw);
}

function move(event: KeyboardEvent, row: number, column: number): void {
  const steps: Record<string, [number, number]> = {
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
  };
  const last = [garage.outlets.length - 1, garage.vehicles.length - 1] as const;
  const edges: Record<string, [number, number]> = { Home: [row, 0], End: [row, last[1]] };
  const step = steps[event.key];
  const target = step ? ([row + step[0], column + step[1]] as const) : edges[event.key];
  if (!target) {
    return;
  }
  event.preventDefault();
  const cell = grid.value?.querySelector<HTMLElement>(
    `[data-cell="${Math.min(last[0], Math.max(0, target[0]))} ${Math.min(last[1], Math.max(0, target[1]))}"]`,
  );
  cell?.focus();
}
</script>

<template>
  <div
    ref="grid"
    class="matrix"
    role="grid"
    aria-label="Cars at chargers"
    :style="{ '--cars': garage.vehicles.length }"
  >
    <div class="row head" role="row">
      <span role="columnheader" class="kicker"><span class="sr-only">Charger; </span>expected peak, kW</span>
      <span v-for="v in garage.vehicles" :key="v.id" class="car" role="columnheader">
        <strong>{{ v.name }}</strong>
        <span class="kicker">{{ v.blurb }}</span>
      </span>
    </div>
    <template v-for="place in garage.places" :key="place.id">
      <div class="row place" role="row">
        <h2 role="rowheader">{{ place.name }}</h2>
      </div>
      <div v-for="o in place.outlets" :key="o.id" class="row" role="row">
        <span class="outlet" role="rowheader">
          <span class="name">{{ o.name }}</span>
        </span>
        <span v-for="(v, column) in garage.vehicles" :key="v.id" role="gridcell" :aria-selected="isChosen(o.id, v.id)">
          <button
            type="button"
            class="cell"
            :class="[board.cell(o.id, v.id)?.outcome, { chosen: isChosen(o.id, v.id) }]"
            :tabindex="takesTab(o.id, v.id) ? 0 : -1"
            :aria-label="words(o.id, v.id)"
            :data-cell="`${rowOf.get(o.id)} ${column}`"
            @click="emit('choose', o.id, v.id, $event.detail === 0)"
            @keydown="move($event, rowOf.get(o.id) ?? 0, column)"
          >
            <template v-if="board.cell(o.id, v.id)">
              <JointGlyph
                :outcome="board.cell(o.id, v.id)?.outcome ?? 'no_joint'"
                :tags="board.cell(o.id, v.id)?.adapters.map(garage.tag)"
              />
              <span class="figure figures">{{ figure(o.id, v.id) }}</span>
            </template>
          </button>
        </span>
      </div>
    </template>
  </div>
</template>

<style scoped>
.matrix {
  min-width: calc(150px + var(--cars) * 118px);
}

.row {
  display: grid;
  grid-template-columns: minmax(150px, 1.6fr) repeat(var(--cars), minmax(118px, 1fr));
  align-items: center;
  border-bottom: 1px solid var(--line);
}

.head {
  position: sticky;
  z-index: 4;
  top: 0;
  align-items: end;
  padding: 9px 0 6px;
  border-bottom: 1.5px solid var(--ink);
  background: var(--paper);
}

.car {
  display: flex;
  flex-direction: column;
  padding: 0 8px;
  line-height: 1.2;
}

.car strong {
  font-family: var(--face-wide);
  font-size: 15px;
  font-stretch: 108%;
}

.place h2 {
  grid-column: 1 / -1;
  padding: 6px 0 2px;
  color: var(--ink-soft);
  font-size: 13px;
  font-weight: 640;
}

.outlet {
  padding-right: 10px;
  line-height: 1.2;
}

.cell {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 33px;
  width: 100%;
  padding: 2px 8px;
  border: 1.5px solid transparent;
  background: none;
  cursor: pointer;
  text-align: left;
}

.cell:hover {
  background: var(--paper-raised);
}

.cell.chosen {
  border-color: var(--ink);
  background: var(--paper-raised);
}

.cell:focus-visible {
  outline-offset: -2px;
}

.figure {
  font-weight: 660;
}

.unverified .figure {
  color: var(--ochre-text);
}

.hazard .figure {
  color: var(--brick-text);
  white-space: nowrap;
}

.wont_charge .figure,
.no_joint .figure {
  color: var(--ink-faint);
  font-weight: 500;
}
</style>
