<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';
import { useAttempt } from '@/ui/useAttempt';
import { useAccount } from '@/stores/account';
import { useDraft } from '@/stores/drafts';
import { useEdit } from '@/stores/edit';
import { useUndo } from '@/stores/undo';
import { day } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { listed, say, type Code } from '@/words/say';
import KeptDraft from '@/plates/KeptDraft.vue';
import NetworkWords from './NetworkWords.vue';
import OcpiPrices from './OcpiPrices.vue';
import PlaceChange from './PlaceChange.vue';

type Preview = components['schemas']['OcpiPreview'];
type Counts = components['schemas']['OcpiCounts'];
type Term = components['schemas']['OcpiTerm'];

/** Imports places from a network's file: previews what it would add and change; an import can be undone. */
const emit = defineEmits<{ done: [] }>();

const edit = useEdit();
const account = useAccount();
const undo = useUndo();
const file = ref<File | null>(null);
const preview = ref<Preview | null>(null);
const tariffs = ref<File | null>(null);
/** What was said of its words outlives the file, which a browser doesn't give back after a reload. */
const assigned = ref<Term[]>([]);
const kept = useDraft('ocpi-words', assigned);
const imports = ref<components['schemas']['OcpiImport'][]>([]);
const told = ref('');
const { isBusy, error, attempt } = useAttempt((e) =>
  say('ocpi.failed', { error: e instanceof Error ? e.message : String(e) }),
);

/** Of a long file the places that change come first, and only so many are drawn. */
const MOST_SHOWN = 40;
const changing = computed(() => preview.value?.places.filter((p) => p.kind !== 'same' || isTelling(p)) ?? []);
const same = computed(() => (preview.value?.places.length ?? 0) - changing.value.length);
const what = computed(() => (preview.value ? inWords(preview.value.counts) : ''));

onMounted(() => attempt(list));

function isTelling(place: Preview['places'][number]): boolean {
  return place.not_understood.length > 0 || place.outlets.some((o) => o.kind === 'aside' || o.figures.length > 0);
}

/** What was, or would be, brought in; nothing where there is nothing. */
function inWords({ places, outlets }: Counts): string {
  const parts: [number, string][] = [
    [places.new, say('ocpi.places_new', { n: places.new })],
    [outlets.new, say('ocpi.outlets_new', { n: outlets.new })],
    [outlets.changed, say('ocpi.outlets_changed', { n: outlets.changed })],
    [outlets.gone, say('ocpi.outlets_gone', { n: outlets.gone })],
  ];
  const some = parts.filter(([n]) => n > 0).map(([, words]) => words);
  return listed(
    'comma',
    some.length > 0 ? some : places.changed > 0 ? [say('ocpi.places_changed', { n: places.changed })] : [],
  );
}

/** Of the words that were explained those that the file has, once it was looked at. */
function ofThisFile(): Term[] {
  const has = preview.value?.terms;
  return assigned.value.filter((t) => !has || has.some((h) => h.kind === t.kind && h.theirs === t.theirs));
}

function body(): FormData {
  const form = new FormData();
  if (file.value) {
    form.append('file', file.value);
  }
  if (tariffs.value) {
    form.append('tariffs', tariffs.value);
  }
  const terms = ofThisFile().map(({ kind, theirs, ours }) => ({ kind, theirs, ours }));
  if (terms.length > 0) {
    form.append('terms', JSON.stringify({ terms }));
  }
  return form;
}

async function list(): Promise<void> {
  imports.value = await ask(api.GET('/ocpi/imports'));
}

/** What is under way, for a long file; looking can be stopped, nothing is written by it. */
const phase = ref<Code | null>(null);
let looking: AbortController | null = null;

async function look(): Promise<void> {
  const mine = new AbortController();
  looking = mine;
  phase.value = 'ocpi.looking';
  await attempt(async () => {
    const { signal } = mine;
    preview.value = await ask(api.POST('/ocpi/preview', { body: { file: '' }, bodySerializer: body, signal }));
  });
  if (mine.signal.aborted) {
    error.value = '';
    told.value = say('ocpi.stopped');
  }
  phase.value = null;
}

function choose(event: Event): Promise<void> {
  file.value = (event.target as HTMLInputElement).files?.[0] ?? null;
  preview.value = null;
  tariffs.value = null;
  told.value = '';
  return file.value ? look() : Promise.resolve();
}

function choosePrices(one: File | null): Promise<void> {
  tariffs.value = one;
  return look();
}

function assign(term: Term, ours: string): Promise<void> {
  assigned.value = [
    ...assigned.value.filter((t) => t.kind !== term.kind || t.theirs !== term.theirs),
    { ...term, ours },
  ];
  return look();
}

function startOver(): Promise<void> {
  kept.startOver();
  return look();
}

async function takeBack(id: string): Promise<void> {
  const { kept } = await ask(api.POST('/ocpi/imports/{import}/undo', { params: { path: { import: id } } }));
  await edit.refresh();
  told.value = kept.length > 0 ? say('ocpi.undone_kept', { names: listed('comma', kept) }) : say('ocpi.undone');
}

function bring(): Promise<void> {
  phase.value = 'ocpi.bringing';
  return attempt(async () => {
    const brought = await ask(api.POST('/ocpi/import', { body: { file: '' }, bodySerializer: body }));
    kept.drop();
    await edit.refresh();
    const id = brought.import;
    if (id !== null) {
      undo.done(say('ocpi.done', { what: inWords(brought.counts) || say('ocpi.noted') }), () => takeBack(id));
    }
    emit('done');
  }).finally(() => (phase.value = null));
}

function back(id: string): Promise<void> {
  return attempt(async () => {
    await takeBack(id);
    await list();
    if (file.value) {
      await look();
    }
  });
}
</script>

<template>
  <div class="import">
    <label for="ocpi-file">{{ say('ocpi.file') }}</label>
    <input id="ocpi-file" type="file" accept=".json,application/json" @change="choose" />
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <p v-if="told" role="status">{{ told }}</p>
    <p v-if="phase" class="phase" role="status">
      <label>{{ say(phase) }} <progress /></label>
      <TextButton v-if="phase === 'ocpi.looking'" @click="looking?.abort()">
        {{ say('ocpi.stop') }}
      </TextButton>
    </p>
    <template v-if="preview">
      <KeptDraft :is-kept="kept.isKept.value && ofThisFile().length > 0" @start-over="startOver" />
      <OcpiPrices :key="file?.name" :prices="preview.prices" :is-busy="isBusy" @choose="choosePrices" />
      <NetworkWords v-if="preview.terms.length > 0" :terms="preview.terms" @assign="assign" />
      <PlaceChange v-for="(place, i) in changing.slice(0, MOST_SHOWN)" :key="i" :place="place" />
      <ul v-if="preview.left_out.length > 0" class="left-out">
        <li v-for="(line, i) in preview.left_out.slice(0, MOST_SHOWN)" :key="i">{{ line }}</li>
        <li v-if="preview.left_out.length > MOST_SHOWN">
          {{ say('list.more', { n: preview.left_out.length - MOST_SHOWN }) }}
        </li>
      </ul>
      <p v-if="changing.length > MOST_SHOWN">{{ say('list.more', { n: changing.length - MOST_SHOWN }) }}</p>
      <p v-if="same > 0" class="quiet">{{ say('ocpi.same_places', { n: same }) }}</p>
      <template v-if="what">
        <p class="quiet">{{ say('ocpi.unknown') }}</p>
        <el-button type="primary" :loading="isBusy" @click="bring">{{ say('ocpi.bring', { what }) }}</el-button>
      </template>
      <template v-else>
        <p>{{ say('ocpi.nothing') }}</p>
        <!-- What its words mean is worth remembering all the same. -->
        <el-button v-if="ofThisFile().length > 0" :loading="isBusy" @click="bring">{{
          say('ocpi.remember')
        }}</el-button>
      </template>
    </template>
    <section v-if="imports.length > 0" :aria-label="say('ocpi.imports')">
      <h3>{{ say('ocpi.imports') }}</h3>
      <ul>
        <li v-for="(one, i) in imports" :key="one.id">
          {{
            say('ocpi.import_at', {
              at: day(one.at, account.zone),
              what: inWords(one.counts) || say('ocpi.noted'),
            })
          }}
          <TextButton v-if="i === 0" :disabled="isBusy" @click="back(one.id)">
            {{ say('ocpi.undo') }}
          </TextButton>
          <span v-else class="quiet">{{ say('ocpi.undo_newest') }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.phase {
  display: flex;
  gap: var(--space-7);
  align-items: baseline;
}

progress {
  accent-color: var(--ink);
}

.import {
  display: flex;
  flex-direction: column;
  gap: var(--space-5);
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-6);
  justify-content: space-between;
}
</style>
