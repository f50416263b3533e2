<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import type { ApiError, Reading } from '@/api/client';
import { number } from '@/plates/entries';
import { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import { clock } from '@/ui/figures';
import { useShortcuts } from '@/ui/useShortcuts';
import { say } from '@/words/say';

const props = defineProps<{
  error: ApiError | null;
  isBusy: boolean;
  elapsedS: number;
  /** When the newest reading was taken. */
  newestS: number;
  take: (reading: Omit<Reading, 'client_id'>) => Promise<boolean>;
}>();

const { entry } = useUnits();
const terms = useTerms();

interface Field {
  name: 'soc_pct' | 'volts' | 'amps' | 'kw' | 'ambient_c' | 'adapter_c' | 'handle_c' | 'cable_c' | 'inlet_c';
  label: string;
  unit: string;
}
const values = reactive<Record<string, string>>({});
const screen: Field[] = [
  { name: 'soc_pct', label: say('reading.charge'), unit: say('unit.percent') },
  { name: 'volts', label: say('reading.volts'), unit: say('unit.volts') },
  { name: 'amps', label: say('reading.amps'), unit: say('unit.amps') },
  { name: 'kw', label: say('reading.power'), unit: say('unit.kw') },
];
const points = ['ambient', 'adapter', 'handle', 'cable', 'inlet'] as const;
const thermometer = computed<Field[]>(() =>
  points.map((point) => ({
    name: `${point}_c`,
    label: terms.title('point', point),
    unit: entry('celsius').unit,
  })),
);
const showsHeat = ref(false);
/** A minute that has not come yet, and that was asked about. */
let asked: number | null = null;
const mistyped = ref('');
/** A session typed from notes runs ahead of the clock; further ahead than this looks like a slip (s). */
const LATER_S = 3600;
const first = ref<HTMLInputElement[]>();

/** A refusal by the name of its field, as it stands on the form. */
const refusal = computed(() => {
  const field = [...screen, ...thermometer.value].find((f) => props.error?.about(f.name));
  return field
    ? say('reading.refused', { field: field.label, problem: props.error?.about(field.name) ?? '' })
    : (props.error?.message ?? '');
});

/** What was typed; text where it is no number, null where nothing was. */
const parsed = (text: string): number | string | null => (text.trim() === '' ? null : number(text));

async function submit(): Promise<void> {
  const fields = [...screen, ...thermometer.value];
  const numbers: Record<string, number | string | null> = Object.fromEntries(
    fields.map((f) => [f.name, parsed(values[f.name] ?? '')]),
  );
  const minute = parsed(values.minute ?? '');
  const wrong = [...fields, { name: 'minute', label: say('reading.minute') }].find(
    (f) => typeof (f.name === 'minute' ? minute : numbers[f.name]) === 'string',
  );
  const isLater =
    typeof minute === 'number' && minute * 60 > Math.max(props.elapsedS, props.newestS) + LATER_S && minute !== asked;
  mistyped.value = wrong
    ? say('reading.not_number', { field: wrong.label })
    : isLater
      ? say('reading.later', { minute: minute, elapsed: clock(props.elapsedS) })
      : '';
  if (isLater) {
    asked = minute;
  }
  if (wrong || isLater) {
    return;
  }
  for (const f of thermometer.value) {
    const shown = numbers[f.name];
    numbers[f.name] = typeof shown === 'number' ? entry('celsius').store(shown) : null;
  }
  const t_s = typeof minute === 'number' ? minute * 60 : Math.round(props.elapsedS * 10) / 10;
  if (await props.take({ t_s, ...(numbers as Partial<Reading>), source: 'typed' })) {
    Object.keys(values).forEach((name) => (values[name] = ''));
    asked = null;
    first.value?.[0]?.focus();
  }
}

useShortcuts({ ' ': submit });
</script>

<template>
  <form class="reading" :aria-label="say('reading.form')" @submit.prevent="submit">
    <div class="digits">
      <div
        v-for="field in showsHeat ? [...screen, ...thermometer] : screen"
        :key="field.name"
        class="field"
        :class="{ wrong: error?.about(field.name), heat: !screen.includes(field) }"
      >
        <label :for="`reading-${field.name}`">{{ field.label }}</label>
        <span class="entry">
          <input
            :id="`reading-${field.name}`"
            ref="first"
            v-model="values[field.name]"
            class="figures"
            inputmode="decimal"
            autocomplete="off"
            :aria-invalid="error?.about(field.name) ? 'true' : undefined"
          />
          <span class="unit" aria-hidden="true">{{ field.unit }}</span>
        </span>
      </div>
    </div>
    <button type="button" class="text-button heat-switch" :aria-expanded="showsHeat" @click="showsHeat = !showsHeat">
      {{ showsHeat ? say('reading.no_heat') : say('reading.heat') }}
    </button>
    <p v-if="mistyped" class="complaint" role="alert">{{ mistyped }}</p>
    <p v-else-if="error" class="complaint" role="alert">{{ refusal }}</p>
    <div class="bottom">
      <label class="minute" for="reading-minute">
        {{ say('reading.at_minute') }}
        <input
          id="reading-minute"
          v-model="values.minute"
          class="figures"
          inputmode="decimal"
          autocomplete="off"
          :placeholder="say('reading.now')"
        />
      </label>
      <el-button type="primary" native-type="submit" size="large" :loading="isBusy">{{
        say('reading.take')
      }}</el-button>
    </div>
    <p class="quiet small">{{ say('reading.leave_empty') }}</p>
  </form>
</template>

<style scoped>
.digits {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}

.field {
  padding: 6px 12px 8px;
  border: 1.5px solid var(--line-strong);
  background: var(--paper-raised);
}

.heat input {
  font-size: 22px;
}

.heat-switch {
  margin: 6px 0;
}

.field:focus-within {
  border-color: var(--ink);
  outline: 1.5px solid var(--ink);
}

.field.wrong {
  border-color: var(--brick);
}

.field label {
  color: var(--ink-soft);
  font-size: 13px;
}

.entry {
  display: flex;
  gap: 8px;
  align-items: baseline;
}

.entry input {
  width: 100%;
  min-width: 0;
  padding: 0;
  border: 0;
  background: none;
  font-size: 34px;
  font-weight: 640;
  line-height: 1.15;
  outline: none;
}

.unit {
  color: var(--ink-soft);
}

.bottom {
  display: flex;
  gap: 14px;
  align-items: center;
  justify-content: space-between;
  margin: 12px 0 6px;
}

.bottom .el-button {
  flex: 1;
  height: 54px;
  font-size: 17px;
}

.minute {
  color: var(--ink-soft);
  font-size: 13px;
}

.minute input {
  display: block;
  width: 78px;
  padding: 5px 8px;
  border: 1px solid var(--line-strong);
  background: var(--paper-raised);
}

.small {
  font-size: 13px;
}

.complaint {
  margin-top: 10px;
}
</style>
