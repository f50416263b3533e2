<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, watch } from 'vue';
import type { Outlet } from '@/api/client';
import { useBoard } from '@/stores/board';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import TextButton from '@/ui/TextButton.vue';
import CheckCar from './CheckCar.vue';
import BoardRow from './BoardRow.vue';
import TourChoice from './TourChoice.vue';
import { counted } from './chargesCount';
import { told } from './cellPower';
import { useNear } from './useNear';
import Said from '@/words/Said.vue';
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
const grid = ref<HTMLElement>();

/** The row that is read as a whole: who can use this charger? */
const row = ref<string | null>(null);

const cars = computed(() => garage.cars.filter((v) => board.only === null || v.id === board.only));
const sections = computed<Section[]>(() =>
  board.rows === 'place'
    ? garage.sections
    : garage.groups
        .map((g) => ({ ...g, outlets: garage.outlets.filter((o) => o.group === g.id) }))
        .filter((g) => g.outlets.length > 0),
);
const ordered = computed(() => sections.value.flatMap((s) => s.outlets));
const rowOf = computed(() => new Map(ordered.value.map((o, i) => [o.id, i])));
const flows = (o: string, v: string) => board.cell(o, v)?.flows === 'yes';
/** With more cars there is no room for a sentence beside each. */
const FEW_CARS = 2;
/** At how many outlets each car charges; nothing where not every one is known. */
const counts = computed(
  () =>
    new Map(
      cars.value.map((v) => [
        v.id,
        garage.outlets.every((o) => board.cell(o.id, v.id))
          ? counted(garage.outlets.filter((o) => flows(o.id, v.id)).length, garage.outlets.length, garage.areKinds)
          : null,
      ]),
    ),
);
const mustCheck = (o: string, v: string) => board.cell(o, v)?.flows === 'maybe';

/** One end of the pairs that are read: where it stands in them, and what it is called. */
interface End {
  id: string;
  name: string;
}

/** A sentence that nobody reads to its end says how it goes on. */
const MOST_NAMED = 20;
const namesOf = (names: string[]): string =>
  listed('dot', [
    ...names.slice(0, MOST_NAMED),
    ...(names.length > MOST_NAMED ? [say('list.more', { n: names.length - MOST_NAMED })] : []),
  ]);

/** What a whole column or row says: where it flows, and where one must check first. Nothing while a pair of it is not known. */
function read(
  ends: End[],
  pair: (id: string) => [outlet: string, vehicle: string],
  subject: 'car' | 'outlet',
  name: string,
) {
  if (!ends.every((end) => board.cell(...pair(end.id)))) {
    return null;
  }
  const can = ends.filter((end) => flows(...pair(end.id)));
  const checks = ends.filter((end) => mustCheck(...pair(end.id)));
  const figures = {
    name,
    n: can.length,
    all: ends.length,
    names: namesOf(can.map((end) => say('board.named_kw', { name: end.name, kw: told(board.cell(...pair(end.id))) }))),
  };
  const code = can.length > 0 ? 'reads' : checks.length > 0 ? 'unsure' : 'none';
  return {
    can: say(READINGS[subject][code], figures),
    check:
      checks.length > 0
        ? say(READINGS[subject].check, {
            n: checks.length,
            names: namesOf(checks.map((end) => end.name)),
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
      ? read(garage.cars, (v) => [outlet.id, v], 'outlet', outlet.name)
      : null;
});

function toggleCar(id: string): void {
  row.value = null;
  board.only = board.only === id ? null : id;
}

// A whole column is read only when every outlet of it is known.
watch(
  () => board.only,
  (car) => {
    if (car !== null) {
      void board.loadColumn(car);
    }
  },
  { immediate: true },
);

function toggleRow(id: string): void {
  board.only = null;
  row.value = row.value === id ? null : id;
}

const hasChoice = computed(() => Boolean(rail.outlet && cars.value.some((v) => v.id === rail.pick.vehicle)));
/** One cell of the grid takes the Tab key: the chosen one, or the first. */
const tab = computed(() =>
  hasChoice.value ? rail.pick : { outlet: ordered.value[0]?.id ?? null, vehicle: cars.value[0]?.id ?? null },
);

/** A board that is soon drawn is drawn as a whole; of a longer one the first rows, and the names of the others in steps. */
const FEW_ROWS = 60;
const ROWS_A_STEP = 250;
const isLong = computed(() => ordered.value.length > FEW_ROWS);
const named = ref(FEW_ROWS);
const { near, set, watch: watchRow } = useNear((id, isSeen) => board.see(id, isSeen));
const indexOf = (o: string) => rowOf.value.get(o) ?? 0;
/** Before anybody has scrolled, the first rows are. */
const isNear = (o: string) => !isLong.value || near.has(o) || (near.size === 0 && indexOf(o) < FEW_ROWS / 2);
const shown = computed(() =>
  sections.value
    .map((s) => ({ ...s, outlets: s.outlets.filter((o) => indexOf(o.id) < named.value) }))
    .filter((s) => s.outlets.length > 0 || named.value >= ordered.value.length),
);

/** Once what is in view is there, the rest is named bit by bit, so that nothing waits for it. */
function nameMore(): void {
  if (named.value < ordered.value.length) {
    named.value += ROWS_A_STEP;
    later = setTimeout(nameMore, STEP_MS);
  }
}
const STEP_MS = 60;
let later: ReturnType<typeof setTimeout> | undefined;
watch(
  () => board.cells.size > 0 && named.value < ordered.value.length,
  (isDue) => isDue && nameMore(),
  { immediate: true },
);
onBeforeUnmount(() => clearTimeout(later));

async function move(event: KeyboardEvent, row: number, column: number): Promise<void> {
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
  const to = [Math.min(last[0], Math.max(0, target[0])), Math.min(last[1], Math.max(0, target[1]))] as const;
  const outlet = ordered.value[to[0]];
  if (outlet && !isNear(outlet.id)) {
    set(outlet.id, true);
    await nextTick();
  }
  grid.value?.querySelector<HTMLElement>(`[data-cell="${to.join(' ')}"]`)?.focus();
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
        <Said code="board.head">
          <template #chargers
            ><span class="sr-only">{{ say('board.chargers') }}</span></template
          >
          <template #tour
            ><span v-if="garage.tours.length > 0" class="tours"><TourChoice /></span
          ></template>
          <template #order>
            <TextButton class="by" @click="board.rows = board.rows === 'place' ? 'kind' : 'place'">
              {{ board.rows === 'place' ? say('board.by_place') : say('board.by_kind') }}</TextButton
            ></template
          >
        </Said>
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
            <span class="count figures" :title="counts.get(v.id)?.long">{{
              cars.length > FEW_CARS ? counts.get(v.id)?.short : counts.get(v.id)?.long
            }}</span></span
          >
          <span class="kicker blurb">{{ v.blurb }}</span>
        </button>
      </span>
    </div>
    <template v-for="section in shown" :key="section.id">
      <div class="row place" role="row">
        <span role="rowheader"
          ><h2>{{ section.name }}</h2></span
        >
      </div>
      <BoardRow
        v-for="o in section.outlets"
        :key="o.id"
        :outlet="o"
        :cars="cars"
        :row="indexOf(o.id)"
        :is-read="row === o.id"
        :is-near="isNear(o.id)"
        :tab="tab.outlet === o.id ? tab.vehicle : null"
        @choose="(v, opensWhy) => emit('choose', o.id, v, opensWhy)"
        @read="toggleRow(o.id)"
        @move="(event, column) => move(event, indexOf(o.id), column)"
        @there="(element) => watchRow(o.id, element)"
      />
    </template>
  </div>
</template>

<style scoped>
.check {
  color: var(--ochre-text);
}

.matrix {
  min-width: calc(150px + var(--cars) * var(--column));
  --column: 128px;
  --tracks: minmax(150px, 1.6fr) repeat(var(--cars), minmax(var(--column), 1fr));
}

.row {
  display: grid;
  grid-template-columns: var(--tracks);
  align-items: center;
  border-bottom: 1px solid var(--line);
}

.head {
  position: sticky;
  z-index: 4;
  top: 0;
  align-items: end;
  padding: var(--space-4) 0 var(--space-3);
  border-bottom: 1.5px solid var(--ink);
  background: var(--paper);
}

.tours {
  display: block;
}

.car {
  display: flex;
  flex-direction: column;
  padding: 0 var(--space-4);
  line-height: 1.2;
}

.car strong {
  font-family: var(--face-wide);
  font-size: var(--size-text);
}

.place h2 {
  font: inherit;
}

.place > span {
  grid-column: 1 / -1;
  padding: var(--space-3) 0 var(--space-1);
  color: var(--ink-soft);
  font-size: var(--size-small);
  font-weight: 640;
}

/* A wide board scrolls under its row names. */
.head > :first-child,
.place > span {
  position: sticky;
  z-index: 2;
  inset-inline-start: 0;
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

.dense .car strong {
  font-size: var(--size-small);
}

.dense .car .kicker {
  overflow: hidden;
  max-width: 100px;
  font-size: var(--size-note);
  text-overflow: ellipsis;
  white-space: nowrap;
}

.single {
  max-width: 560px;
}

.car-name {
  display: flex;
  gap: var(--space-4);
  align-items: baseline;
}

.count {
  color: var(--ink-soft);
  font-size: var(--size-note);
}

[aria-pressed='true'] {
  text-decoration: underline;
  text-underline-offset: 3px;
}

.reading:empty {
  display: none;
}

.reading {
  margin: var(--space-4) 0 0;
}

.blurb {
  font-size: var(--size-note);
}
</style>
