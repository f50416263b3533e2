<script setup lang="ts">
import { ref, watch } from 'vue';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';
import { useAccount } from '@/stores/account';
import { useEdit } from '@/stores/edit';
import { restoredPhotographs } from '@/stores/photographs';
import { useUndo } from '@/stores/undo';
import { day, hour } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say, type Code } from '@/words/say';

type Item = components['schemas']['DeletedPiece'];

/** Everything that was deleted lately, to be restored. */
const account = useAccount();
const edit = useEdit();
const undo = useUndo();
const told = ref<{ days: number; items: Item[] } | null>(null);
const { isBusy, error, attempt } = useAttempt();

const KINDS: Record<Item['kind'], Code> = {
  vehicles: 'aside.vehicles',
  adapters: 'aside.adapters',
  outlets: 'aside.outlets',
  places: 'aside.places',
  networks: 'aside.networks',
  tours: 'aside.tours',
  wishes: 'aside.wishes',
  photos: 'aside.photos',
  sessions: 'aside.sessions',
};

const load = () =>
  attempt(async () => {
    told.value = await ask(api.GET('/put-aside'));
  });

const back = (item: Item) =>
  attempt(async () => {
    if (item.kind === 'sessions') {
      await ask(api.POST('/sessions/{session}/restore', { params: { path: { session: item.id } } }));
    } else if (item.kind === 'photos') {
      await ask(api.POST('/photos/{photo}/restore', { params: { path: { photo: item.id } } }));
      restoredPhotographs.value++;
    } else {
      await edit.restore(item.kind, item.id);
    }
    told.value = await ask(api.GET('/put-aside'));
  });

// What is deleted or restored above shows here at once.
watch(undo.offer, () => told.value && load());
</script>

<template>
  <section aria-labelledby="aside-title">
    <div class="section-head">
      <h2 id="aside-title">{{ say('aside.title') }}</h2>
      <TextButton v-if="!told" :disabled="isBusy" @click="load">
        {{ say('aside.show') }}
      </TextButton>
    </div>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <template v-if="told">
      <p class="quiet">{{ say(told.items.length > 0 ? 'aside.how' : 'aside.none', { days: told.days }) }}</p>
      <ul class="lines">
        <li v-for="item in told.items" :key="item.id">
          <div>
            <strong>{{ item.name }}</strong>
            <span class="quiet">{{
              say('aside.at', {
                kind: say(KINDS[item.kind]),
                day: day(item.at, account.zone),
                hour: hour(item.at, account.zone),
              })
            }}</span>
          </div>
          <TextButton
            v-if="item.kind === 'sessions' || account.may('keep')"
            :disabled="isBusy"
            :words="say('aside.back')"
            :of="item.name"
            @click="back(item)"
          />
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.lines {
  max-width: 720px;
}
</style>
