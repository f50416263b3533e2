<script setup lang="ts">
import { reactive, ref } from 'vue';
import type { ApiError, Reading } from '@/api/client';
import { useShortcuts } from '@/ui/useShortcuts';
import { say } from '@/words/say';

const props = defineProps<{
  error: ApiError | null;
  isBusy: boolean;
  elapsedS: number;
  take: (reading: Omit<Reading, 'client_id'>) => Promise<boolean>;
}>();

const fields = [
  { name: 'soc_pct', label: 'reading.charge', unit: 'unit.percent' },
  { name: 'volts', label: 'reading.volts', unit: 'unit.volts' },
  { name: 'amps', label: 'reading.amps', unit: 'unit.amps' },
  { name: 'kw', label: 'reading.power', unit: 'unit.kw' },
] as const;

const values = reactive<Record<(typeof fields)[number]['name'] | 'minute', string>>({
  soc_pct: '',
  volts: '',
  amps: '',
  kw: '',
  minute: '',
});
const mistyped = ref('');
const first = ref<HTMLInputElement[]>();

function parsed(text: string): number | null {
  const trimmed = text.trim().replace(',', '.');
  return trimmed === '' ? null : Number(trimmed);
}

async function submit(): Promise<void> {
  const numbers = Object.fromEntries(fields.map((f) => [f.name, parsed(values[f.name])]));
  const minute = parsed(values.minute);
  const wrong = [...fields.map((f) => [f.label, numbers[f.name]] as const), ['reading.minute', minute] as const].find(
    ([, n]) => Number.isNaN(n),
  );
  mistyped.value = wrong ? say('reading.not_number', { field: say(wrong[0]) }) : '';
  if (wrong) {
    return;
  }
  const t_s = minute === null ? Math.round(props.elapsedS * 10) / 10 : minute * 60;
  if (await props.take({ t_s, ...numbers, source: 'typed' })) {
    Object.assign(values, { soc_pct: '', volts: '', amps: '', kw: '', minute: '' });
    first.value?.[0]?.focus();
  }
}

useShortcuts({ ' ': submit });
</script>

<template>
  <form class="reading" :aria-label="say('reading.form')" @submit.prevent="submit">
    <div class="digits">
      <div v-for="field in fields" :key="field.name" class="field" :class="{ wrong: error?.about(field.name) }">
        <label :for="`reading-${field.name}`">{{ say(field.label) }}</label>
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
          <span class="unit" aria-hidden="true">{{ say(field.unit) }}</span>
        </span>
      </div>
    </div>
    <p v-if="mistyped" class="complaint" role="alert">{{ mistyped }}</p>
    <p v-else-if="error" class="complaint" role="alert">{{ error.message }}</p>
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
