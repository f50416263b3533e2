<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { say } from '@/words/say';
import type { PhaseSpan } from '@/bench/usePlay';

/** The phases as a rail of small joints; drag along it, or use the keys of a slider. */
const props = defineProps<{ phases: PhaseSpan[]; tS: number; clock: string; isFaultHere: boolean }>();
const emit = defineEmits<{ put: [seconds: number]; phase: [number: number] }>();
const rail = useTemplateRef<HTMLElement>('rail');

const here = computed(() => {
  const at = props.phases.findIndex((p) => props.tS < p.to_s);
  return at === -1 ? props.phases.length - 1 : at;
});
const endS = computed(() => props.phases.at(-1)?.to_s ?? 0);
const share = (p: PhaseSpan): number =>
  Math.min(1, Math.max(0, (props.tS - p.from_s) / Math.max(0.1, p.to_s - p.from_s)));

/** Every phase is as wide as the others, however long it lasts. */
function follow(event: PointerEvent): void {
  const box = rail.value?.getBoundingClientRect();
  if (!box || props.phases.length === 0) {
    return;
  }
  const at = Math.min(0.9999, Math.max(0, (event.clientX - box.left) / box.width)) * props.phases.length;
  const phase = props.phases[Math.floor(at)];
  if (phase) {
    emit('put', phase.from_s + (at % 1) * (phase.to_s - phase.from_s));
  }
}

function start(event: PointerEvent): void {
  rail.value?.setPointerCapture(event.pointerId);
  follow(event);
}

/** A hundredth of a long phase, a second of a short one. */
function step(event: KeyboardEvent): void {
  const phase = props.phases[here.value];
  const stride = Math.max(1, ((phase?.to_s ?? 0) - (phase?.from_s ?? 0)) / 100);
  const moves: Record<string, () => void> = {
    ArrowLeft: () => emit('put', props.tS - stride),
    ArrowDown: () => emit('put', props.tS - stride),
    ArrowRight: () => emit('put', props.tS + stride),
    ArrowUp: () => emit('put', props.tS + stride),
    PageUp: () => emit('phase', here.value + 1),
    PageDown: () => emit('phase', here.value - 1),
    Home: () => emit('put', 0),
    End: () => emit('put', endS.value),
  };
  const move = moves[event.key];
  if (move) {
    move();
    event.preventDefault();
    event.stopPropagation();
  }
}
</script>

<template>
  <div
    ref="rail"
    class="rail"
    role="slider"
    tabindex="0"
    :aria-label="say('play.along')"
    :aria-valuemin="0"
    :aria-valuemax="Math.round(endS)"
    :aria-valuenow="Math.round(tS)"
    :aria-valuetext="say('play.at_phase', { clock, phase: phases[here]?.name ?? '' })"
    @pointerdown="start"
    @pointermove="($event: PointerEvent) => $event.buttons > 0 && follow($event)"
    @keydown="step"
  >
    <span
      v-for="(p, i) in phases"
      :key="p.phase"
      class="phase"
      :class="{ here: i === here, done: i < here, failing: p.failing && isFaultHere }"
    >
      <svg viewBox="0 0 60 26" preserveAspectRatio="none" aria-hidden="true">
        <path class="ground" d="M1 1H50V8L58 4V22L50 18V25H1Z" />
        <path
          class="filled"
          d="M1 1H50V8L58 4V22L50 18V25H1Z"
          :style="{ clipPath: `inset(0 ${100 - 100 * share(p)}% 0 0)` }"
        />
      </svg>
      <span class="name">{{ p.name }}</span>
    </span>
  </div>
</template>

<style scoped>
.rail {
  display: flex;
  padding: var(--space-3) 0;
  cursor: ew-resize;
  touch-action: pan-y;
  user-select: none;
}

.rail:focus-visible {
  outline: 2px solid var(--focus);
  outline-offset: 2px;
}

.phase {
  flex: 1;
  min-width: 0;
  padding-inline-end: var(--space-1);
}

svg {
  display: block;
  width: 100%;
  height: 30px;
}

path {
  stroke: var(--ink);
  stroke-width: 1.4;
  vector-effect: non-scaling-stroke;
}

.ground {
  fill: var(--paper-raised);
}

.filled {
  fill: var(--ink);
}

.failing path {
  stroke: var(--brick);
}

.failing .filled {
  fill: var(--brick);
}

.name {
  display: block;
  padding-top: var(--space-2);
  color: var(--ink-soft);
  font-size: var(--size-note);
  line-height: 1.2;
  overflow-wrap: anywhere;
  hyphens: auto;
}

.here .name {
  color: var(--ink);
  font-weight: 700;
}

.failing .name {
  color: var(--brick-text);
}

@media (width <= 640px) {
  .name {
    display: none;
  }

  .here .name {
    position: absolute;
    display: block;
  }

  .rail {
    position: relative;
    padding-bottom: var(--space-9);
  }

  .phase:nth-child(n + 9).here .name {
    inset-inline-end: 0;
  }
}
</style>
