<script setup lang="ts">
import { computed, ref } from 'vue';
import { useAccount } from '@/stores/account';
import { useDraft } from '@/stores/drafts';
import { useEdit, type PieceKind } from '@/stores/edit';
import { useTerms } from '@/stores/terms';
import FieldEntry from '@/plates/FieldEntry.vue';
import { fieldsOf } from '@/plates/fields';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';

/** Sets figures on several pieces at once: on all of them or on none. */
const props = defineProps<{ kind: PieceKind; ids: string[] }>();
const emit = defineEmits<{ all: [] }>();

interface Row {
  path: string;
  value: unknown;
}

const edit = useEdit();
const account = useAccount();
const terms = useTerms();
const rows = ref<Row[]>([{ path: '', value: null }]);
const kept = useDraft(`several-figures-${props.kind}`, rows);
const { isBusy, error, attempt } = useAttempt();

/** What several pieces can share: their stalls, they cannot. */
const groups = computed(() =>
  fieldsOf(props.kind, 1, account.me?.garage?.currency ?? 'USD', terms)
    .map((g) => ({ title: g.title, fields: g.fields.filter((f) => f.kind !== 'stalls' && !f.needed) }))
    .filter((g) => g.fields.length > 0),
);
const fields = computed(() => new Map(groups.value.flatMap((g) => g.fields.map((f) => [f.path, f]))));
const chosen = computed(() => rows.value.filter((r) => fields.value.has(r.path)));
const isTaken = (path: string, row: Row) => rows.value.some((r) => r !== row && r.path === path);

function choose(row: Row, path: string): void {
  row.path = path;
  row.value = null;
}

const words = computed(() => {
  const n = props.ids.length;
  if (chosen.value.length > 1) {
    return say('several.write_figures', { figures: chosen.value.length, n });
  }
  return chosen.value[0]?.value === null ? say('several.empty', { n }) : say('several.write', { n });
});

const write = () =>
  attempt(async () => {
    const changes = Object.fromEntries(chosen.value.map((r) => [r.path, r.value]));
    const label = listed(
      'and',
      chosen.value.map((r) => fields.value.get(r.path)?.label ?? ''),
    );
    await edit.changeSeveral(props.kind, props.ids, changes, label);
    kept.startOver();
  });
</script>

<template>
  <form class="several" :aria-label="say('several.title')" @submit.prevent="write">
    <strong role="status">{{ say('several.chosen', { n: ids.length }) }}</strong>
    <TextButton @click="emit('all')">{{ say('several.all') }}</TextButton>
    <div v-for="(row, i) in rows" :key="i" class="row">
      <label>
        {{ i === 0 ? say('several.figure') : say('several.and_figure') }}
        <select :value="row.path" @change="choose(row, ($event.target as HTMLSelectElement).value)">
          <option value="">{{ say('several.which') }}</option>
          <optgroup v-for="g in groups" :key="g.title" :label="g.title">
            <option v-for="f in g.fields" :key="f.path" :value="f.path" :disabled="isTaken(f.path, row)">
              {{ f.label }}
            </option>
          </optgroup>
        </select>
      </label>
      <FieldEntry
        v-if="fields.has(row.path)"
        :key="row.path"
        v-model="row.value"
        class="entry"
        :field="fields.get(row.path)!"
        :complaint="rows.length === 1 && error ? error : undefined"
      />
    </div>
    <p v-if="error && rows.length > 1" class="complaint" role="alert">{{ error }}</p>
    <TextButton v-if="chosen.length === rows.length" @click="rows.push({ path: '', value: null })">
      {{ say('several.another') }}
    </TextButton>
    <el-button v-if="chosen.length > 0" type="primary" native-type="submit" :loading="isBusy">{{ words }}</el-button>
  </form>
</template>

<style scoped>
.several {
  position: sticky;
  z-index: 3;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-7);
  align-items: end;
  margin-top: var(--space-6);
  padding: var(--space-6) var(--space-7);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-7);
  align-items: end;
}

.entry {
  min-width: 160px;
}

label {
  display: flex;
  flex-direction: column;
  gap: var(--space-2);
  color: var(--ink-soft);
  font-size: var(--size-small);
}

select {
  max-width: 240px;
}
</style>
