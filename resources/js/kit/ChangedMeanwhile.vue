<script setup lang="ts">
import { computed } from 'vue';
import { written } from '@/plates/entries';
import type { FieldGroup } from '@/plates/fields';
import { originsOf, type FactOrigin } from '@/plates/origins';
import { STALL_COLUMNS } from '@/plates/stalls';
import type { Draft } from '@/stores/edit';
import { differences, same } from '@/api/differences';
import { valueAt, withValue } from '@/api/dotted';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

/** Somebody else changed a piece while it was edited here: shows the figures, and two ways to continue. */
const props = defineProps<{ before: Draft; mine: Draft; theirs: Draft; isGone: boolean; groups: FieldGroup[] }>();
const emit = defineEmits<{ goOn: [next: Draft] }>();

/** Where figures come from goes with them. */
const ORIGINS = 'spec.origins';

const fields = computed(() => new Map(props.groups.flatMap((g) => g.fields).map((f) => [`spec.${f.path}`, f])));
const labels: Record<string, string> = {
  name: say('editor.name'),
  tag: say('editor.tag'),
  blurb: say('editor.blurb'),
};

const here = computed(() => differences(props.before, props.mine));
/** Since when a fact is known goes with the fact. */
const there = computed(() =>
  Object.fromEntries(Object.entries(differences(props.before, props.theirs)).filter(([path]) => path !== ORIGINS)),
);
const rows = computed(() =>
  Object.keys(there.value).map((path) => ({
    path,
    label: fields.value.get(path)?.label ?? labels[path] ?? ofStall(path) ?? path.replace(/^spec\./, ''),
    theirs: shown(path, props.theirs),
    mine: path in here.value ? shown(path, props.mine) : null,
    isApart: path in here.value && !same(here.value[path], there.value[path]),
  })),
);

/** One figure of one stall in the list of them. */
function ofStall(path: string): string | undefined {
  const [, at, column] = /^spec\.stalls\.(\d+)\.(label|evse_id|cabinet|fault)$/.exec(path) ?? [];
  return (
    column && say('stalls.of', { what: say(STALL_COLUMNS[column as keyof typeof STALL_COLUMNS]), n: Number(at) + 1 })
  );
}

function shown(path: string, draft: Draft): string {
  return written(fields.value.get(path)?.kind ?? 'text', valueAt(draft, path)) || say('entry.not_read');
}

/** What was confirmed here, path by path: the other's days stay with the other's figures. */
function confirmed(): Record<string, FactOrigin> {
  const before = originsOf(props.before.spec);
  return Object.fromEntries(
    Object.entries(originsOf(props.mine.spec)).filter(([path, origin]) => !same(origin, before[path])),
  );
}

/** The other's version with these figures of ours in it. */
function onTop(paths: string[]): Draft {
  const next = paths
    .filter((path) => path !== ORIGINS)
    .reduce<Draft>((draft, path) => withValue(draft, path, here.value[path]), props.theirs);
  const mine = confirmed();
  return Object.keys(mine).length === 0 ? next : withValue(next, ORIGINS, { ...originsOf(props.theirs.spec), ...mine });
}
</script>

<template>
  <section class="meanwhile" :aria-label="say('meanwhile.title')">
    <h3>{{ isGone ? say('meanwhile.gone') : say('meanwhile.title') }}</h3>
    <ul v-if="rows.length > 0">
      <li v-for="row in rows" :key="row.path">
        <strong>{{ row.label }}</strong>
        <span>{{ say('meanwhile.there', { value: row.theirs }) }}</span>
        <span v-if="row.mine !== null" :class="{ apart: row.isApart }">{{
          say('meanwhile.here', { value: row.mine })
        }}</span>
      </li>
    </ul>
    <div class="ways">
      <TextButton @click="emit('goOn', onTop(Object.keys(here)))">
        {{ isGone ? say('meanwhile.bring_back') : say('meanwhile.mine') }}
      </TextButton>
      <TextButton
        v-if="rows.some((row) => row.isApart)"
        @click="emit('goOn', onTop(Object.keys(here).filter((path) => !(path in there))))"
      >
        {{ say('meanwhile.theirs') }}
      </TextButton>
    </div>
  </section>
</template>

<style scoped>
.meanwhile {
  padding: var(--space-5) var(--space-6);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper);
}

ul {
  margin: var(--space-2) 0 var(--space-4);
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-6);
}

.apart {
  color: var(--ochre-text);
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-8);
}
</style>
