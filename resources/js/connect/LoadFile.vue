<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Loaded } from '@/api/client';
import { listed, say } from '@/words/say';

const props = defineProps<{ loaded: Loaded | null; isBusy: boolean }>();
/** What the columns of a file that is not ours were taken for. */
const taken = computed(() =>
  Object.entries(props.loaded?.guessed?.columns ?? {}).map(([header, column]) =>
    say(column.sign === -1 ? 'file.column_negative' : 'file.column', {
      header,
      field: listed('comma', [column.field, ...(column.unit ? [column.unit] : [])]),
    }),
  ),
);
const emit = defineEmits<{ load: [file: File] }>();
const input = ref<HTMLInputElement>();

/** Rows that are listed; the rest is counted. */
const LISTED = 6;

function pick(): void {
  const file = input.value?.files?.[0];
  if (file) {
    emit('load', file);
  }
  if (input.value) {
    input.value.value = '';
  }
}
</script>

<template>
  <section class="file" :aria-label="say('file.label')">
    <label for="readings-file">{{ say('file.load') }}</label>
    <input
      id="readings-file"
      ref="input"
      type="file"
      accept=".csv,.tsv,.txt,text/csv"
      :disabled="isBusy"
      @change="pick"
    />
    <p class="quiet small">{{ say('file.how') }}</p>
    <div v-if="loaded" class="outcome" role="status">
      <p>
        <strong>{{ loaded.added }}</strong>{{ say('file.added')
        }}<template v-if="loaded.understood > loaded.added">{{
          say('file.known', { n: loaded.understood - loaded.added })
        }}</template
        ><template v-if="loaded.rejected_count > 0">{{ say('file.rejected', { n: loaded.rejected_count }) }}</template
        >{{ say('file.end') }}
      </p>
      <ul v-if="loaded.rejected.length > 0">
        <li v-for="row in loaded.rejected.slice(0, LISTED)" :key="row.line">
          {{ say('file.line', { line: row.line, reason: row.reason }) }}
        </li>
        <li v-if="loaded.rejected_count > LISTED">{{ say('file.more', { n: loaded.rejected_count - LISTED }) }}</li>
      </ul>
      <p v-if="taken.length > 0">{{ say('file.taken', { columns: listed('comma', taken) }) }}</p>
      <p v-if="loaded.ignored_columns.length > 0" class="quiet">
        {{ say('file.ignored', { columns: listed('comma', loaded.ignored_columns) }) }}
      </p>
    </div>
  </section>
</template>

<style scoped>
.file {
  margin-top: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--line);
}

label {
  display: block;
  margin-bottom: 4px;
  font-weight: 600;
}

input {
  max-width: 100%;
}

input::file-selector-button {
  margin-right: 12px;
  padding: 8px 14px;
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
  color: var(--ink);
  font-family: var(--face-wide);
  font-weight: 600;
  cursor: pointer;
}

.small {
  margin-top: 4px;
  font-size: 13px;
}

.outcome {
  margin-top: 8px;
  padding: 8px 12px;
  border-left: 4px solid var(--ink);
  background: var(--paper-raised);
}

ul {
  margin: 4px 0 0;
  padding-left: 18px;
  font-size: 13px;
}
</style>
