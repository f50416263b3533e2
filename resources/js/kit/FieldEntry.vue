<script setup lang="ts">
import { computed, useId } from 'vue';
import { read, written } from './entries';
import { languages, type Field } from './fields';

/** One figure of a plate. Empty is not known. */
const props = defineProps<{ field: Field; complaint?: string }>();
const model = defineModel<unknown>({ required: true });
const id = useId();

const text = computed({
  get: () => written(props.field.kind, model.value),
  set: (typed: string) => (model.value = read(props.field.kind, typed)),
});
const yesNo = computed({
  get: () => (model.value === true ? 'yes' : model.value === false ? 'no' : ''),
  set: (chosen: string) => (model.value = chosen === '' ? null : chosen === 'yes'),
});
/** A retrofit is told by what it adds; a word alone says that none is possible. */
const retrofit = computed({
  get: () => {
    const value = model.value;
    return typeof value === 'string' ? value : Array.isArray((value as { adds?: string[] } | null)?.adds) ? 'plc' : '';
  },
  set: (chosen: string) =>
    (model.value = chosen === 'plc' ? { adds: ['plc'], state: 'available' } : chosen === '' ? null : chosen),
});
const spoken = computed(() => (Array.isArray(model.value) ? (model.value as string[]) : null));

function speak(language: string, isSpoken: boolean): void {
  const rest = (spoken.value ?? []).filter((l) => l !== language);
  model.value = isSpoken ? [...rest, language] : rest;
}
</script>

<template>
  <div class="entry" :class="[field.kind, { wrong: complaint }]">
    <template v-if="field.kind === 'languages'">
      <fieldset>
        <legend>{{ field.label }}</legend>
        <label v-for="[value, words] in languages" :key="value">
          <input
            type="checkbox"
            :checked="spoken?.includes(value) ?? false"
            @change="speak(value, ($event.target as HTMLInputElement).checked)"
          />
          {{ words }}
        </label>
        <button v-if="spoken !== null" type="button" class="text-button" @click="model = null">not known</button>
        <span v-else class="quiet">not known</span>
      </fieldset>
    </template>
    <template v-else>
      <label :for="id">{{ field.label }}</label>
      <select v-if="field.kind === 'choice'" :id="id" v-model="text" :aria-invalid="complaint ? 'true' : undefined">
        <option v-if="!field.needed" value="">not known</option>
        <option v-for="[value, words] in field.options" :key="value" :value="value">{{ words }}</option>
      </select>
      <select v-else-if="field.kind === 'yes_no'" :id="id" v-model="yesNo">
        <option value="">not known</option>
        <option value="yes">yes</option>
        <option value="no">no</option>
      </select>
      <select v-else-if="field.kind === 'retrofit'" :id="id" v-model="retrofit">
        <option value="">not known</option>
        <option value="plc">adds power-line communication</option>
        <option value="impossible">not possible</option>
      </select>
      <span v-else class="typed">
        <input
          :id="id"
          v-model.lazy="text"
          class="figures"
          :inputmode="field.kind === 'number' ? 'decimal' : 'text'"
          autocomplete="off"
          placeholder="not read"
          :aria-invalid="complaint ? 'true' : undefined"
        />
        <span v-if="field.unit" class="unit" aria-hidden="true">{{ field.unit }}</span>
      </span>
    </template>
    <p v-if="complaint" class="wrong-words" role="alert">{{ complaint }}</p>
  </div>
</template>

<style scoped>
.entry {
  display: flex;
  flex-direction: column;
  min-width: 0;
}

.curve,
.bands,
.languages,
.names {
  grid-column: 1 / -1;
}

label,
legend {
  color: var(--ink-soft);
  font-size: 13px;
}

fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  margin: 0;
  padding: 0;
  border: 0;
}

fieldset label {
  color: var(--ink);
  font-size: 14px;
}

.typed {
  display: flex;
  gap: 6px;
  align-items: baseline;
  border-bottom: 1.5px solid var(--line-strong);
}

.typed:focus-within {
  border-color: var(--ink);
}

input:not([type]) {
  width: 100%;
  min-width: 0;
  padding: 2px 0;
  border: 0;
  background: none;
  font-size: 17px;
  font-weight: 620;
}

.curve input:not([type]) {
  font-size: 14px;
  font-weight: 500;
}

select {
  padding: 4px 2px;
  border: 0;
  border-bottom: 1.5px solid var(--line-strong);
  background: var(--paper-raised);
}

.unit {
  color: var(--ink-soft);
  font-size: 13px;
  white-space: nowrap;
}

.wrong .typed,
.wrong select {
  border-color: var(--brick);
}

.wrong-words {
  color: var(--brick-text);
  font-size: 13px;
}
</style>
