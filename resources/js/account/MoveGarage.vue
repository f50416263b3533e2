<script setup lang="ts">
import { ref } from 'vue';
import { api, ask } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useEdit } from '@/stores/edit';
import { useAttempt } from '@/ui/useAttempt';
import { listed, say } from '@/words/say';

/** Everything that the garage holds, out as a file and in again. */
const account = useAccount();
const edit = useEdit();
const replaces = ref(false);
const told = ref<string[]>([]);
const { isBusy, error, attempt } = useAttempt();

const bring = (event: Event) =>
  attempt(async () => {
    const input = event.target as HTMLInputElement;
    const file = input.files?.[0];
    if (!file) {
      return;
    }
    told.value = [];
    const form = new FormData();
    form.append('file', file);
    form.append('replace', replaces.value ? '1' : '0');
    input.value = '';
    const moved = await ask(api.POST('/garage/import', { body: { file: '' }, bodySerializer: () => form }));
    const { kept, ...counts } = moved;
    told.value = [
      say('move.came', counts),
      ...(kept.length > 0 ? [say('move.kept', { names: listed('comma', kept) })] : []),
    ];
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
    <div role="status">
      <p v-for="line in told" :key="line">{{ line }}</p>
    </div>
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

.replace {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  margin-top: var(--space-3);
}
</style>
