<script setup lang="ts">
import { computed } from 'vue';
import type { components } from '@/api/schema';
import { written } from '@/plates/entries';
import { fieldsOf } from '@/plates/fields';
import { useTerms } from '@/stores/terms';
import { listed, say } from '@/words/say';

type Place = components['schemas']['OcpiPreview']['places'][number];
type Outlet = Place['outlets'][number];

/** How a network's file changes one place, charger by charger and figure by figure. */
const props = defineProps<{ place: Place }>();

const KINDS = {
  new: 'ocpi.kind_new',
  changed: 'ocpi.kind_changed',
  same: 'ocpi.kind_same',
  gone: 'ocpi.kind_gone',
  aside: 'ocpi.kind_aside',
} as const;
const MOST_LEFT_OUT = 3;
const MOST_STALLS = 12;
const terms = useTerms();
const fields = computed(
  () => new Map(fieldsOf('outlets', 0, '', terms).flatMap((g) => g.fields.map((f) => [f.path, f]))),
);
const outlets = computed(() => props.place.outlets.filter((o) => o.kind !== 'same' || o.figures.length > 0));

function stalls(outlet: Outlet): string {
  const some = outlet.stalls
    .slice(0, MOST_STALLS)
    .map(({ label, fault }) => (fault ? say('ocpi.stall_fault', { label, fault }) : label));
  const more = outlet.stalls.length - some.length;
  const list = listed('comma', more > 0 ? [...some, say('list.more', { n: more })] : some);
  return say('ocpi.stalls', { n: outlet.stalls.length, list });
}

function told({ path, here, file, kept }: Outlet['figures'][number]): string {
  const [, stall, column] = /^stalls\.(.*?)(?:\.(label|evse_id|fault))?$/.exec(path) ?? [];
  if (stall !== undefined && column === undefined) {
    return here === null ? say('ocpi.stall_new', { label: stall }) : say('ocpi.stall_gone', { label: stall });
  }
  const field = fields.value.get(path);
  const label =
    stall !== undefined
      ? say('ocpi.stall', { label: stall })
      : (field?.label ?? (path === 'name' ? say('editor.name') : path));
  const shown = (value: unknown) =>
    written(field?.kind ?? 'text', value) || say(column === 'fault' ? 'ocpi.sound' : 'entry.not_read');
  return say(kept ? 'ocpi.figure_kept' : 'ocpi.figure', { label, here: shown(here), file: shown(file) });
}
</script>

<template>
  <div>
    <h3>
      {{ place.name }}
      <span class="kind" :class="place.kind">{{ say(KINDS[place.kind]) }}</span>
    </h3>
    <p v-if="place.was !== null && place.was !== place.name" class="quiet">
      {{ say('ocpi.renamed', { was: place.was }) }}
    </p>
    <p v-if="place.kind === 'new' && place.outlets.length === 0">{{ say('ocpi.none') }}</p>
    <ul>
      <li v-for="(outlet, i) in outlets" :key="i">
        <strong>{{ outlet.name }}</strong>
        <span v-if="outlet.kind !== place.kind" class="kind" :class="outlet.kind">{{ say(KINDS[outlet.kind]) }}</span>
        <span v-if="outlet.kind === 'new' && outlet.stalls.length > 0" class="quiet">{{ stalls(outlet) }}</span>
        <span v-for="figure in outlet.figures" :key="figure.path" class="figure">{{ told(figure) }}</span>
      </li>
    </ul>
    <p v-for="line in place.not_understood.slice(0, MOST_LEFT_OUT)" :key="line" class="quiet">
      {{ say('ocpi.left_out', { line }) }}
    </p>
    <p v-if="place.not_understood.length > MOST_LEFT_OUT" class="quiet">
      {{ say('list.more', { n: place.not_understood.length - MOST_LEFT_OUT }) }}
    </p>
  </div>
</template>

<style scoped>
.kind {
  margin-inline-start: var(--space-3);
  color: var(--ink-soft);
  font-size: var(--size-small);
  font-weight: 400;
}

.kind.new,
.kind.changed {
  color: var(--pine-text);
}

.kind.gone {
  color: var(--ochre-text);
}

ul {
  margin: var(--space-1) 0;
  padding: 0;
  list-style: none;
}

li {
  padding: var(--space-1) 0;
}

.figure,
li .quiet {
  display: block;
  padding-inline-start: var(--space-6);
}
</style>
