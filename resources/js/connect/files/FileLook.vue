<script setup lang="ts">
import { computed } from 'vue';
import type { CurvePoint, Import, ImportLook, Mapping } from '@/api/client';
import { useUnits } from '@/stores/units';
import { clock, number } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { vTyped } from '@/ui/typed';
import { listed, say, sentence } from '@/words/say';
import { useReadingFields } from '@/connect/readingFields';
import FileColumns from './FileColumns.vue';
import FileSlide from './FileSlide.vue';

/** Preview of a readings file: its columns, first rows, curve and start. */
const props = defineProps<{ file: Import; look: ImportLook; refusal: string; trouble: string; curve: CurvePoint[] }>();
const emit = defineEmits<{
  tell: [body: { mapping?: Mapping; shift_s?: number; instrument?: string }];
  take: [];
  drop: [file: Import];
  close: [];
}>();

/** How the way in which it is read came about. */
const FROM = {
  ours: say('look.ours'),
  guessed: say('look.guessed'),
  remembered: say('look.remembered'),
  told: say('look.told'),
};
/** Rows left out that are listed here. */
const LISTED = 4;

const units = useUnits();
const { screen, heat } = useReadingFields();
const fields = computed(() =>
  [...screen, ...heat.value].filter((f) =>
    props.look.rows.some((row) => row[f.name] !== null && row[f.name] !== undefined),
  ),
);
const shown = (row: ImportLook['rows'][number], field: string, isHeat: boolean): string => {
  const value = row[field];
  return typeof value !== 'number' ? '' : isHeat ? units.thermometer(value) : number(value, 1);
};
const hasCurve = computed(() => Object.keys(props.look.curve).length > 0);

/** A field tells its change when it is left, also by closing with Esc. */
function leave(done: () => void): void {
  if (document.activeElement instanceof HTMLElement) {
    document.activeElement.blur();
  }
  done();
}
</script>

<template>
  <el-dialog
    :model-value="true"
    :title="say('look.title', { name: file.name })"
    width="min(980px, 96%)"
    top="4vh"
    append-to-body
    class="file-look"
    :before-close="leave"
    @close="emit('close')"
  >
    <div class="look">
      <p v-if="file.mapping_from !== 'ours' || !look.problem">{{ FROM[file.mapping_from] }}</p>
      <label class="instrument">
        {{ say('look.instrument') }}
        <input
          v-typed="file.instrument"
          maxlength="40"
          autocomplete="off"
          @change="(e) => emit('tell', { instrument: (e.target as HTMLInputElement).value })"
        />
      </label>
      <fieldset v-if="look.question" class="question">
        <legend>{{ say('look.question', { column: look.question.column, example: look.question.example }) }}</legend>
        <button
          v-for="way in look.question.ways"
          :key="way.words"
          type="button"
          class="notched"
          @click="emit('tell', { mapping: way.mapping })"
        >
          {{ way.words }}
        </button>
      </fieldset>
      <FileColumns
        v-if="(file.mapping_from !== 'ours' || look.problem) && !look.question"
        :file="file"
        :look="look"
        @told="(m) => emit('tell', { mapping: m })"
      />
      <p v-if="look.unused_columns.length > 0" class="unused">
        {{ say('look.unused', { columns: listed('comma', look.unused_columns) }) }}
      </p>
      <p v-if="refusal || (look.problem && !look.question)" class="problem" role="alert">
        {{ refusal || sentence(look.problem ?? '') }}
      </p>
      <FileSlide
        v-if="hasCurve"
        :curve="curve"
        :look="look"
        :beside="look.clock_of"
        :shift-s="file.shift_s"
        @shift="(s) => emit('tell', { shift_s: s })"
      />
      <div v-if="look.rows.length > 0" class="rows">
        <table>
          <caption>
            {{
              say('look.rows')
            }}
          </caption>
          <thead>
            <tr>
              <th scope="col">{{ say('readings.time') }}</th>
              <th v-for="f in fields" :key="f.name" scope="col">{{ listed('comma', [f.label, f.unit]) }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, i) in look.rows" :key="i" class="figures">
              <th scope="row">{{ clock(row.t_s) }}</th>
              <td v-for="f in fields" :key="f.name">{{ shown(row, f.name, f.isHeat) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-else-if="!look.problem">{{ say('look.no_rows') }}</p>
      <p v-if="!look.question">
        {{
          look.is_whole
            ? say('look.count', { n: look.understood, rejected: look.rejected_count })
            : say('look.count_part', { looked: look.looked_at, n: look.understood, rejected: look.rejected_count })
        }}
        <a v-if="look.rejected_count > 0" :href="`/api/imports/${file.id}/left-out.csv`" download>{{
          say('file.save_rejected')
        }}</a>
      </p>
      <ul v-if="look.rejected.length > 0">
        <li v-for="row in look.rejected.slice(0, LISTED)" :key="row.line">
          {{ say('file.line', { line: row.line, reason: row.reason }) }}
        </li>
        <li v-if="look.rejected_count > LISTED">{{ say('file.more', { n: look.rejected_count - LISTED }) }}</li>
      </ul>
    </div>
    <template #footer>
      <p v-if="trouble" class="problem" role="alert">{{ trouble }}</p>
      <div class="foot">
        <TextButton @click="emit('drop', file)">{{ say('look.drop') }}</TextButton>
        <button type="button" class="notched" :disabled="look.understood === 0 || refusal !== ''" @click="emit('take')">
          {{ say('look.take') }}
        </button>
      </div>
    </template>
  </el-dialog>
</template>

<style scoped>
.look {
  display: grid;
  gap: var(--space-6);
}

.look > * {
  min-width: 0;
}

.foot button:disabled {
  cursor: default;
  opacity: 0.45;
}

.instrument {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4);
  align-items: center;
}

.question {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-6);
  margin: 0;
  padding: 0;
  border: 0;
}

.question legend {
  margin-bottom: var(--space-4);
  font-weight: 640;
}

.question button {
  flex: 1 1 200px;
}

.problem {
  padding: var(--space-4) var(--space-6);
  border-inline-start: 4px solid var(--ink);
  background: var(--paper-raised);
  font-weight: 640;
  text-align: start;
}

.rows {
  overflow-x: auto;
}

table {
  border-collapse: collapse;
}

caption {
  padding-bottom: var(--space-2);
  font-weight: 640;
  text-align: start;
}

th,
td {
  padding-block: var(--space-1);
  padding-inline: 0 var(--space-7);
  text-align: end;
  font-size: var(--size-small);
  white-space: nowrap;
}

thead th {
  border-bottom: 1px solid var(--ink);
}

ul {
  margin: 0;
  padding-inline-start: var(--space-7);
  font-size: var(--size-small);
}

.foot {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-7);
  align-items: center;
  justify-content: flex-end;
}
</style>

<style>
/* What is done with the file stays in view, however long the look at it is. */
.el-dialog.file-look {
  display: flex;
  flex-direction: column;
  max-height: 92dvh;
}

.file-look .el-dialog__body {
  flex: 1 1 auto;
  min-height: 0;
  overflow-y: auto;
}
</style>
