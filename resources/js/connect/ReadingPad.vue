<script setup lang="ts">
import { decimalSign } from '@/words/habits';
import { say } from '@/words/say';
import type { FieldName, ReadingField } from './readingFields';

/** Big keys for one thumb: digits on the left, values on the right. One key moves on to the next value. */
defineProps<{
  fields: ReadingField[];
  active: FieldName | 'minute';
  showsHeat: boolean;
  /** The field that usually comes next. */
  next: FieldName | null;
}>();
const emit = defineEmits<{ key: [key: string]; go: [field: FieldName]; heat: [] }>();

const rows = [
  ['7', '8', '9'],
  ['4', '5', '6'],
  ['1', '2', '3'],
];
</script>

<template>
  <div class="pad" role="group" :aria-label="say('pad.label')">
    <template v-for="(row, i) in rows" :key="i">
      <button v-for="digit in row" :key="digit" type="button" class="digit figures" @click="emit('key', digit)">
        {{ digit }}
      </button>
      <button
        v-if="fields[i]"
        type="button"
        class="unit"
        :class="{ here: active === fields[i].name, next: next === fields[i].name }"
        :aria-pressed="active === fields[i].name"
        :aria-label="say('pad.go', { key: fields[i].key, field: fields[i].label })"
        @click="emit('go', fields[i].name)"
      >
        {{ fields[i].key }}
      </button>
    </template>
    <button type="button" class="digit figures" :aria-label="say('pad.sign')" @click="emit('key', decimalSign())">
      {{ decimalSign() }}
    </button>
    <button type="button" class="digit figures" @click="emit('key', '0')">{{ '0' }}</button>
    <button type="button" class="digit" :aria-label="say('pad.back')" @click="emit('key', 'back')">
      <svg viewBox="0 0 34 22" width="30" height="20" aria-hidden="true" focusable="false">
        <path d="M10 2H32V20H10L2 11ZM16 7L24 15M24 7L16 15" />
      </svg>
    </button>
    <button
      v-if="fields[3]"
      type="button"
      class="unit"
      :class="{ here: active === fields[3].name, next: next === fields[3].name }"
      :aria-pressed="active === fields[3].name"
      :aria-label="say('pad.go', { key: fields[3].key, field: fields[3].label })"
      @click="emit('go', fields[3].name)"
    >
      {{ fields[3].key }}
    </button>
    <button type="button" class="heat" :aria-expanded="showsHeat" @click="emit('heat')">
      {{ showsHeat ? say('reading.no_heat') : say('reading.heat') }}
    </button>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: var(--space-3);
  margin-top: var(--space-4);
}

button {
  min-height: 54px;
  border: 1.5px solid var(--line-strong);
  background: var(--paper-raised);
  cursor: pointer;
  font-size: var(--size-heading);
  touch-action: manipulation;
}

.unit {
  font-family: var(--face-wide);
  font-size: var(--size-lead);
  font-weight: 660;
}

.next {
  border-color: var(--copper);
}

.here {
  border-color: var(--ink);
  background: var(--ink);
  color: var(--on-ink);
}

.heat {
  grid-column: 1 / -1;
  min-height: 40px;
  font-size: var(--size-text);
}

path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
