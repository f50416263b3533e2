<script setup lang="ts">
import { ref } from 'vue';
import type { Loaded } from '@/api/client';

defineProps<{ loaded: Loaded | null; isBusy: boolean }>();
const emit = defineEmits<{ load: [file: File] }>();
const input = ref<HTMLInputElement>();

const rows = (n: number) => (n === 1 ? '1 row' : `${n} rows`);

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
  <section class="file" aria-label="Readings file">
    <label for="readings-file">Load a readings file</label>
    <input
      id="readings-file"
      ref="input"
      type="file"
      accept=".csv,.tsv,.txt,text/csv"
      :disabled="isBusy"
      @change="pick"
    />
    <p class="quiet small">
      CSV with a header: t_s or time, and any of soc_pct, volts, amps, kw, adapter_c, ambient_c …
    </p>
    <div v-if="loaded" class="outcome" role="status">
      <p>
        <strong>{{ loaded.added }}</strong> readings added<template v-if="loaded.understood > loaded.added"
          >, {{ loaded.understood - loaded.added }} were here already</template
        ><template v-if="loaded.rejected.length > 0">; {{ rows(loaded.rejected.length) }} left out</template>.
      </p>
      <ul v-if="loaded.rejected.length > 0">
        <li v-for="row in loaded.rejected.slice(0, 6)" :key="row.line">line {{ row.line }}: {{ row.reason }}</li>
        <li v-if="loaded.rejected.length > 6">and {{ loaded.rejected.length - 6 }} more</li>
      </ul>
      <p v-if="loaded.ignored_columns.length > 0" class="quiet">
        Columns not understood: {{ loaded.ignored_columns.join(', ') }}
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
