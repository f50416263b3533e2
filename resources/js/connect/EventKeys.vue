<script setup lang="ts">
import { ref } from 'vue';
import type { EventCode } from '@/offline/pendingActions';
import { useTerms } from '@/stores/terms';
import { useShortcuts } from '@/ui/useShortcuts';
import { say } from '@/words/say';

/** Events by one tap; the rarer ones behind another. */
const emit = defineEmits<{ note: [code: EventCode, detail?: string]; photo: [file: File] }>();
const terms = useTerms();
const showsAll = ref(false);
const often: EventCode[] = ['throttled', 'neighbour_came', 'neighbour_left'];
const rare: EventCode[] = ['limit_changed', 'stopped_by_station', 'stopped_by_car', 'latch_stuck', 'stall_changed'];

/** Where a hand is held, from outside. */
const POINTS = ['adapter', 'handle', 'cable', 'inlet'] as const;
const felt: EventCode[] = ['felt_cool', 'felt_warm', 'felt_hot'];
const point = ref<string>(POINTS[0]);
const isHot = ref(false);
function feel(code: EventCode): void {
  isHot.value = code === 'felt_hot';
  emit('note', code, point.value);
}

function pick(event: Event): void {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (file) {
    emit('photo', file);
  }
  input.value = '';
}

useShortcuts({ e: () => (showsAll.value = !showsAll.value) });
</script>

<template>
  <div class="events" role="group" :aria-label="say('event.keys')">
    <button
      v-for="code in showsAll ? [...often, ...rare] : often"
      :key="code"
      type="button"
      class="event"
      @click="emit('note', code)"
    >
      {{ terms.words('event', code) }}
    </button>
    <label class="event photo">
      {{ say('event.photo') }}
      <input
        type="file"
        class="sr-only"
        accept="image/jpeg,image/png,image/webp"
        capture="environment"
        @change="pick"
      />
    </label>
    <button type="button" class="event more" :aria-expanded="showsAll" @click="showsAll = !showsAll">
      {{ showsAll ? say('event.fewer') : say('event.more') }}
    </button>
    <div v-if="showsAll" class="touch" role="group" :aria-label="say('touch.title')">
      <p class="quiet">{{ say('touch.how') }}</p>
      <select v-model="point" :aria-label="say('touch.point')">
        <option v-for="p in POINTS" :key="p" :value="p">{{ terms.words('point', p) }}</option>
      </select>
      <button v-for="code in felt" :key="code" type="button" class="event" @click="feel(code)">
        {{ terms.words('event', code) }}
      </button>
    </div>
    <p v-if="isHot" class="hot" role="alert">{{ say('touch.hot_now') }}</p>
  </div>
</template>

<style scoped>
.events {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
}

.event {
  min-height: 44px;
  padding: var(--space-3) var(--space-6);
  border: 1.5px solid var(--line-strong);
  background: var(--paper-raised);
  cursor: pointer;
  font-weight: 600;
  touch-action: manipulation;
}

.touch {
  display: flex;
  flex: 1 1 100%;
  flex-wrap: wrap;
  gap: var(--space-3);
  align-items: center;
}

.touch p,
.hot {
  flex: 1 1 100%;
  margin: 0;
}

.hot {
  color: var(--ochre-text);
  font-weight: 640;
}

.photo {
  display: inline-grid;
  place-items: center;
}

.photo:focus-within {
  outline: 2.5px solid var(--focus);
}

.more {
  border-style: dashed;
}
</style>
