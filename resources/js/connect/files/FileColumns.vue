<script setup lang="ts">
import { onMounted, ref, watch } from 'vue';
import type { Import, ImportLook, Mapping } from '@/api/client';
import { useDraft } from '@/stores/drafts';
import { listed, say } from '@/words/say';
import { formatExample, useColumnWords } from './columnWords';
import { draftOf, HOUR, mappingOf, type MappingDraft } from './mappingDraft';

/** What each column of a foreign file contains; every change is previewed at once. */
const props = defineProps<{ file: Import; look: ImportLook }>();
const emit = defineEmits<{ told: [mapping: Mapping] }>();

const TURNED = ['amps', 'kw'];
const DELIMITERS = {
  ',': say('look.delimiter_comma'),
  ';': say('look.delimiter_semicolon'),
  '\t': say('look.delimiter_tab'),
  '|': say('look.delimiter_bar'),
};
const ENCODINGS: Mapping['encoding'][] = ['utf-8', 'windows-1252'];

const words = useColumnWords();
/** What was chosen stays, however long the server takes; other columns start again. */
const draft = ref(draftOf(props.file, props.look));
const kept = useDraft(`columns ${props.file.id}`, draft);
// Chosen before a reload, it is looked at again.
onMounted(() => kept.isKept.value && emit('told', mappingOf(draft.value)));
watch(
  () => JSON.stringify(props.look.headers),
  () => (draft.value = draftOf(props.file, props.look)),
);
const unitsOf = (field: string) => props.look.fields.find((f) => f.field === field)?.units ?? [];

function change(edit: (draft: MappingDraft) => void): void {
  edit(draft.value);
  emit('told', mappingOf(draft.value));
}
const changeColumn = (at: number, edit: Partial<MappingDraft['columns'][number]>) =>
  change((d) => {
    const column = d.columns[at];
    if (column) {
      Object.assign(column, edit);
    }
  });
/** A field is held by one column: the other gives it up. */
function hold(at: number, field: string): void {
  change((d) => {
    d.columns.forEach((column, i) => {
      const gives = i !== at && field !== '' && column.field === field;
      if (i === at || gives) {
        Object.assign(column, { field: gives ? '' : field, unit: '', isTurned: false, format: '' });
      }
    });
  });
}
const value = (event: Event) => (event.target as HTMLSelectElement).value;
</script>

<template>
  <div class="columns">
    <p class="whole">
      <label
        >{{ say('look.delimiter') }}
        <select :value="draft.delimiter" @change="(e) => change((d) => (d.delimiter = value(e)))">
          <option v-for="(name, sign) in DELIMITERS" :key="sign" :value="sign">
            {{ name }}
          </option>
        </select></label
      >
      <label
        >{{ say('look.decimal') }}
        <select :value="draft.decimal" @change="(e) => change((d) => (d.decimal = value(e) === ',' ? ',' : '.'))">
          <option value=".">{{ say('look.decimal_point') }}</option>
          <option value="," :disabled="draft.delimiter === ','">{{ say('look.decimal_comma') }}</option>
        </select></label
      >
      <label v-if="ENCODINGS.includes(draft.encoding)"
        >{{ say('look.encoding') }}
        <select
          :value="draft.encoding"
          @change="(e) => change((d) => (d.encoding = ENCODINGS.find((x) => x === value(e)) ?? 'utf-8'))"
        >
          <option v-for="e in ENCODINGS" :key="e" :value="e">{{ e }}</option>
        </select></label
      >
    </p>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ say('look.header') }}</th>
          <th scope="col">{{ say('look.sample') }}</th>
          <th scope="col">{{ say('look.holds') }}</th>
          <th scope="col">{{ say('look.unit') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(c, i) in draft.columns" :key="i" :class="{ out: c.field === '' }">
          <th scope="row">
            {{ c.header }}<span class="first figures">{{ c.samples[0] }}</span>
          </th>
          <td class="figures cells">{{ listed('dot', c.samples) }}</td>
          <td>
            <select
              :value="c.field"
              :aria-label="say('look.field_of', { header: c.header })"
              @change="(e) => hold(i, value(e))"
            >
              <option value="">{{ say('look.nothing') }}</option>
              <option v-for="f in look.fields" :key="f.field" :value="f.field">{{ words.field(f.field) }}</option>
              <option :value="HOUR">{{ words.field(HOUR) }}</option>
            </select>
          </td>
          <td>
            <select
              v-if="c.field === 'time'"
              :value="c.format"
              :aria-label="say('look.format_of', { header: c.header })"
              @change="(e) => changeColumn(i, { format: value(e) })"
            >
              <option value="">{{ say('look.iso') }}</option>
              <option v-if="c.format !== '' && !look.formats.includes(c.format)" :value="c.format">
                {{ formatExample(c.format) }}
              </option>
              <option v-for="f in look.formats" :key="f" :value="f">{{ formatExample(f) }}</option>
            </select>
            <select
              v-else-if="unitsOf(c.field).length > 0"
              :value="c.unit || unitsOf(c.field)[0]"
              :aria-label="say('look.unit_of', { header: c.header })"
              @change="(e) => changeColumn(i, { unit: value(e) })"
            >
              <option v-for="u in unitsOf(c.field)" :key="u" :value="u">{{ words.unit(u) }}</option>
            </select>
            <label v-if="TURNED.includes(c.field)" class="turn"
              ><input
                type="checkbox"
                :checked="c.isTurned"
                :aria-label="say('look.sign_of', { header: c.header })"
                @change="changeColumn(i, { isTurned: !c.isTurned })"
              />
              {{ say('look.sign') }}</label
            >
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.columns {
  overflow-x: auto;
}

.whole {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-8);
  margin-bottom: var(--space-4);
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding-block: var(--space-2);
  padding-inline: 0 var(--space-5);
  border-bottom: 1px solid var(--line);
  text-align: start;
  font-size: var(--size-small);
  vertical-align: middle;
}

tbody th {
  font-weight: 640;
}

.cells {
  max-width: 260px;
  overflow: hidden;
  color: var(--ink-soft);
  text-overflow: ellipsis;
  white-space: nowrap;
}

.out th,
.out td {
  color: var(--ink-soft);
  font-weight: 400;
}

.first {
  display: none;
}

select {
  max-width: 190px;
}

.turn {
  display: inline-flex;
  gap: var(--space-2);
  align-items: center;
  margin-inline-start: var(--space-4);
  white-space: nowrap;
}
/* On a phone the first cell stands under its header. */
@media (max-width: 640px) {
  .cells,
  thead th:nth-child(2) {
    display: none;
  }

  .first {
    display: block;
    color: var(--ink-soft);
    font-weight: 400;
  }

  .turn {
    margin-inline-start: 0;
    white-space: normal;
  }

  th,
  td {
    padding-inline-end: var(--space-3);
  }

  table select {
    max-width: 104px;
  }
}
</style>
