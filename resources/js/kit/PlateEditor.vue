<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { ApiError, wordsOf } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useEdit, type Draft, type Found, type PieceKind, type StandardLine } from '@/stores/edit';
import { same } from '@/api/differences';
import { valueAt, withValue } from '@/api/dotted';
import ChangedMeanwhile from './ChangedMeanwhile.vue';
import FieldEntry from '@/plates/FieldEntry.vue';
import KeptDraft from '@/plates/KeptDraft.vue';
import { fieldsOf } from '@/plates/fields';
import { isAbout, originsOf, type FactOrigin } from '@/plates/origins';
import { useGarage } from '@/stores/garage';
import AnyFace from '@/ui/AnyFace.vue';
import { LABEL_FIELDS } from './labelFields';
import PhotoStrip from './PhotoStrip.vue';
import { useDraft } from '@/stores/drafts';
import { useTerms } from '@/stores/terms';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

/** A form shaped like the rating plate, checked while typing. */
const props = defineProps<{ kind: PieceKind; found: Found | null; start: Draft; read: string[] }>();
/** A piece that was begun from a kind is asked for what stands on it, and for no more. */
const isBrief = ref(props.found === null && LABEL_FIELDS[props.kind] !== undefined);
const emit = defineEmits<{ done: [] }>();

const edit = useEdit();
const account = useAccount();
const terms = useTerms();
const garage = useGarage();
/** What is typed, and what it began from: the newest version that was seen. */
const typed = ref({ draft: JSON.parse(JSON.stringify(props.start)) as Draft, base: props.found });
const kept = useDraft(`${props.kind} ${props.found?.id ?? `new ${props.start.name}`}`, typed);
const draft = computed({ get: () => typed.value.draft, set: (now) => (typed.value = { ...typed.value, draft: now }) });
const base = computed({ get: () => typed.value.base, set: (now) => (typed.value = { ...typed.value, base: now }) });
/** The piece as somebody else has left it, while it was being edited here. */
const meanwhile = ref<Found | null>(null);
const isGone = ref(false);
const complaints = ref<Record<string, string[]>>({});
const standards = ref<Record<string, StandardLine>>({});
const isBusy = ref(false);
const error = ref('');

const inlets = computed(() => {
  const list = draft.value.spec?.inlets;
  return Array.isArray(list) ? list.length : 0;
});
const groups = computed(() => fieldsOf(props.kind, inlets.value, account.me?.garage?.currency ?? 'USD', terms));
/** A part of something that is not there is not asked for. */
const shown = computed(() => {
  const there = groups.value.filter((g) =>
    isThere(g.hasNoSwitch ? g.under : g.under?.split('.').slice(0, -1).join('.')),
  );
  const label = LABEL_FIELDS[props.kind] ?? [];
  return isBrief.value
    ? there
        .map((g) => ({ ...g, fields: g.fields.filter((f) => label.includes(f.path)) }))
        .filter((g) => g.fields.length > 0 && isThere(g.under))
    : there;
});
const faces = computed(() =>
  ['input', 'output', 'coupler'].map((side) => draft.value.spec?.[side]).filter((face) => typeof face === 'string'),
);
/** Figures of the kind that nobody has read on this piece yet, of those that are shown: what is not seen is not confirmed. */
const unread = computed(() =>
  shown.value.flatMap((g) => g.fields.map((f) => f.path)).filter((path) => isAbout(originsOf(draft.value.spec)[path])),
);
const isThere = (path: string | undefined) =>
  path === undefined || path === '' || Boolean(valueAt(draft.value.spec, path));

/** `spec.inlets[0].dc.max_v` belongs to the field `inlets.0.dc.max_v`, and so does anything below it. */
function complaintAbout(path: string): string | undefined {
  const dotted = (p: string) => p.replace(/\[(\d+)\]/g, '.$1').replace(/^spec\./, '');
  const found = Object.keys(complaints.value).find((p) => dotted(p) === path || dotted(p).startsWith(`${path}.`));
  return found === undefined ? undefined : complaints.value[found]?.[0];
}

function set(path: string, value: unknown): void {
  draft.value = { ...draft.value, spec: withValue(draft.value.spec ?? {}, path, value) };
}

/** Where a value comes from; what was typed since has no day yet, but a line all the same, so that nothing moves. */
function originAt(path: string): FactOrigin | undefined {
  const isTyped = !same(valueAt(props.start.spec, path), valueAt(draft.value.spec, path));
  const origin = originsOf(draft.value.spec)[path];
  return origin && isTyped ? { origin: 'read' } : origin;
}

/** What stands there was read after all. */
function confirm(...paths: string[]): void {
  const { spec } = draft.value;
  const read = Object.fromEntries(paths.map((path) => [path, { origin: 'read' }]));
  draft.value = { ...draft.value, spec: { ...spec, origins: { ...originsOf(spec), ...read } } };
}

function setInlets(change: (list: unknown[]) => unknown[]): void {
  const list = draft.value.spec?.inlets;
  set('inlets', change(Array.isArray(list) ? list : []));
}

function keep(e: unknown): void {
  if (e instanceof ApiError && e.now && base.value) {
    const { id, version, ...now } = e.now;
    isGone.value = e.status === 410;
    meanwhile.value = { kind: props.kind, id, version, draft: now };
    error.value = e.message;
  } else if (e instanceof ApiError && e.status === 422) {
    complaints.value = e.fields;
    const isMarked = groups.value.some((g) => g.fields.some((f) => complaintAbout(f.path)));
    error.value = isMarked ? say('editor.look') : e.message;
  } else {
    error.value = wordsOf(e);
  }
}

/** How often the draft was changed, and how often when it could not be kept the last time. */
let changes = 0;
let failedAt = -1;

const check = useDebounceFn(async () => {
  try {
    standards.value = await edit.check(props.kind, draft.value);
    // Why it could not be kept stands until something else is typed, however late an earlier draft is found to be in order.
    if (changes !== failedAt) {
      complaints.value = {};
      error.value = '';
    }
  } catch (e) {
    keep(e);
  }
}, 350);

watch(
  draft,
  () => {
    changes++;
    void check();
  },
  { deep: true },
);
// What standards say of it is told from the beginning; a draft that is not complete yet is complained of only once it is typed in.
if (props.found !== null || props.start.name !== '') {
  void edit.check(props.kind, draft.value).then(
    (found) => (standards.value = found),
    () => undefined,
  );
}

async function save(): Promise<void> {
  isBusy.value = true;
  try {
    await (base.value === null ? edit.create(props.kind, draft.value) : edit.change(base.value, draft.value));
    kept.drop();
    emit('done');
  } catch (e) {
    failedAt = changes;
    keep(e);
  } finally {
    isBusy.value = false;
  }
}

/** Goes on from what is there now; what was typed here stays where it stands. */
async function goOn(theirs: Found, next: Draft): Promise<void> {
  const version = isGone.value ? await edit.restore(theirs.kind, theirs.id) : theirs.version;
  base.value = { ...theirs, version };
  meanwhile.value = null;
  isGone.value = false;
  error.value = '';
  draft.value = next;
}
</script>

<template>
  <form class="editor" @submit.prevent="save">
    <KeptDraft :is-kept="kept.isKept.value" @start-over="kept.startOver" />
    <div v-if="isBrief && faces.length > 0" class="faces">
      <AnyFace v-for="(face, i) in faces" :key="i" :coupler="face" />
      <h3>{{ kind === 'adapters' ? say('editor.label_says') : say('editor.post_says') }}</h3>
    </div>
    <div v-if="read.length > 0" class="read">
      <p>{{ say('editor.usual') }}</p>
      <ul>
        <li v-for="fact in read" :key="fact">{{ fact }}</li>
      </ul>
    </div>
    <div class="own">
      <div>
        <label for="piece-name">{{ say('editor.name') }}</label>
        <el-input id="piece-name" v-model="draft.name" maxlength="120" required />
      </div>
      <div v-if="kind === 'adapters'" class="tag">
        <label for="piece-tag">{{ say('editor.tag') }}</label>
        <el-input id="piece-tag" v-model="draft.tag" maxlength="4" required />
      </div>
      <div v-if="kind === 'outlets' && !base && garage.places.length > 1">
        <label for="piece-place">{{ say('editor.place') }}</label>
        <select id="piece-place" v-model="draft.place">
          <option v-for="p in garage.places" :key="p.id" :value="p.id">{{ p.name }}</option>
        </select>
      </div>
      <div v-if="kind !== 'places'">
        <label for="piece-blurb">{{ say('editor.blurb') }}</label>
        <el-input id="piece-blurb" v-model="draft.blurb" maxlength="120" />
      </div>
    </div>
    <section v-for="group in shown" :key="group.title" class="plate" :aria-label="group.title">
      <header>
        <h3>{{ group.title }}</h3>
        <TextButton
          v-if="group.under && !group.hasNoSwitch && !isBrief"
          :aria-label="
            say('button.of', {
              act: isThere(group.under) ? say('editor.take_off') : say('editor.add'),
              name: group.title,
            })
          "
          @click="set(group.under, isThere(group.under) ? null : (group.start ?? {}))"
        >
          {{ isThere(group.under) ? say('editor.take_off') : say('editor.add') }}
        </TextButton>
      </header>
      <div v-if="isThere(group.under)" class="fields">
        <FieldEntry
          v-for="field in group.fields"
          :key="field.path"
          :field="field"
          :model-value="valueAt(draft.spec, field.path)"
          :complaint="complaintAbout(field.path)"
          :origin="originAt(field.path)"
          :standard="standards[field.path]"
          @confirm="confirm(field.path)"
          @update:model-value="set(field.path, $event)"
        />
      </div>
    </section>
    <p v-if="kind === 'vehicles'" class="inlets">
      <TextButton @click="setInlets((list) => [...list, { coupler: 'type1', dc: null, ac: {} }])">
        {{ say('editor.add_inlet') }}
      </TextButton>
      <TextButton v-if="inlets > 1" @click="setInlets((list) => list.slice(0, -1))">
        {{ say('editor.take_off_inlet', { n: inlets }) }}
      </TextButton>
    </p>
    <PhotoStrip v-if="base && kind !== 'tours'" :kind="kind" :piece="base.id" :name="base.draft.name" />
    <p v-if="isBrief" class="inlets">
      <TextButton v-if="unread.length > 0" @click="confirm(...unread)">
        {{ say('editor.all_so') }}
      </TextButton>
      <TextButton @click="isBrief = false">{{ say('editor.whole') }}</TextButton>
    </p>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <ChangedMeanwhile
      v-if="meanwhile && base"
      :before="base.draft"
      :mine="draft"
      :theirs="meanwhile.draft"
      :is-gone="isGone"
      :groups="groups"
      @go-on="(next: Draft) => meanwhile && goOn(meanwhile, next)"
    />
    <div v-else class="end">
      <el-button type="primary" native-type="submit" size="large" :loading="isBusy">{{ say('editor.keep') }}</el-button>
      <el-button size="large" @click="emit('done')">{{ say('editor.leave') }}</el-button>
    </div>
  </form>
</template>

<style scoped>
.editor {
  display: flex;
  flex-direction: column;
  gap: var(--space-6);
}

.faces {
  display: flex;
  gap: var(--space-4);
  align-items: center;
}

.faces :deep(svg) {
  height: 96px;
}

.faces h3 {
  margin-inline-start: var(--space-6);
  font-size: var(--size-lead);
}

.own {
  display: flex;
  gap: var(--space-6);
}

.own > div {
  flex: 1;
}

.own .tag {
  flex: 0 0 70px;
}

.own label {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

.inlets {
  display: flex;
  gap: var(--space-8);
}

.plate {
  padding: var(--space-6) var(--space-7) var(--space-6);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
}

.plate header {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-4);
  justify-content: space-between;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(128px, 1fr));
  gap: var(--space-5) var(--space-7);
  margin-top: var(--space-4);
}
.read {
  padding: var(--space-4) var(--space-6);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper);
}

.read ul {
  margin: var(--space-1) 0 0;
  padding-inline-start: var(--space-7);
}
</style>
