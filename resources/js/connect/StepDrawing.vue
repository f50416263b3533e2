<script setup lang="ts">
import { computed } from 'vue';
import { useGarage } from '@/stores/garage';
import type { Visit, VisitStep } from './useVisit';

/** The pieces of a chain from the side, as far as they are connected; those of the current step move. */
const props = defineProps<{
  pieces: Visit['pieces'];
  /** Joints that are closed before the step. */
  closed: ReadonlySet<number>;
  step: VisitStep;
  car: string;
}>();

const garage = useGarage();
const WIDTH = 132;
const GAP = 34;
/** A block with a tenon on its right end, and a socket for one on its left. */
const BLOCK = 'M0 0H112V16L132 8V56L112 48V64H0V50L18 58V6L0 14Z';
const FIRST = 'M0 0H112V16L132 8V56L112 48V64H0Z';
const LAST = 'M0 0H112V64H0V50L18 58V6L0 14Z';

const moving = computed(() => props.step.closes ?? props.step.opens);
const at = computed(() => {
  let x = 0;
  return props.pieces.map((piece, i) => {
    const place = x;
    const isOpen = !props.closed.has(i);
    x += WIDTH - 20 + (isOpen ? GAP : 4);
    return {
      ...piece,
      x: place,
      shape: i === 0 ? FIRST : i === props.pieces.length - 1 ? LAST : BLOCK,
      label:
        piece.kind === 'car' ? props.car : piece.kind === 'adapter' && piece.id ? garage.tag(piece.id) : piece.words,
      isOwn: piece.id !== null,
    };
  });
});
const width = computed(() => (at.value.at(-1)?.x ?? 0) + 112);
/** Pieces left of the joint that moves go right, or back. */
const moves = (i: number) => moving.value !== null && i <= moving.value && joinedTo(i, moving.value);

/** Whether a piece hangs together with the one left of a joint. */
function joinedTo(i: number, joint: number): boolean {
  for (let j = i; j < joint; j++) {
    if (!props.closed.has(j)) {
      return false;
    }
  }
  return true;
}
</script>

<template>
  <svg
    class="drawing"
    :class="{ opening: step.opens !== null }"
    :viewBox="`-6 -6 ${width + 12} 76`"
    :style="{ '--gap': `${GAP - 4}px`, maxWidth: `${width * 1.15}px` }"
    aria-hidden="true"
    focusable="false"
  >
    <g
      v-for="(piece, i) in at"
      :key="i"
      :transform="`translate(${piece.x} 0)`"
      :class="{ rest: moving !== null && !moves(i) && moving + 1 !== i }"
    >
      <g :class="{ moves: moves(i) }">
        <path :d="piece.shape" :class="i === 0 ? 'solid' : 'hollow'" />
        <text :class="i === 0 ? 'on-ink' : ''" :x="i === 0 ? 12 : 26" y="38">{{ piece.label }}</text>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.drawing {
  display: block;
  width: 100%;
  height: auto;
}

path {
  stroke: var(--ink);
  stroke-width: 1.8;
}

.solid {
  fill: var(--ink);
}

.hollow {
  fill: var(--paper-raised);
}

.rest {
  opacity: 0.45;
}

text {
  fill: var(--ink);
  font-family: var(--face-wide);
  font-size: var(--size-lead);
  font-weight: 660;
}

.on-ink {
  fill: var(--on-ink);
}

.moves {
  animation: join 2.4s ease-in-out infinite;
}

.opening .moves {
  animation-direction: reverse;
}

.moves path {
  stroke: var(--copper);
}

.moves .solid {
  stroke: var(--ink);
}

@keyframes join {
  0%,
  20% {
    transform: translateX(0);
  }

  60%,
  100% {
    transform: translateX(var(--gap));
  }
}
</style>
