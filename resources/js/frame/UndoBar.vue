<script setup lang="ts">
import { useUndo } from '@/stores/undo';
import { say } from '@/words/say';

const { offer, takeBack, dismiss } = useUndo();
</script>

<template>
  <div class="live" role="status">
    <div v-if="offer" class="undo">
      <span>{{ offer.text }}</span>
      <button type="button" class="back" @click="takeBack">{{ say('frame.undo') }} <kbd>u</kbd></button>
      <button type="button" class="close" :aria-label="say('frame.dismiss')" @click="dismiss">×</button>
    </div>
  </div>
</template>

<style scoped>
.undo {
  position: fixed;
  z-index: 30;
  bottom: 20px;
  left: 50%;
  display: flex;
  gap: var(--space-7);
  align-items: center;
  padding: var(--space-5) var(--space-6);
  background: var(--ink);
  color: var(--on-ink);
  transform: translateX(-50%);
}

button {
  border: 0;
  background: none;
  color: inherit;
  cursor: pointer;
}

.back {
  border-bottom: 1.5px solid currentcolor;
  font-weight: 650;
}

button:focus-visible {
  outline-color: var(--on-ink);
}

@media (width <= 720px) {
  .undo {
    top: 6px;
    bottom: auto;
    width: calc(100% - 24px);
  }
}
</style>
