<script setup lang="ts">
import { onMounted, ref, watch } from 'vue';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';
import { clock } from '@/ui/figures';
import { say } from '@/words/say';

/** Photographs that stand with moments of a session. */
const props = defineProps<{
  session: string;
  /** Grows with every one that is sent. */ turn?: number;
  waiting?: number[];
}>();
const photos = ref<components['schemas']['Photo'][]>([]);

async function load(): Promise<void> {
  try {
    const path = { session: props.session };
    photos.value = (await ask(api.GET('/sessions/{session}/photos', { params: { path } }))).photos;
  } catch {
    // Without a network there are none to look at.
  }
}

onMounted(load);
watch(() => props.turn, load);
</script>

<template>
  <section v-if="photos.length > 0 || (waiting?.length ?? 0) > 0" class="shots" aria-labelledby="shots-title">
    <h2 id="shots-title">{{ say('shots.title', { n: photos.length + (waiting?.length ?? 0) }) }}</h2>
    <ul>
      <li v-for="photo in photos" :key="photo.id">
        <a :href="`/api/photos/${photo.id}`" target="_blank" rel="noopener">
          <img
            :src="`/api/photos/${photo.id}`"
            :width="photo.width"
            :height="photo.height"
            :alt="say('shots.of', { time: clock(photo.t_s ?? 0) })"
            loading="lazy"
          />
        </a>
        <span class="quiet figures">{{ clock(photo.t_s ?? 0) }}</span>
      </li>
      <li v-for="t in waiting ?? []" :key="t" class="quiet">{{ say('shots.waits', { time: clock(t) }) }}</li>
    </ul>
  </section>
</template>

<style scoped>
.shots {
  margin-top: var(--space-6);
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(110px, 1fr));
  gap: var(--space-5);
  margin: var(--space-3) 0;
  padding: 0;
  list-style: none;
}

a,
img {
  display: block;
}

img {
  width: 100%;
  height: auto;
  border: 1px solid var(--line-strong);
}
</style>
