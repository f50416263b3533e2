<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { Gate } from '@/api/client';
import ClassOrNominal from './ClassOrNominal.vue';
import FieldEntry from './FieldEntry.vue';
import { optionsOf, type Field } from './fields';
import { useTerms } from '@/stores/terms';
import { say } from '@/words/say';
import { useAccount } from '@/stores/account';
import { useDraft } from '@/stores/drafts';
import { useEdit } from '@/stores/edit';
import { withValue } from '@/api/dotted';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';

/** An unread fact, where to read it, and a field to enter it at once. */
const props = defineProps<{ ask: Gate['asks'][number] }>();

const edit = useEdit();
const terms = useTerms();
const value = ref<unknown>(null);
const kept = useDraft(`ask ${props.ask.piece} ${props.ask.path}`, value);
const account = useAccount();
const { isBusy, error, attempt } = useAttempt();

const hasNominal = computed(
  () =>
    (edit.find(props.ask.piece)?.draft.spec as { pack?: { nominal_v?: number } } | undefined)?.pack?.nominal_v != null,
);

const field = computed<Field>(() => {
  const base = { path: props.ask.path, label: props.ask.fact };
  switch (props.ask.kind) {
    case 'volts':
      return { ...base, kind: 'number', unit: say('unit.volts') };
    case 'amps':
      return { ...base, kind: 'number', unit: say('unit.amps') };
    case 'kw':
      return { ...base, kind: 'watts', unit: say('unit.kw') };
    case 'curve_kw':
      return { ...base, kind: 'curve', unit: say('unit.soc_kw') };
    case 'sharing':
      return { ...base, kind: 'choice', options: optionsOf(terms.all('sharing')) };
    case 'kwh':
      return { ...base, kind: 'number', unit: say('unit.kwh') };
    case 'km_per_kwh':
      return { ...base, kind: 'km_per_kwh' };
    case 'phases':
      return { ...base, kind: 'number' };
    case 'metres':
      return { ...base, kind: 'metres' };
    case 'yes_no':
    case 'languages':
    case 'names':
      return { ...base, kind: props.ask.kind };
    case 'curve':
      // A battery's voltage is told as one figure; the curve follows from it, and may be read after it.
      if (hasNominal.value) {
        return { ...base, kind: 'curve', unit: say('unit.soc_volts') };
      }
      return { ...base, path: NOMINAL, label: say('ask.pack_volts'), kind: 'number', unit: say('unit.volts') };
    case 'corner':
      return { ...base, kind: 'choice', options: optionsOf(terms.all('port')) };
    case 'access':
      return { ...base, kind: 'choice', options: optionsOf(terms.all('access')) };
    case 'certification':
      return { ...base, kind: 'choice', options: optionsOf(terms.all('certification')) };
    default:
      return { ...base, kind: 'choice', options: optionsOf(terms.all('current')) };
  }
});

const NOMINAL = 'pack.nominal_v';

// The same place may ask the next thing once its first was told.
watch(
  () => field.value.path,
  () => (value.value = null),
);

/** What was typed as a figure may be the name of a class. */
function keepClass(id: string): Promise<void> {
  return keep({ 'pack.class': id, [NOMINAL]: null });
}

async function keep(told: Record<string, unknown> = { [field.value.path]: value.value }): Promise<void> {
  const found = edit.find(props.ask.piece);
  if (!found) {
    error.value = say('ask.stations_own');
    return;
  }
  await attempt(async () => {
    const spec = Object.entries(told).reduce((at, [path, is]) => withValue(at, path, is), found.draft.spec ?? {});
    await edit.change(found, { ...found.draft, spec }).catch(async (e: unknown) => {
      // Changed in another tab: what was typed stays, and goes on top of what is there now when it is kept again.
      await edit.refresh();
      throw e;
    });
    kept.drop();
  });
}
</script>

<template>
  <form class="ask" @submit.prevent="keep()">
    <FieldEntry v-if="account.may('edit')" v-model="value" :field="field" :complaint="error || undefined" />
    <strong v-else>{{ field.label }}</strong>
    <ClassOrNominal v-if="field.path === NOMINAL && typeof value === 'number'" :volts="value" @is-class="keepClass" />
    <p class="where">{{ ask.where }}</p>
    <TextButton v-if="account.may('edit')" type="submit" :disabled="isBusy || value === null">
      {{ say('ask.read_it') }}
    </TextButton>
  </form>
</template>

<style scoped>
.ask {
  margin-top: var(--space-3);
  padding: var(--space-4) var(--space-6);
  border: 1.5px dashed var(--ochre);
}

.where {
  margin: var(--space-2) 0;
  color: var(--ochre-text);
  font-size: var(--size-small);
}

button:disabled {
  color: var(--ink-faint);
  cursor: default;
}
</style>
