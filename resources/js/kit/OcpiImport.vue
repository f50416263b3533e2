<script setup lang="ts">
import { ref } from 'vue';
import { api, ask } from '@/api/client';
import { useAttempt, wordsOf } from '@/ui/useAttempt';
import type { components } from '@/api/schema';
import { useEdit } from '@/stores/edit';

const emit = defineEmits<{ done: [] }>();

const edit = useEdit();
const file = ref<File | null>(null);
const preview = ref<components['schemas']['OcpiPreview'] | null>(null);
const { isBusy, error, attempt } = useAttempt((e) => `${wordsOf(e)} Nothing was added.`);

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
    <label for="ocpi-file">A Locations file of the open charging-point interface (OCPI 2.2.1, JSON)</label>
    <input id="ocpi-file" type="file" accept=".json,application/json" @change="look" />
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <template v-if="preview">
      <section v-for="place in preview.places" :key="place.name">
        <h3>{{ place.name }}</h3>
        <p>{{ place.outlets.map((o) => o.name).join(' · ') || 'no outlet that is understood' }}</p>
        <p v-for="line in place.not_understood" :key="line" class="quiet">Left out: {{ line }}</p>
      </section>
      <p class="quiet">Lowest volts, access and cables are not in such a file: they stay "check first" until read.</p>
      <el-button type="primary" :loading="isBusy" @click="bring"
        >Add {{ preview.places.length }} {{ preview.places.length === 1 ? 'place' : 'places' }}</el-button
      >
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
