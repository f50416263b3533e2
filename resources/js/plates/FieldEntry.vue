<script setup lang="ts">
import { computed, useId } from 'vue';
import { isFigure, read, written } from './entries';
import type { Field } from './fields';
import { isAbout, type FactOrigin } from './origins';
import { day } from '@/ui/figures';
import type { StandardLine } from '@/stores/edit';
import StallsEntry from './StallsEntry.vue';
import { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import TermHint from '@/ui/TermHint.vue';
import TextButton from '@/ui/TextButton.vue';
import { OF_FIELD } from '@/words/glossaryTerms';
import { listed, say } from '@/words/say';

/** One figure of a plate. Empty is not known. */
const props = defineProps<{
  field: Field;
  complaint?: string;
  origin?: FactOrigin;
  /** What a standard says of it. */
  standard?: StandardLine;
}>();
/** What stands there without having been read is so. */
const emit = defineEmits<{ confirm: [] }>();
const model = defineModel<unknown>({ required: true });
const id = useId();
const terms = useTerms();

const told = computed(() =>
  props.origin === undefined
    ? ''
    : listed('dot', [
        terms.words('origin', props.origin.origin),
        ...(props.origin.on ? [day(props.origin.on, 'UTC')] : []),
      ]),
);

const { entry } = useUnits();
/** The garage's own unit for what is stored in ours. */
const own = computed(() => entry(props.field.kind));
const unit = computed(() => props.field.unit ?? own.value.unit);

/** Digits that a conversion there and back leaves as they were typed. */
const DIGITS = 8;
const rounded = (n: number) => Number(n.toPrecision(DIGITS));

const text = computed({
  get: () =>
    written(props.field.kind, typeof model.value === 'number' ? rounded(own.value.show(model.value)) : model.value),
  set: (typed: string) => {
    const value = read(props.field.kind, typed);
    model.value = typeof value === 'number' ? rounded(own.value.store(value)) : value;
  },
});
const yesNo = computed({
  get: () => (model.value === true ? 'yes' : model.value === false ? 'no' : ''),
  set: (chosen: string) => (model.value = chosen === '' ? null : chosen === 'yes'),
});
const IMPOSSIBLE = 'impossible';
/** A retrofit is told by what it adds; a word alone says that none is possible. */
const retrofit = computed({
  get: () => {
    const value = model.value;
    return typeof value === 'string' ? value : ((value as { adds?: string[] } | null)?.adds?.join('+') ?? '');
  },
  set: (chosen: string) =>
    (model.value =
      chosen === '' ? null : chosen === IMPOSSIBLE ? IMPOSSIBLE : { adds: chosen.split('+'), state: 'available' }),
});
/** What the car's own retrofit adds, where that is not one of the usual. */
const ownRetrofit = computed(() => {
  const adds = (model.value as { adds?: string[] } | null)?.adds ?? [];
  const isUsual = adds.length === 1 && terms.known().retrofits.some((r) => r.id === adds[0]);
  return isUsual
    ? ''
    : listed(
        'and',
        adds.map((language) => terms.words('signalling', language)),
      );
});
const spoken = computed(() => (Array.isArray(model.value) ? (model.value as string[]) : null));

function speak(language: string, isSpoken: boolean): void {
  const rest = (spoken.value ?? []).filter((l) => l !== language);
  model.value = isSpoken ? [...rest, language] : rest;
}
/** The term that its label needs explained, by the end of its path. */
const term = computed(() => {
  const found = Object.keys(OF_FIELD).find((end) => props.field.path === end || props.field.path.endsWith(`.${end}`));
  return found === undefined ? undefined : OF_FIELD[found];
});
</script>

<template>
  <div class="entry" :class="[field.kind, { wrong: complaint, wide: field.isWide }]">
    <template v-if="field.kind === 'languages'">
      <fieldset>
        <legend>{{ field.label }} <TermHint v-if="term" :term="term" is-mark /></legend>
        <label v-for="language in terms.all('signalling')" :key="language.id">
          <input
            type="checkbox"
            :checked="spoken?.includes(language.id) ?? false"
            @change="speak(language.id, ($event.target as HTMLInputElement).checked)"
          />
          {{ language.words }}
        </label>
        <TextButton v-if="spoken !== null" @click="model = null">
          {{ say('entry.not_known') }}
        </TextButton>
        <span v-else class="quiet">{{ say('entry.not_known') }}</span>
      </fieldset>
    </template>
    <fieldset v-else-if="field.kind === 'stalls'" class="rows">
      <legend>{{ field.label }}</legend>
      <StallsEntry v-model="model" />
    </fieldset>
    <template v-else>
      <span class="named"
        ><label :for="id">{{ field.label }}</label
        ><TermHint v-if="term" :term="term" is-mark
      /></span>
      <select v-if="field.kind === 'choice'" :id="id" v-model="text" :aria-invalid="complaint ? 'true' : undefined">
        <option v-if="!field.needed" value="">{{ say('entry.not_known') }}</option>
        <option v-for="[value, words] in field.options" :key="value" :value="value">{{ words }}</option>
      </select>
      <select v-else-if="field.kind === 'yes_no'" :id="id" v-model="yesNo">
        <option value="">{{ say('entry.not_known') }}</option>
        <option value="yes">{{ say('entry.yes') }}</option>
        <option value="no">{{ say('entry.no') }}</option>
      </select>
      <select v-else-if="field.kind === 'retrofit'" :id="id" v-model="retrofit">
        <option value="">{{ say('entry.not_known') }}</option>
        <option v-for="language in terms.known().retrofits" :key="language.id" :value="language.id">
          {{ say('entry.adds', { language: language.words }) }}
        </option>
        <option v-if="ownRetrofit" :value="retrofit">{{ say('entry.adds', { language: ownRetrofit }) }}</option>
        <option :value="IMPOSSIBLE">{{ say('entry.not_possible') }}</option>
      </select>
      <span v-else class="typed">
        <input
          :id="id"
          v-model.lazy="text"
          class="figures"
          :type="field.kind === 'day' ? 'date' : 'text'"
          :inputmode="isFigure(field.kind) ? 'decimal' : 'text'"
          autocomplete="off"
          :placeholder="say('entry.not_read')"
          :aria-invalid="complaint ? 'true' : undefined"
        />
        <span v-if="unit" class="unit" aria-hidden="true">{{ unit }}</span>
      </span>
    </template>
    <p v-if="told" class="origin" :class="{ about: isAbout(origin) }">
      {{ told }}
      <TextButton v-if="isAbout(origin)" :words="say('entry.is_so')" :of="field.label" @click="emit('confirm')" />
    </p>
    <p v-if="standard" class="origin standard" :class="{ about: standard.contradicts }">{{ standard.says }}</p>
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
.names,
.stalls {
  grid-column: 1 / -1;
}

label,
legend {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

label::first-letter,
legend::first-letter {
  text-transform: uppercase;
}

.named {
  display: flex;
  gap: var(--space-2);
  align-items: center;
}

.wide {
  grid-column: span 2;
}

.origin {
  margin: 1px 0 0;
  color: var(--ink-faint);
  font-size: var(--size-small);
}

.origin.about {
  color: var(--ochre-text);
}

fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-7);
  align-items: center;
  margin: 0;
  padding: 0;
  border: 0;
}

fieldset.rows {
  flex-direction: column;
  flex-wrap: nowrap;
  align-items: stretch;
}

fieldset label {
  color: var(--ink);
  font-size: var(--size-label);
}

.typed {
  display: flex;
  gap: var(--space-3);
  align-items: baseline;
  border-bottom: 1.5px solid var(--line-strong);
}

.typed:focus-within {
  border-color: var(--ink);
}

.typed input {
  width: 100%;
  min-width: 0;
  padding: var(--space-1) 0;
  border: 0;
  background: none;
  font-size: var(--size-lead);
  font-weight: 620;
}

.curve .typed input {
  font-size: var(--size-label);
  font-weight: 500;
}

/* Engraved on the plate, like its figures. */
select {
  padding-inline-start: var(--space-1);
  border-width: 0 0 1.5px;
}

.unit {
  color: var(--ink-soft);
  font-size: var(--size-small);
  white-space: nowrap;
}

.wrong .typed,
.wrong select {
  border-color: var(--brick);
}

.wrong-words {
  color: var(--brick-text);
  font-size: var(--size-small);
}
</style>
