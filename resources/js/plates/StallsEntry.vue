<script setup lang="ts">
import { computed } from 'vue';
import { say } from '@/words/say';
import { STALL_COLUMNS as columns } from './stalls';

/** The stalls that bear one plate, each by what is painted on it. */
interface Stall {
  label: string;
  evse_id?: string | null;
  fault?: string | null;
  [key: string]: unknown;
}

const model = defineModel<unknown>({ required: true });
const stalls = computed(() => (Array.isArray(model.value) ? (model.value as Stall[]) : []));

function write(at: number, column: keyof typeof columns, typed: string): void {
  const text = typed.trim();
  model.value = stalls.value.map((s, i) =>
    i === at ? { ...s, [column]: column === 'label' ? text : text || null } : s,
  );
}

function remove(at: number): void {
  const rest = stalls.value.filter((_, i) => i !== at);
  model.value = rest.length > 0 ? rest : null;
}

function add(): void {
  model.value = [...stalls.value, { label: String(stalls.value.length + 1), evse_id: null, fault: null }];
}
</script>

<template>
  <table v-if="stalls.length > 0">
    <thead>
      <tr>
        <th v-for="(words, column) in columns" :key="column" scope="col">{{ say(words) }}</th>
        <td></td>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(stall, i) in stalls" :key="i">
        <td v-for="(words, column) in columns" :key="column" :class="column">
          <input
            :value="stall[column] ?? ''"
            :aria-label="say('stalls.of', { what: say(words), n: i + 1 })"
            :placeholder="say(words)"
            :maxlength="column === 'fault' ? 200 : 48"
            autocomplete="off"
            @change="write(i, column, ($event.target as HTMLInputElement).value)"
          />
        </td>
        <td class="act">
          <button type="button" class="text-button" @click="remove(i)">
            {{ say('stalls.remove') }}<span class="sr-only">{{ say('kit.of', { name: stall.label }) }}</span>
          </button>
        </td>
      </tr>
    </tbody>
  </table>
  <button type="button" class="text-button add" @click="add">{{ say('stalls.add') }}</button>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}

th {
  color: var(--ink-soft);
  font-size: 13px;
  font-weight: 400;
  text-align: start;
}

td {
  padding: 2px 8px 2px 0;
}

.label {
  width: 18%;
}

.evse_id {
  width: 34%;
}

input {
  width: 100%;
  min-width: 0;
  padding: 3px 4px;
  border: 0;
  border-bottom: 1.5px solid var(--line-strong);
  background: none;
}

.add {
  align-self: start;
}

/* Too narrow for three columns: what is known against a stall has a line of its own, and each field says what it is. */
@media (width <= 720px) {
  thead {
    display: none;
  }

  tr {
    display: grid;
    grid-template-columns: minmax(60px, 1fr) 2fr auto;
    padding-bottom: 6px;
  }

  .label,
  .evse_id {
    width: auto;
  }

  .act {
    grid-area: 1 / 3;
  }

  .fault {
    grid-area: 2 / 1 / auto / span 3;
  }
}
</style>
