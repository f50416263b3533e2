<script setup lang="ts">
import { computed, ref } from 'vue';
import { api, ask, type Arrival } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useEdit } from '@/stores/edit';
import { percent } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { useAttempt } from '@/ui/useAttempt';
import { listed, say } from '@/words/say';
import { useArrival } from './useArrival';

/** A larger file is imported in the background (bytes): it holds many readings. */
const AT_ONCE = 4_000_000;

/** Everything that the garage holds, out as a file and in again. */
const account = useAccount();
const edit = useEdit();
const replaces = ref(false);
const told = ref<string[]>([]);
const { isBusy, error, attempt } = useAttempt();
const large = useArrival(
  () => account.may('keep'),
  () => edit.refresh(),
);

type Moved = NonNullable<Arrival['moved']>;
const cameOf = ({ kept, renamed, settings, ...counts }: Moved): string[] => [
  say('move.came', counts),
  ...(kept.length > 0 ? [say('move.kept', { names: listed('comma', kept) })] : []),
  ...(renamed ? [say('move.renamed', { name: renamed })] : []),
  ...(settings === 'taken' && !renamed ? [say('move.settings_taken')] : []),
  ...(settings === 'left' ? [say('move.settings_left')] : []),
];

/** How far the large one has come. */
const way = computed((): string[] => {
  const at = large.arrival.value;
  if (!at) {
    return [];
  }
  switch (at.state) {
    case 'arriving':
      return [
        say(large.isSending.value ? 'move.arriving' : 'move.arriving_open', {
          name: at.name,
          percent: percent(at.received / at.bytes),
        }),
      ];
    case 'running':
      return [say('move.running', { name: at.name, n: at.readings })];
    case 'failed':
      return [say('move.failed', { name: at.name, problem: at.problem ?? '' })];
    case 'done':
      return [say('move.done', { name: at.name }), ...(at.moved ? cameOf(at.moved) : [])];
    case 'ready':
      return [say('move.ready', { name: at.name })];
    default:
      return [say('move.waiting', { name: at.name }), ...(large.isNobodyThere.value ? [say('file.no_worker')] : [])];
  }
});
const mayRemove = computed(() => large.arrival.value !== null && !large.isUnderWay.value && !large.isSending.value);

const bring = (event: Event) =>
  attempt(async () => {
    const input = event.target as HTMLInputElement;
    const file = input.files?.[0];
    if (!file) {
      return;
    }
    told.value = [];
    if (file.size > AT_ONCE) {
      input.value = '';
      await large.send(file, replaces.value);
      return;
    }
    const form = new FormData();
    form.append('file', file);
    form.append('replace', replaces.value ? '1' : '0');
    input.value = '';
    const moved = await ask(api.POST('/garage/import', { body: { file: '' }, bodySerializer: () => form }));
    told.value = cameOf(moved);
    await edit.refresh();
  });
</script>

<template>
  <h3>{{ say('move.title') }}</h3>
  <p class="quiet">{{ say('move.how') }}</p>
  <p>
    <a class="text-button" href="/api/garage/export" download>{{ say('move.save') }}</a>
  </p>
  <template v-if="account.may('keep')">
    <label class="bring"
      >{{ say('move.bring') }}
      <input type="file" accept=".json,application/json" :disabled="isBusy" @change="bring" />
    </label>
    <label class="replace"><input v-model="replaces" type="checkbox" /> {{ say('move.replace') }}</label>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <div role="status" class="told">
      <p v-for="line in [...told, ...way]" :key="line">{{ line }}</p>
    </div>
    <p v-if="mayRemove && large.arrival.value">
      <TextButton :disabled="isBusy" @click="attempt(large.remove)">
        {{
          large.arrival.value.state === 'done'
            ? say('move.clear')
            : say('move.remove', { name: large.arrival.value.name })
        }}
      </TextButton>
    </p>
  </template>
</template>

<style scoped>
p {
  margin-bottom: var(--space-5);
}

.bring {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-6);
  align-items: center;
}

.told {
  margin-top: var(--space-5);
}

.replace {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  margin-top: var(--space-3);
}
</style>
