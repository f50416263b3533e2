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
import { say } from '@/words/say';

/** One figure, written on several plates at once: on all of them or on none. */
const props = defineProps<{ kind: PieceKind; ids: string[] }>();
const emit = defineEmits<{ all: [] }>();

const edit = useEdit();
const account = useAccount();
const terms = useTerms();
const typed = ref<{ path: string; value: unknown }>({ path: '', value: null });
const kept = useDraft(`several ${props.kind}`, typed);
const path = computed({ get: () => typed.value.path, set: (now) => (typed.value = { path: now, value: null }) });
const value = computed({ get: () => typed.value.value, set: (now) => (typed.value = { ...typed.value, value: now }) });
const { isBusy, error, attempt } = useAttempt();

/** What several pieces can share: their stalls, they cannot. */
const groups = computed(() =>
  fieldsOf(props.kind, 1, account.me?.garage?.currency ?? 'USD', terms)
    .map((g) => ({ title: g.title, fields: g.fields.filter((f) => f.kind !== 'stalls' && !f.needed) }))
    .filter((g) => g.fields.length > 0),
);
const field = computed(() => groups.value.flatMap((g) => g.fields).find((f) => f.path === path.value));

const write = () =>
  attempt(async () => {
    await edit.changeSeveral(props.kind, props.ids, path.value, value.value, field.value?.label ?? '');
    typed.value = { path: '', value: null };
    kept.drop();
  });
</script>

<template>
  <form class="several" :aria-label="say('several.title')" @submit.prevent="write">
    <strong role="status">{{ say('several.chosen', { n: ids.length }) }}</strong>
    <TextButton @click="emit('all')">{{ say('several.all') }}</TextButton>
    <label>
      {{ say('several.figure') }}
      <select v-model="path">
        <option value="">{{ say('several.which') }}</option>
        <optgroup v-for="g in groups" :key="g.title" :label="g.title">
          <option v-for="f in g.fields" :key="f.path" :value="f.path">{{ f.label }}</option>
        </optgroup>
      </select>
    </label>
    <FieldEntry
      v-if="field"
      :key="field.path"
      v-model="value"
      class="entry"
      :field="field"
      :complaint="error || undefined"
    />
    <el-button v-if="field" type="primary" native-type="submit" :loading="isBusy">{{
      value === null ? say('several.empty', { n: ids.length }) : say('several.write', { n: ids.length })
    }}</el-button>
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

.entry {
  min-width: 160px;
}

label {
  display: flex;
  flex-direction: column;
  color: var(--ink-soft);
  font-size: var(--size-small);
}

select {
  max-width: 240px;
}
</style>
