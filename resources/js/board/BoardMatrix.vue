<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Cell, Outlet } from '@/api/client';
import { useBoard } from '@/stores/board';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import { useTerms } from '@/stores/terms';
import CheckCar from './CheckCar.vue';
import JointGlyph from '@/ui/JointGlyph.vue';
import { kw, promised } from '@/ui/figures';
import { listed, say } from '@/words/say';

interface Section {
  id: string;
  name: string;
  outlets: Outlet[];
}

const emit = defineEmits<{ choose: [outlet: string, vehicle: string, opensWhy: boolean] }>();

const garage = useGarage();
const board = useBoard();
const rail = useRail();
const terms = useTerms();
const grid = ref<HTMLElement>();

/** The row that is read as a whole: who can use this charger? */
const row = ref<string | null>(null);

const cars = computed(() => garage.vehicles.filter((v) => board.only === null || v.id === board.only));
const sections = computed<Section[]>(() =>
  board.rows === 'place'
    ? garage.places
    : garage.groups
        .map((g) => ({ ...g, outlets: garage.outlets.filter((o) => o.group === g.id) }))
        .filter((g) => g.outlets.length > 0),
);
const ordered = computed(() => sections.value.flatMap((s) => s.outlets));
const rowOf = computed(() => new Map(ordered.value.map((o, i) => [o.id, i])));
const flows = (o: string, v: string) => board.cell(o, v)?.flows === 'yes';
const count = (v: string) => garage.outlets.filter((o) => flows(o.id, v)).length;
const mustCheck = (o: string, v: string) => board.cell(o, v)?.flows === 'maybe';
const told = (cell: Cell | undefined): string => promised(cell?.expected_peak_kw, cell?.at_most);

/** One end of the pairs that are read: where it stands in them, and what it is called. */
interface End {
  id: string;
  name: string;
}

/** What a whole column or row says: where it flows, and where one must check first. */
function read(
  ends: End[],
  pair: (id: string) => [outlet: string, vehicle: string],
  subject: 'car' | 'outlet',
  name: string,
) {
  const can = ends.filter((end) => flows(...pair(end.id)));
  const checks = ends.filter((end) => mustCheck(...pair(end.id)));
  const figures = {
    name,
    n: can.length,
    all: ends.length,
    names: listed(
      'dot',
      can.map((end) => say('board.named_kw', { name: end.name, kw: told(board.cell(...pair(end.id))) })),
    ),
  };
  const code = can.length > 0 ? 'reads' : checks.length > 0 ? 'unsure' : 'none';
  return {
    can: say(READINGS[subject][code], figures),
    check:
      checks.length > 0
        ? say(READINGS[subject].check, {
            n: checks.length,
            names: listed(
              'dot',
              checks.map((end) => end.name),
            ),
          })
        : '',
  };
}

const READINGS = {
  car: { reads: 'board.car_reads', unsure: 'board.car_unsure', none: 'board.car_none', check: 'board.check_at' },
  outlet: {
    reads: 'board.outlet_reads',
    unsure: 'board.outlet_unsure',
    none: 'board.outlet_none',
    check: 'board.check_with',
  },
} as const;

/** A whole column or a whole row as sentences. */
const reading = computed(() => {
  const car = garage.vehicle(board.only);
  const outlet = garage.outlet(row.value);
  return car
    ? read(garage.outlets, (o) => [o, car.id], 'car', car.name)
    : outlet
      ? read(garage.vehicles, (v) => [outlet.id, v], 'outlet', outlet.name)
      : null;
});

function toggleCar(id: string): void {
  row.value = null;
  board.only = board.only === id ? null : id;
}

function toggleRow(id: string): void {
  board.only = null;
  row.value = row.value === id ? null : id;
}

const isChosen = (o: string, v: string) => rail.pick.outlet === o && rail.pick.vehicle === v;
const hasChoice = computed(() => Boolean(rail.outlet && cars.value.some((v) => v.id === rail.pick.vehicle)));
/** One cell of the grid takes the Tab key: the chosen one, or the first. */
const takesTab = (o: string, v: string) =>
  hasChoice.value ? isChosen(o, v) : o === ordered.value[0]?.id && v === cars.value[0]?.id;

function words(outletId: string, vehicleId: string): string {
  const cell = board.cell(outletId, vehicleId);
  if (!cell) {
    return say('board.cell_unknown');
  }
  const answer = cell.flows === 'yes' ? say('board.cell_flows', { outcome: cell.title, kw: told(cell) }) : cell.title;
  const through =
    cell.adapters.length > 0
      ? say('board.cell_through', { answer, adapters: listed('and', cell.adapters.map(garage.tag)) })
      : answer;
  return say('board.cell', {
    car: garage.vehicle(vehicleId)?.name ?? '',
    outlet: garage.outlet(outletId)?.name ?? '',
    answer: cell.other_way_is_hazard ? say('board.cell_other_hazard', { answer: through }) : through,
  });
}

function figure(outletId: string, vehicleId: string): string {
  const cell = board.cell(outletId, vehicleId);
  return !cell
    ? ''
    : terms.short(cell.refused_by_policy ? 'refused_by_policy' : cell.outcome) || kw(cell.expected_peak_kw);
}

function move(event: KeyboardEvent, row: number, column: number): void {
  const steps: Record<string, [number, number]> = {
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
  };
  const last = [ordered.value.length - 1, cars.value.length - 1] as const;
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
  <p class="reading" role="status">
    <template v-if="reading"
      >{{ reading.can }} <span class="check">{{ reading.check }}</span></template
    >
  </p>
  <CheckCar v-if="board.only" :vehicle="board.only" />
  <div
    ref="grid"
    class="matrix"
    :class="{ dense: cars.length > 7, single: cars.length === 1 }"
    role="grid"
    :aria-label="say('board.grid')"
    :style="{ '--cars': cars.length }"
  >
    <div class="row head" role="row">
      <span role="columnheader" class="kicker">
        <span class="sr-only">{{ say('board.chargers') }}</span>
        <button type="button" class="text-button by" @click="board.rows = board.rows === 'place' ? 'kind' : 'place'">
          {{ board.rows === 'place' ? say('board.by_place') : say('board.by_kind') }}</button>{{ say('board.peak_kw') }}
      </span>
      <span v-for="v in cars" :key="v.id" role="columnheader">
        <button
          type="button"
          class="car plain-button"
          :aria-pressed="board.only === v.id"
          :title="board.only === v.id ? say('board.every_car') : say('board.where_can', { car: v.name })"
          @click="toggleCar(v.id)"
        >
          <span class="car-name"
            ><strong>{{ v.name }}</strong>
            <span class="count figures">{{
              say('board.count', { n: count(v.id), all: garage.outlets.length })
            }}</span></span
          >
          <span class="kicker">{{ v.blurb }}</span>
        </button>
      </span>
    </div>
    <template v-for="section in sections" :key="section.id">
      <div class="row place" role="row">
        <span role="rowheader"
          ><h2>{{ section.name }}</h2></span
        >
      </div>
      <div v-for="o in section.outlets" :key="o.id" class="row" role="row">
        <span class="outlet" role="rowheader">
          <button
            type="button"
            class="plain-button"
            :data-row="o.id"
            :aria-pressed="row === o.id"
            :title="say('board.who_can', { outlet: o.name })"
            @click="toggleRow(o.id)"
          >
            {{ o.name }}
          </button>
        </span>
        <span v-for="(v, column) in cars" :key="v.id" role="gridcell" :aria-selected="isChosen(o.id, v.id)">
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
              <span class="figure figures"
                ><small v-if="board.cell(o.id, v.id)?.at_most">{{ say('board.at_most') }}</small
                >{{ figure(o.id, v.id)
                }}<span v-if="board.cell(o.id, v.id)?.other_way_is_hazard" class="other-way" aria-hidden="true"
              /></span>
            </template>
          </button>
        </span>
      </div>
    </template>
  </div>
</template>

<style scoped>
.figure small {
  display: block;
  font-size: 11px;
  font-weight: 500;
  line-height: 1;
  white-space: nowrap;
}

.other-way::after {
  content: '!';
  margin-left: 1px;
  color: var(--brick-text);
  font-weight: 800;
}

.check {
  color: var(--ochre-text);
}

.matrix {
  min-width: calc(150px + var(--cars) * var(--column));
  --column: 128px;
}

.row {
  display: grid;
  grid-template-columns: minmax(150px, 1.6fr) repeat(var(--cars), minmax(var(--column), 1fr));
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
}

.place h2 {
  font: inherit;
}

.place > span {
  grid-column: 1 / -1;
  padding: 6px 0 2px;
  color: var(--ink-soft);
  font-size: 13px;
  font-weight: 640;
}

/* A wide board scrolls under its row names. */
.outlet,
.head > :first-child,
.place > span {
  position: sticky;
  z-index: 2;
  left: 0;
  background: var(--paper);

  /* Covers the padding at the left too. */
  box-shadow: -20px 0 0 var(--paper);
}

.head > :first-child {
  align-self: stretch;
  align-content: end;
}

.place > span {
  justify-self: start;
}

.dense {
  --column: 108px;
}

.dense :deep(.joint) {
  width: 50px;
  height: 18.4px;
}

.dense .cell {
  gap: 5px;
  padding: 2px 4px;
  font-size: 13.5px;
}

.dense .car strong {
  font-size: 13px;
}

.dense .car .kicker {
  overflow: hidden;
  max-width: 100px;
  font-size: 11.5px;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.single {
  max-width: 560px;
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
.car-name {
  display: flex;
  gap: 8px;
  align-items: baseline;
}

.count {
  color: var(--ink-soft);
  font-size: 12px;
}

[aria-pressed='true'] {
  text-decoration: underline;
  text-underline-offset: 3px;
}

.reading:empty {
  display: none;
}

.reading {
  margin: 8px 0 0;
}
</style>
