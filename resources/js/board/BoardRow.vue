<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue';
import type { Outlet, Vehicle } from '@/api/client';
import { useBoard } from '@/stores/board';
import { useRail } from '@/stores/rail';
import { say } from '@/words/say';
import PastTroubleMark from './PastTroubleMark.vue';
import BoardCell from './BoardCell.vue';
import { useCellWords } from './useCellWords';

/** One outlet with every car; its cells are drawn only while it is near the viewport. */
const props = defineProps<{
  outlet: Outlet;
  cars: Vehicle[];
  row: number;
  isRead: boolean;
  isNear: boolean;
  /** The car whose cell here takes the Tab key. */
  tab: string | null;
}>();
const emit = defineEmits<{
  choose: [vehicle: string, opensWhy: boolean];
  read: [];
  move: [event: KeyboardEvent, column: number];
  there: [element: HTMLElement | null];
}>();

const board = useBoard();
const rail = useRail();
const element = ref<HTMLElement>();

onMounted(() => emit('there', element.value ?? null));
onBeforeUnmount(() => emit('there', null));

const cellOf = (vehicle: string) => board.cell(props.outlet.id, vehicle);
const isChosen = (vehicle: string) => rail.pick.outlet === props.outlet.id && rail.pick.vehicle === vehicle;

const wordsOf = useCellWords();
const words = (car: Vehicle): string => wordsOf(cellOf(car.id), car.name, props.outlet.name);
</script>

<template>
  <div ref="element" class="row" :class="{ far: !isNear }" role="row" :data-outlet="outlet.id">
    <span class="outlet" role="rowheader">
      <button
        type="button"
        class="plain-button"
        :data-row="outlet.id"
        :aria-pressed="isRead"
        :title="say('board.who_can', { outlet: outlet.name })"
        @click="emit('read')"
      >
        {{ outlet.name }}
      </button>
      <PastTroubleMark :outlet="outlet.id" />
    </span>
    <template v-if="isNear">
      <span v-for="(v, column) in cars" :key="v.id" role="gridcell" :aria-selected="isChosen(v.id)">
        <button
          type="button"
          class="cell"
          :class="[cellOf(v.id)?.outcome, { chosen: isChosen(v.id) }]"
          :tabindex="v.id === tab ? 0 : -1"
          :aria-label="words(v)"
          :data-cell="`${row} ${column}`"
          @click="emit('choose', v.id, $event.detail === 0)"
          @keydown="emit('move', $event, column)"
        >
          <BoardCell v-if="cellOf(v.id)" :cell="cellOf(v.id)!" />
        </button>
      </span>
    </template>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: var(--tracks);
  align-items: center;
  min-height: 34px;
  border-bottom: 1px solid var(--line);
}

/* Nobody sees it: it is laid out when it comes near. */
.far {
  contain-intrinsic-height: 34px;
  content-visibility: auto;
}

/* A wide board scrolls under its row names. */
.outlet {
  position: sticky;
  z-index: 2;
  inset-inline-start: 0;
  padding-inline-end: var(--space-5);
  background: var(--paper);

  /* Covers the padding at the left too. */
  box-shadow: -20px 0 0 var(--paper);
  line-height: 1.2;
}

.far .outlet {
  position: static;
  box-shadow: none;
}

.cell {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  min-height: 33px;
  width: 100%;
  padding: var(--space-1) var(--space-4);
  border: 1.5px solid transparent;
  background: none;
  cursor: pointer;
  text-align: start;
}

.dense .cell {
  gap: var(--space-2);
  padding: var(--space-1) var(--space-2);
  font-size: var(--size-small);
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

[aria-pressed='true'] {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
