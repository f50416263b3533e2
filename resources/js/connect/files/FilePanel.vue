<script setup lang="ts">
import { onMounted, ref, watch } from 'vue';
import type { CurvePoint, Import } from '@/api/client';
import { percent } from '@/ui/figures';
import { useUndo } from '@/stores/undo';
import TextButton from '@/ui/TextButton.vue';
import Said from '@/words/Said.vue';
import { listed, say } from '@/words/say';
import { useColumnWords } from './columnWords';
import FileLook from './FileLook.vue';
import { useFiles } from './useFiles';

const props = defineProps<{
  session: string;
  curve: CurvePoint[];
  /** Readings the session holds. */
  count: number;
  told: (task: () => Promise<void>) => Promise<boolean>;
}>();
const emit = defineEmits<{ in: []; taken: [] }>();
/** A file is being imported in the background. */
const isMovingIn = defineModel<boolean>('moving', { required: true });

/** Rows that are listed; the rest is counted. */
const LISTED = 6;

const undo = useUndo();
const words = useColumnWords();
const files = useFiles(
  props.session,
  () => emit('in'),
  () => emit('taken'),
);
const input = ref<HTMLInputElement>();
const { imports, look, refusal, trouble, rejected, isSending, isAwaited, isNobodyThere } = files;
watch(isAwaited, (is) => (isMovingIn.value = is));

onMounted(() => props.told(files.list));

function pick(): void {
  const file = input.value?.files?.[0];
  if (file) {
    void props.told(async () => {
      const taken = await files.send(file, props.count === 0);
      if (taken) {
        loaded(taken);
      }
    });
  }
  if (input.value) {
    input.value.value = '';
  }
}

function loaded(file: Import): void {
  if (file.state === 'done' && file.added > 0) {
    undo.done(say('file.loaded', { n: file.added }), () => files.takeBack(file));
  }
}
const take = () =>
  props.told(async () => {
    const taken = await files.take();
    if (taken) {
      loaded(taken);
    }
  });

const arrived = (i: Import) => percent(i.received / i.bytes);
const done = (i: Import) => percent(i.lines === 0 ? 0 : i.lines_done / i.lines);
const line = (i: Import): string => {
  const name = i.name;
  switch (i.state) {
    case 'done':
      return name;
    case 'arriving':
      return say(isSending.value ? 'file.arriving' : 'file.arriving_open', { name, percent: arrived(i) });
    case 'running':
      return say('file.running', { name, percent: done(i), n: i.added });
    case 'stopped':
      return say('file.stopped', { name, percent: done(i), n: i.added });
    case 'failed':
      return say('file.failed', { name, problem: i.problem ?? '' });
    case 'waiting':
      return say('file.waiting', { name });
    case 'stopping':
      return say('file.stopping', { name });
    case 'ready':
      return say('file.ready', { name });
  }
};
/** What the columns of a file that is not ours were taken for. */
const taken = (i: Import) =>
  Object.entries(i.mapping?.columns ?? {}).map(([header, column]) =>
    say(column.sign === -1 ? 'file.column_negative' : 'file.column', {
      header,
      field: column.unit
        ? say('file.in_unit', { field: words.field(column.field), unit: words.unit(column.unit) })
        : words.field(column.field),
    }),
  );
const mayGoOn = (i: Import) => i.state === 'stopped' || i.state === 'failed';
const isMoving = (i: Import) => ['waiting', 'running', 'stopping'].includes(i.state);
</script>

<template>
  <section class="file" :aria-label="say('file.label')">
    <label for="readings-file">{{ say('file.load') }}</label>
    <input
      id="readings-file"
      ref="input"
      type="file"
      accept=".csv,.tsv,.txt,text/csv"
      :disabled="isSending"
      @change="pick"
    />
    <p class="quiet small">{{ say('file.how') }}</p>
    <p v-if="isNobodyThere" class="small" role="status">{{ say('file.no_worker') }}</p>
    <div v-for="i in imports" :key="i.id" class="outcome" role="status">
      <p>
        <Said
          v-if="i.state === 'done'"
          code="file.done"
          :figures="{ name: i.name, known: i.understood - i.added, rejected: i.rejected_count }"
          ><template #added
            ><strong>{{ say('file.added', { n: i.added }) }}</strong></template
          ></Said
        >
        <template v-else>{{ line(i) }}</template>
      </p>
      <p v-if="isAwaited && !i.is_judged" class="small">{{ say('file.judging') }}</p>
      <progress v-if="isMoving(i)" :max="i.lines" :value="i.lines_done" :aria-label="line(i)" />
      <ul v-if="rejected[i.id]?.length">
        <li v-for="row in rejected[i.id]?.slice(0, LISTED)" :key="row.line">
          {{ say('file.line', { line: row.line, reason: row.reason }) }}
        </li>
        <li v-if="i.rejected_count > LISTED">{{ say('file.more', { n: i.rejected_count - LISTED }) }}</li>
      </ul>
      <p v-if="i.state === 'done' && taken(i).length > 0" class="small">
        {{ say('file.taken', { columns: listed('comma', taken(i)) }) }}
      </p>
      <p class="acts">
        <a v-if="i.rejected_count > 0" :href="`/api/imports/${i.id}/left-out.csv`" download>{{
          say('file.save_rejected')
        }}</a>
        <TextButton v-if="i.state === 'ready'" @click="told(() => files.open(i))">
          {{ say('file.look') }}
        </TextButton>
        <TextButton v-if="i.state === 'waiting' || i.state === 'running'" @click="told(() => files.stop(i))">
          {{ say('file.stop') }}
        </TextButton>
        <TextButton v-if="mayGoOn(i)" @click="told(async () => void (await files.start(i)))">
          {{ say('file.resume') }}
        </TextButton>
        <TextButton
          v-if="!isMoving(i) && !isSending"
          :aria-label="say('file.take_back_of', { name: i.name })"
          @click="told(() => files.takeBack(i))"
        >
          {{ say('file.take_back') }}
        </TextButton>
      </p>
    </div>
    <FileLook
      v-if="look"
      :file="look.file"
      :look="look.look"
      :refusal="refusal"
      :trouble="trouble"
      :curve="curve"
      @tell="(body) => told(() => files.tell(body))"
      @take="take"
      @drop="(file) => told(() => files.takeBack(file))"
      @close="look = null"
    />
  </section>
</template>

<style scoped>
.file {
  margin-top: var(--space-7);
  padding-top: var(--space-6);
  border-top: 1px solid var(--line);
}

label {
  display: block;
  margin-bottom: var(--space-2);
  font-weight: 600;
}

input {
  max-width: 100%;
}

input::file-selector-button {
  margin-inline-end: var(--space-6);
  padding: var(--space-4) var(--space-6);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
  color: var(--ink);
  font-family: var(--face-wide);
  font-weight: 600;
  cursor: pointer;
}

.small {
  margin-top: var(--space-2);
  font-size: var(--size-small);
}

.outcome {
  margin-top: var(--space-4);
  padding: var(--space-4) var(--space-6);
  border-inline-start: 4px solid var(--ink);
  background: var(--paper-raised);
  overflow-wrap: anywhere;
}

progress {
  width: 100%;
  height: 10px;
  accent-color: var(--ink);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-7);
  font-size: var(--size-small);
}

ul {
  margin: var(--space-2) 0 0;
  padding-inline-start: var(--space-7);
  font-size: var(--size-small);
}
</style>
