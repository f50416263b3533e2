<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import type { Outlet, Vehicle } from '@/api/client';
import { useBoard } from '@/stores/board';
import { useRail } from '@/stores/rail';
import { say } from '@/words/say';
import PastTroubleMark from './PastTroubleMark.vue';
import BoardCell from './BoardCell.vue';
import { useCellWords } from './useCellWords';

/** One charger for one car, drawn only while it is near the viewport. */
const props = defineProps<{ outlet: Outlet; car: Vehicle; isNear: boolean }>();
const emit = defineEmits<{ choose: []; there: [element: HTMLElement | null] }>();

const board = useBoard();
const rail = useRail();
const words = useCellWords();
const element = ref<HTMLElement>();
const cell = computed(() => board.cell(props.outlet.id, props.car.id));
const isChosen = computed(() => rail.pick.outlet === props.outlet.id && rail.pick.vehicle === props.car.id);

onMounted(() => emit('there', element.value ?? null));
onBeforeUnmount(() => emit('there', null));
</script>

<template>
  <li ref="element" :data-outlet="outlet.id">
    <button
      v-if="isNear"
      type="button"
      class="stop"
      :class="{ chosen: isChosen }"
      :aria-pressed="isChosen"
      @click="emit('choose')"
    >
      <span class="what">
        <span class="sr-only">{{ words(cell, car.name, outlet.name) }}</span>
        <strong aria-hidden="true">{{ outlet.name }}</strong>
        <span class="brief">{{ cell?.brief }}<PastTroubleMark :outlet="outlet.id" /></span>
      </span>
      <span class="answer" aria-hidden="true">
        <BoardCell v-if="cell" :cell="cell" />
        <small class="quiet">{{ cell?.flows === 'yes' ? say('unit.kw') : '' }}</small>
      </span>
    </button>
  </li>
</template>

<style scoped>
li {
  min-height: 52px;
  border-bottom: 1px solid var(--line);
}

.stop {
  display: flex;
  gap: var(--space-6);
  align-items: center;
  justify-content: space-between;
  width: 100%;
  min-height: 52px;
  padding: var(--space-3) 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: start;
}

.stop.chosen {
  margin: 0 calc(-1 * var(--space-6));
  padding: var(--space-3) var(--space-6);
  width: calc(100% + 24px);
  background: var(--paper-sunk);
}

.what {
  display: flex;
  flex: 1;
  flex-direction: column;
  min-width: 0;
}

.brief {
  /* Room for it before the answer is there, so that nothing jumps. */
  min-height: 1.5em;
  color: var(--ink-soft);
  font-size: var(--size-label);
}

.answer {
  display: grid;
  flex: none;
  grid-template-columns: 66px 74px 18px;
  gap: var(--space-3);
  align-items: center;
}
</style>
