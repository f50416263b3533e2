<script setup lang="ts">
import { ref } from 'vue';
import type { EventCode } from '@/offline/acts';
import { useTerms } from '@/stores/terms';
import { useShortcuts } from '@/ui/useShortcuts';
import { say } from '@/words/say';

/** What happens beside the readings, by one tap; the rarer ones behind one more. */
const emit = defineEmits<{ note: [code: EventCode]; photo: [file: File] }>();
const terms = useTerms();
const showsAll = ref(false);
const often: EventCode[] = ['throttled', 'neighbour_came', 'neighbour_left'];
const rare: EventCode[] = ['limit_changed', 'stopped_by_station', 'stopped_by_car', 'latch_stuck', 'stall_changed'];

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
