<script setup lang="ts">
import type { PlateRow } from '@/api/client';
import PlateBar from '@/ui/PlateBar.vue';
import { useTerms } from '@/stores/terms';
import { number, orAbout, percent, quantity } from '@/ui/figures';
import { listed, say } from '@/words/say';

defineProps<{ rows: PlateRow[] }>();

const terms = useTerms();

function margin(row: PlateRow): string {
  if (row.margin === null) {
    return number(null);
  }
  const figure = quantity(Math.abs(row.margin), row.quantity);
  const isNothing = figure === quantity(0, row.quantity);
  return row.margin < 0 && !isNothing ? say('figure.signed', { figure }) : figure;
}

/** A limit as its plate prints it, with no more digits than that. */
function limit(row: PlateRow): string {
  const units = { v: 'figure.volts', a: 'figure.amps', kw: 'figure.kw' } as const;
  const figure = say(units[row.quantity], { n: number(row.limit) });
  return orAbout(figure, row.limit_is_about);
}

function more(row: PlateRow): string {
  const boost =
    row.minutes_words === null
      ? null
      : say('plates.above', { minutes: row.minutes_words, amps: quantity(row.continuous_limit ?? 0, 'a') });
  const heat = row.theta_max === null ? null : say('plates.heat', { theta: percent(row.theta_max) });
  const source = row.missing ?? (row.provenance && terms.words('provenance', row.provenance));
  return listed(
    'semicolon',
    [boost, heat, source].filter((part) => part !== null),
  );
}
</script>

<template>
  <section aria-labelledby="plates-title">
    <h2 id="plates-title">{{ say('plates.title') }}</h2>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ say('plates.piece') }}</th>
          <th scope="col" class="n">{{ say('plates.peak') }}</th>
          <th scope="col" class="n">{{ say('plates.limit') }}</th>
          <th scope="col" class="n">{{ say('plates.margin') }}</th>
          <th scope="col" class="wide">
            <span class="sr-only">{{ say('plates.share_long') }}</span>
          </th>
          <th scope="col" class="n">{{ say('plates.share') }}</th>
          <th scope="col">{{ say('plates.state') }}</th>
          <th scope="col">{{ say('plates.more') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(row, i) in rows"
          :key="row.link + row.quantity"
          :class="[row.state, { first: rows[i - 1]?.link !== row.link }]"
        >
          <th scope="row">
            <span :class="{ 'sr-only': rows[i - 1]?.link === row.link }">{{ row.name }}</span>
          </th>
          <td class="n figures" :data-name="say('plates.peak')">
            {{ row.peak === null ? number(null) : quantity(row.peak, row.quantity) }}
          </td>
          <td class="n figures" :data-name="say('plates.limit')">
            {{ row.limit === null ? say('figure.unknown') : limit(row) }}
          </td>
          <td class="n figures" :data-name="say('plates.margin')">{{ margin(row) }}</td>
          <td class="wide"><PlateBar v-if="row.utilisation !== null" :row="row" /></td>
          <td class="n figures" :data-name="say('plates.share')">{{ percent(row.utilisation) }}</td>
          <td class="state">{{ terms.words('plate_state', row.state) }}</td>
          <td class="more">
            {{ more(row) }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
table {
  width: 100%;
  margin-top: var(--space-3);
  border-collapse: collapse;
}

thead th {
  border-bottom: 1.5px solid var(--ink);
  color: var(--ink-soft);
  font-size: var(--size-small);
  font-weight: 500;
}

th,
td {
  padding-block: var(--space-3);
  padding-inline: 0 var(--space-5);
  text-align: start;
}

tbody th {
  font-weight: 500;
}

tbody tr.first {
  border-top: 1px solid var(--line-strong);
}

.n {
  text-align: end;
  white-space: nowrap;
}

.wide {
  width: 150px;
  min-width: 90px;
  padding-inline-start: var(--space-4);
}

.state {
  font-family: var(--face-wide);
  font-size: var(--size-label);
  font-weight: 640;
  white-space: nowrap;
}

.more {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

.close .state {
  color: var(--ochre-text);
}

.over .state {
  color: var(--brick-text);
}

.not_measured .state {
  color: var(--ink-soft);
  font-weight: 500;
}

/* On a phone a rating is a block: its name, four figures in two lines, and the rest below. */
@media (width <= 720px) {
  thead {
    position: absolute;
    overflow: hidden;
    width: 1px;
    height: 1px;
    clip-path: inset(50%);
  }

  tbody tr {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0 var(--space-6);
    padding: var(--space-3) 0;
    border-bottom: 1px solid var(--line);
  }

  th,
  td {
    padding: 0;
  }

  tbody th,
  .wide,
  .state,
  .more {
    grid-column: 1 / -1;
  }

  .wide {
    width: auto;
  }

  .n {
    display: flex;
    justify-content: space-between;
  }

  .n::before {
    color: var(--ink-soft);
    content: attr(data-name);
    font-size: var(--size-small);
  }
}
</style>
