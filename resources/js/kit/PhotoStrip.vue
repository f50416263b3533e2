<script setup lang="ts">
import { onMounted, ref, watch } from 'vue';
import { answered, nameOf } from '@/api/once';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';
import { useAccount } from '@/stores/account';
import type { PieceKind } from '@/stores/edit';
import { restoredPhotographs } from '@/stores/photographs';
import { useUndo } from '@/stores/undo';
import { day } from '@/ui/figures';
import { scaledDown } from '@/ui/photo';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

/** Photographs of a piece's plate: by the camera of a phone, or from a file. */
const props = defineProps<{ kind: PieceKind; piece: string; name: string }>();

type Photo = components['schemas']['Photo'];
const account = useAccount();
const undo = useUndo();
const photos = ref<Photo[]>([]);
const input = ref<HTMLInputElement>();
const { isBusy, error, attempt } = useAttempt();
const path = { kind: props.kind, piece: props.piece };

const load = async () => {
  photos.value = (await ask(api.GET('/pieces/{kind}/{piece}/photos', { params: { path } }))).photos;
};

function pick(): Promise<void> {
  const file = input.value?.files?.[0];
  return attempt(async () => {
    if (!file) {
      return;
    }
    const body = new FormData();
    const what = [props.kind, props.piece, file.name, file.size, file.lastModified].join('\n');
    body.set('file', await scaledDown(file), file.name);
    body.set('id', nameOf(what));
    await ask(api.POST('/pieces/{kind}/{piece}/photos', { params: { path }, body: body as never }));
    answered(what);
    await load();
  }).finally(() => {
    if (input.value) {
      input.value.value = '';
    }
  });
}

const remove = (photo: Photo) =>
  attempt(async () => {
    const at = { params: { path: { photo: photo.id } } };
    await ask(api.DELETE('/photos/{photo}', at));
    await load();
    undo.done(say('photos.removed', { name: props.name }), async () => {
      await ask(api.POST('/photos/{photo}/restore', at));
      await load();
    });
  });

onMounted(() => attempt(load));
watch(restoredPhotographs, () => attempt(load));
</script>

<template>
  <section class="photos" :aria-label="say('photos.title')">
    <h3>{{ say('photos.title') }}</h3>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <ul>
      <li v-for="(photo, i) in photos" :key="photo.id">
        <a :href="`/api/photos/${photo.id}`" target="_blank" rel="noopener">
          <img
            :src="`/api/photos/${photo.id}`"
            :width="photo.width"
            :height="photo.height"
            :alt="say('photos.of', { n: i + 1, name })"
            loading="lazy"
          />
        </a>
        <span class="quiet">{{ day(photo.at, account.zone) }}</span>
        <TextButton
          v-if="account.may('keep')"
          :disabled="isBusy"
          :words="say('kit.remove')"
          :of="say('photos.nth', { n: i + 1 })"
          @click="remove(photo)"
        />
      </li>
    </ul>
    <label v-if="account.may('edit')" class="take">
      {{ isBusy ? say('photos.sending') : say('photos.take') }}
      <input
        ref="input"
        type="file"
        class="sr-only"
        accept="image/jpeg,image/png,image/webp"
        :disabled="isBusy"
        @change="pick"
      />
    </label>
  </section>
</template>

<style scoped>
.photos {
  padding: var(--space-6) var(--space-7) var(--space-6);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: var(--space-5);
  margin: var(--space-4) 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-5);
  align-items: baseline;
  font-size: var(--size-small);
}

a {
  flex-basis: 100%;
}

img {
  display: block;
  width: 100%;
  height: 112px;
  border: 1px solid var(--line-strong);
  object-fit: cover;
}

.take {
  display: inline-block;
  min-height: 36px;
  padding: var(--space-3) var(--space-6);
  border: 1.5px solid var(--ink);
  cursor: pointer;
  font-weight: 640;
}

.take:focus-within {
  outline: 2px solid var(--focus);
  outline-offset: 2px;
}
</style>
