<script setup lang="ts">
import { useLocalStorage, useMediaQuery } from '@vueuse/core';
import { computed, nextTick, reactive, ref, useTemplateRef, watch } from 'vue';
import type { ApiError, Reading } from '@/api/client';
import { clock, kw as kwAtAGlance } from '@/ui/figures';
import { own } from '@/stores/own';
import { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import { useUndo } from '@/stores/undo';
import { useShortcuts } from '@/ui/useShortcuts';
import TextButton from '@/ui/TextButton.vue';
import { decimalSign, plain } from '@/words/habits';
import { say } from '@/words/say';
import { check, follows, inCelsius, parsed, typedOf, type Complaint, type Doubt } from './readingDraft';
import ReadingPad from './ReadingPad.vue';
import { useReadingFields, type FieldName } from './readingFields';
import type { Visit } from './useVisit';

const props = defineProps<{
  /** Whose reading it is: what is typed and not taken yet outlives a reload. */
  session: string;
  error: ApiError | null;
  elapsedS: number;
  /** When the newest reading was taken. */
  newestS: number;
  /** What an entry can hardly be; null where the chain could not be asked about. */
  entries: Visit['entries'] | null;
  /** A reading that is being corrected. */
  edits: Reading | null;
  take: (reading: Omit<Reading, 'client_id'>, replaces?: Reading) => Promise<boolean>;
  count: (kwh: number) => Promise<boolean>;
}>();
const emit = defineEmits<{ edited: [] }>();

const terms = useTerms();
const { isUs } = useUnits();
const { offer, takeBack } = useUndo();
const { screen, heat, habit, readsHeat, first, after, celsius } = useReadingFields();
const draft = useLocalStorage<Record<string, string>>(own(`draft-${props.session}`), {});
const values = reactive<Record<string, string>>({ ...draft.value });
watch(values, (now) => (draft.value = Object.values(now).some((v) => v !== '') ? { ...now } : null));
const showsHeat = ref(readsHeat.value || heat.value.some((f) => values[f.name]));
const hasPad = useMediaQuery('(pointer: coarse), (width <= 720px)');
const active = ref<FieldName | 'minute'>(first.value);
const inputs = reactive<Record<string, HTMLInputElement>>({});
const isSaving = ref(false);
/** The fields of this reading, in the order they were typed. */
const order: FieldName[] = [];
/** A minute that has not come yet, and that was asked about. */
let asked: number | null = null;
const mistyped = ref('');
/** A value that can hardly be what it was typed as; both ways stay open. */
const doubt = ref<Doubt | null>(null);
const sure = new Set<FieldName>();

const all = computed(() => [...screen, ...heat.value]);
const shown = computed(() => (showsHeat.value ? all.value : screen));

/** A refusal by the name of its field, as it stands on the form. */
const refusal = computed(() => {
  const field = all.value.find((f) => props.error?.about(f.name));
  return field
    ? say('reading.refused', { field: field.label, problem: props.error?.about(field.name) ?? '' })
    : (props.error?.message ?? '');
});
const derived = computed(() => follows(values, props.entries?.phases ?? 1));

const form = useTemplateRef<HTMLFormElement>('form');

watch(
  () => props.edits,
  (reading) => {
    if (reading) {
      clear();
      Object.assign(values, typedOf(reading, all.value, celsius.value));
      showsHeat.value ||= heat.value.some((f) => values[f.name]);
      void nextTick(() => form.value?.scrollIntoView({ block: 'nearest' }));
    }
  },
);

function clear(): void {
  Object.keys(values).forEach((name) => (values[name] = ''));
  order.length = 0;
  sure.clear();
  asked = null;
  doubt.value = null;
  mistyped.value = '';
}

function typed(name: FieldName | 'minute'): void {
  if (name !== 'minute' && !order.includes(name)) {
    order.push(name);
  }
  doubt.value = null;
}

function go(name: FieldName | 'minute'): void {
  active.value = name;
  inputs[name]?.focus({ preventScroll: true });
}

/** A key of the pad. */
function press(key: string): void {
  const name = active.value;
  const now = values[name] ?? '';
  const sign = decimalSign();
  if (key === 'back') {
    values[name] = now.slice(0, -1);
  } else if (key !== sign || !now.includes(sign)) {
    values[name] = now + key;
  }
  typed(name);
}

function told(complaint: Complaint): string {
  switch (complaint.kind) {
    case 'not_number':
      return say('reading.not_number', {
        field: all.value.find((f) => f.name === complaint.field)?.label ?? say('reading.minute'),
      });
    case 'outside': {
      const { field, least, most } = complaint;
      const figures = { field: field.label, value: values[field.name] ?? '', least: plain(least), most: plain(most) };
      return say('reading.outside', { ...figures, unit: field.unit });
    }
    case 'empty':
      return say('reading.empty');
    case 'later':
      return say('reading.later', { minute: complaint.minute, elapsed: clock(props.elapsedS) });
  }
}

/** The two ways out of a doubt. */
const WAYS = {
  kwh: { other: 'reading.is_kwh', so: 'reading.is_kw' },
  amps: { other: 'reading.correct_amps', so: 'reading.is_amps' },
  fahrenheit: { other: 'reading.is_f', so: 'reading.is_c' },
} as const;

const doubted = computed(() => {
  const value = values[doubt.value?.field ?? ''] ?? '';
  switch (doubt.value?.kind) {
    case 'kwh':
      return say('reading.kw_or_kwh', { value, most: kwAtAGlance(props.entries?.most_kw) });
    case 'amps':
      return say('reading.amps_too_many', { value, most: plain(Math.round(props.entries?.most_a ?? 0)) });
    default:
      return say('reading.c_or_f', { value });
  }
});

/** It is what it was typed as. */
function keepSo(): Promise<void> {
  if (doubt.value) {
    sure.add(doubt.value.field);
  }
  doubt.value = null;
  return submit();
}

/** It is the other thing. */
async function keepOther(): Promise<void> {
  const asks = doubt.value;
  const value = parsed(values[asks?.field ?? '']);
  if (asks?.kind === 'amps') {
    doubt.value = null;
    go(asks.field);
    return;
  }
  if (!asks || typeof value !== 'number') {
    return;
  }
  if (asks.kind === 'kwh') {
    if (!(await props.count(value))) {
      return;
    }
    values[asks.field] = '';
    order.splice(0, order.length, ...order.filter((name) => name !== asks.field));
  } else {
    values[asks.field] = inCelsius(value);
    sure.add(asks.field);
  }
  doubt.value = null;
  if (shown.value.some((f) => parsed(values[f.name]) !== null)) {
    await submit();
  }
}

async function submit(): Promise<void> {
  if (isSaving.value) {
    return;
  }
  const checked = check(values, {
    fields: all.value,
    celsius: celsius.value,
    isUs: isUs.value,
    ranges: terms.known().reading_ranges,
    entries: props.entries,
    sure,
    elapsedS: props.elapsedS,
    newestS: props.newestS,
    asked,
    edits: props.edits,
  });
  mistyped.value = 'complaint' in checked ? told(checked.complaint) : '';
  if ('complaint' in checked) {
    asked = checked.complaint.kind === 'later' ? checked.complaint.minute : asked;
    return;
  }
  if ('doubt' in checked) {
    doubt.value = checked.doubt;
    return;
  }
  isSaving.value = true;
  const isKept = await props.take(checked.reading, props.edits ?? undefined);
  isSaving.value = false;
  if (isKept) {
    habit.value = order.length > 0 ? [...order] : habit.value;
    clear();
    emit('edited');
    go(first.value);
  }
}

function leave(): void {
  clear();
  emit('edited');
}

useShortcuts({ ' ': submit });
</script>

<template>
  <form ref="form" class="reading" :aria-label="say('reading.form')" @submit.prevent="submit">
    <p v-if="edits" class="editing">
      {{ say('reading.editing', { time: clock(edits.t_s) }) }}
      <TextButton @click="leave">{{ say('reading.leave_edit') }}</TextButton>
    </p>
    <div class="digits">
      <div
        v-for="field in shown"
        :key="field.name"
        class="field"
        :class="{ wrong: error?.about(field.name), heat: field.isHeat, here: hasPad && active === field.name }"
      >
        <span class="head">
          <label :for="`reading-${field.name}`">{{ field.label }}</label>
          <span class="unit" aria-hidden="true">{{ field.unit }}</span>
        </span>
        <span class="entry">
          <input
            :id="`reading-${field.name}`"
            :ref="(el) => el && (inputs[field.name] = el as HTMLInputElement)"
            v-model="values[field.name]"
            class="figures"
            :inputmode="hasPad ? 'none' : 'decimal'"
            autocomplete="off"
            :placeholder="derived[field.name]"
            :aria-invalid="error?.about(field.name) ? 'true' : undefined"
            @focus="active = field.name"
            @input="typed(field.name)"
          />
        </span>
      </div>
    </div>
    <p v-if="mistyped" class="complaint" role="alert">{{ mistyped }}</p>
    <p v-else-if="error" class="complaint" role="alert">{{ refusal }}</p>
    <div v-if="doubt" class="doubt" role="alert">
      <p>
        {{ doubted }}
      </p>
      <button type="button" class="way" @click="keepOther">
        {{ say(WAYS[doubt.kind].other) }}
      </button>
      <button type="button" class="way" @click="keepSo">
        {{ say(WAYS[doubt.kind].so) }}
      </button>
    </div>
    <ReadingPad
      v-if="hasPad"
      :fields="screen"
      :active="active"
      :shows-heat="showsHeat"
      :next="active === 'minute' ? null : after(active)"
      @key="press"
      @go="go"
      @heat="showsHeat = !showsHeat"
    />
    <div class="bottom">
      <label class="minute" for="reading-minute">
        {{ say('reading.at_minute') }}
        <input
          id="reading-minute"
          :ref="(el) => el && (inputs.minute = el as HTMLInputElement)"
          v-model="values.minute"
          class="figures"
          :inputmode="hasPad ? 'none' : 'decimal'"
          autocomplete="off"
          :placeholder="say('reading.now')"
          @focus="active = 'minute'"
        />
      </label>
      <button type="submit" class="notched keep">{{ edits ? say('reading.save') : say('reading.take') }}</button>
      <button v-if="hasPad && offer" type="button" class="undo" @click="takeBack">{{ say('pad.undo') }}</button>
    </div>
    <TextButton v-if="!hasPad" class="heat-switch" :aria-expanded="showsHeat" @click="showsHeat = !showsHeat">
      {{ showsHeat ? say('reading.no_heat') : say('reading.heat') }}
    </TextButton>
    <p class="quiet small">{{ say('reading.leave_empty') }}</p>
  </form>
</template>

<style scoped>
.digits {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: var(--space-3);
}

.field {
  padding: var(--space-2) var(--space-4) var(--space-3);
  border: 1.5px solid var(--line-strong);
  background: var(--paper-raised);
}

.heat input {
  font-size: var(--size-title);
}

.heat-switch {
  margin: var(--space-3) 0;
}

.here,
.field:focus-within {
  border-color: var(--ink);
  outline: 1.5px solid var(--ink);
}

.here {
  border-bottom-color: var(--copper);
  box-shadow: inset 0 -3px 0 var(--copper);
}

.field.wrong {
  border-color: var(--brick);
}

.field label {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

.entry {
  display: flex;
  gap: var(--space-2);
  align-items: baseline;
}

.entry input {
  width: 100%;
  min-width: 0;
  padding: 0;
  border: 0;
  background: none;
  font-size: var(--size-figure);
  font-weight: 640;
  line-height: 1.15;
  outline: none;
}

.head {
  display: flex;
  gap: var(--space-2);
  justify-content: space-between;
}

.entry input::placeholder {
  color: var(--ink-soft);
  font-style: italic;
  opacity: 1;
}

.unit {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

.bottom {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-5);
  align-items: flex-end;
  margin: var(--space-4) 0 var(--space-3);
}

.keep {
  flex: 1;
}

.undo {
  flex: 0 0 72px;
  height: 56px;
  border: 1.5px solid var(--ink);
  background: none;
  color: inherit;
  cursor: pointer;
  font-weight: 620;
}

.minute {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

.minute input {
  display: block;
  width: 78px;
  height: 38px;
  padding: var(--space-2) var(--space-4);
  border: 1px solid var(--line-strong);
  background: var(--paper-raised);
}

.small {
  font-size: var(--size-small);
}

.complaint,
.doubt,
.editing {
  margin-top: var(--space-4);
}

.doubt {
  padding: var(--space-4) var(--space-6);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper-raised);
}
</style>
