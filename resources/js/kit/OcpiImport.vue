<script setup lang="ts">
import { ref } from 'vue';
import { api, ask, wordsOf } from '@/api/client';
import { useAttempt } from '@/ui/useAttempt';
import type { components } from '@/api/schema';
import { useEdit } from '@/stores/edit';
import { listed, say } from '@/words/say';

const emit = defineEmits<{ done: [] }>();

const edit = useEdit();
const file = ref<File | null>(null);
const preview = ref<components['schemas']['OcpiPreview'] | null>(null);
const { isBusy, error, attempt } = useAttempt((e) => say('ocpi.failed', { error: wordsOf(e) }));

function body(): FormData {
  const form = new FormData();
  if (file.value) {
    form.append('file', file.value);
  }
  return form;
}

function look(event: Event): Promise<void> {
  file.value = (event.target as HTMLInputElement).files?.[0] ?? null;
  preview.value = null;
  return attempt(async () => {
    preview.value = await ask(api.POST('/ocpi/preview', { body: { file: '' }, bodySerializer: body }));
  });
}

function bring(): Promise<void> {
  return attempt(async () => {
    await ask(api.POST('/ocpi/import', { body: { file: '' }, bodySerializer: body }));
    await edit.refresh();
    emit('done');
  });
}
</script>

<template>
  <div class="import">
    <label for="ocpi-file">{{ say('ocpi.file') }}</label>
    <input id="ocpi-file" type="file" accept=".json,application/json" @change="look" />
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <template v-if="preview">
      <section v-for="place in preview.places" :key="place.name">
        <h3>{{ place.name }}</h3>
        <p>
          {{
            listed(
              'dot',
              place.outlets.map((o) => o.name),
            ) || say('ocpi.none')
          }}
        </p>
        <p v-for="line in place.not_understood" :key="line" class="quiet">{{ say('ocpi.left_out', { line }) }}</p>
      </section>
      <p class="quiet">{{ say('ocpi.unknown') }}</p>
      <el-button type="primary" :loading="isBusy" @click="bring">{{
        say('ocpi.add', { n: preview.places.length })
      }}</el-button>
    </template>
  </div>
</template>

<style scoped>
.import {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
</style>
