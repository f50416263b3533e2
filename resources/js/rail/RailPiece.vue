<script setup lang="ts">
import { percent } from '@/ui/figures';
import { say } from '@/words/say';

/** One piece of the chain. A tenon on its right side enters the next piece. */
defineProps<{
  kicker: string;
  name: string;
  plate: string;
  /** Whether this piece holds the power where it is. */
  binds?: boolean;
  /** How it meets the next piece; none for the last. */
  joint?: 'locked' | 'touching' | 'apart' | 'none';
  /** Heat load, 1 being the allowed rise; absent where the piece has no duty rating, or none is forecast. */
  heat?: number;
}>();
</script>

<template>
  <div class="piece" :class="[joint ?? 'none', { binds }]">
    <span class="kicker">{{ kicker }}</span>
    <span class="name">{{ name }}</span>
    <span class="plate figures">{{ plate }}</span>
    <span v-if="heat !== undefined" class="heat" :class="{ full: heat >= 0.9995 }">
      <span class="fill" :style="{ inlineSize: `${Math.min(1, heat) * 100}%` }" />
      <span class="sr-only">{{ say('rail.heat', { percent: percent(heat) }) }}</span>
    </span>
    <span v-if="joint === 'locked'" class="tenon" aria-hidden="true" />
  </div>
</template>

<style scoped>
.piece {
  position: relative;
  display: flex;
  flex-direction: column;
  justify-content: center;
  min-width: 0;
  height: 76px;
  padding: 0 var(--space-3) 0 22px;
  background: var(--paper-raised);
}

.kicker {
  line-height: 1.2;
}

.name {
  overflow: hidden;
  font-family: var(--face-wide);
  font-size: var(--size-text);
  font-weight: 680;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.plate {
  overflow: hidden;
  font-size: var(--size-small);
  text-overflow: ellipsis;
  white-space: nowrap;
}

.kicker {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

/* A gauge let into the lower edge of the piece. */
.heat {
  position: absolute;
  right: 14px;
  bottom: 5px;
  left: 26px;
  height: 6px;
  border: 1px solid var(--line-strong);
}

.heat .fill {
  display: block;
  height: 100%;
  background: var(--ink-soft);
}

.binds .heat {
  border-color: currentcolor;
}

.binds .heat .fill {
  background: currentcolor;
}

.tenon,
.tenon::before {
  position: absolute;
  content: '';
  clip-path: polygon(0 24%, 100% 0, 100% 100%, 0 76%);
}

/* An ink line round the tenon is what makes two pieces of the same colour read as joined. */
.tenon {
  pointer-events: none;
  z-index: 2;
  top: 14px;
  right: -19px;
  width: 19px;
  height: 48px;
  background: var(--ink-soft);
}

.tenon::before {
  top: 2px;
  left: -2px;
  width: 19px;
  height: 44px;
  background: var(--paper-raised);
}

.locked {
  border-right: 1.5px solid var(--ink-soft);
}

.touching {
  margin-right: var(--space-2);
  border-right: 2px dashed var(--line-strong);
}

.apart {
  margin-right: var(--space-9);
}

.binds {
  background: var(--copper);
  color: var(--on-copper);
}

.binds .kicker {
  color: inherit;
}

.binds .tenon::before {
  background: var(--copper);
}
</style>
