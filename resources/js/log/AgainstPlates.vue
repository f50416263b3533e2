<script setup lang="ts">
import { computed } from 'vue';
import type { Judgement, PlateRow } from '@/api/client';
import { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import { number, orAbout, percent, quantity } from '@/ui/figures';
import { listed, say } from '@/words/say';

/** The ratings check by piece: the piece under test first and open, the others one line each that opens. */
const props = defineProps<{ judgement: Judgement; underTest: string[] }>();

interface Row {
  key: string;
  name: string;
  value: string;
  state: string;
  words: string;
}
interface Piece {
  link: string;
  name: string;
  isTested: boolean;
  rows: Row[];
  shares: string;
  state: string;
  words: string;
}

const terms = useTerms();
const units = useUnits();
const NAMES = { v: say('plates.row_v'), a: say('plates.row_a'), kw: say('plates.row_kw') } as const;
/** Where there is little room. */
const UNITS = { v: say('unit.volts'), a: say('unit.amps'), kw: say('unit.kw') } as const;

const boosted = (row: PlateRow) => row.allowed_minutes !== null;

const limitOf = (row: PlateRow): string =>
  row.limit === null ? say('figure.unknown') : orAbout(number(row.limit), row.limit_is_about);

function rowsOf(row: PlateRow): Row[] {
  const words = terms.words('plate_state', row.peak_state);
  const of = (peak: string, limit: string) => say('plates.of', { peak, limit });
  const first: Row = {
    key: row.quantity,
    name: boosted(row) ? say('plates.row_a_boost') : NAMES[row.quantity],
    value:
      row.peak === null
        ? (row.missing ?? number(null))
        : of(number(row.peak, row.quantity === 'kw' ? 1 : 0), limitOf(row)),
    state: row.peak_state,
    words,
  };
  return boosted(row)
    ? [
        first,
        {
          key: 'minutes',
          name: say('plates.row_minutes', { amps: quantity(row.continuous_limit ?? 0, 'a') }),
          value: row.minutes_words ?? row.missing ?? number(null),
          state: row.minutes_state ?? 'not_measured',
          words: terms.words('plate_state', row.minutes_state ?? 'not_measured'),
        },
      ]
    : [first];
}

/** What a thermometer showed of an adapter belongs to it. */
const warm = computed<Row[]>(() =>
  props.judgement.temperatures
    .filter((t) => t.point === 'adapter')
    .map((t) => ({
      key: 'celsius',
      name: say('plates.rise', { point: terms.words('point', t.point) }),
      value: listed('comma', [units.thermometer(t.max_c), ...(t.rise_k === null ? [] : [`+${units.rise(t.rise_k)}`])]),
      state: t.state,
      words: terms.words('temperature_state', t.state),
    })),
);

const pieces = computed<Piece[]>(() => {
  const found: Piece[] = [];
  for (const row of props.judgement.plate_check) {
    let piece = found.find((p) => p.link === row.link);
    if (!piece) {
      const isTested = props.underTest.includes(row.link);
      const state = props.judgement.pieces.find((p) => p.link === row.link)?.state ?? row.state;
      const words = terms.words('plate_state', state);
      piece = { link: row.link, name: row.name, isTested, rows: [], shares: '', state, words };
      found.push(piece);
    }
    piece.rows.push(...rowsOf(row));
  }
  for (const piece of found) {
    if (piece.isTested && props.underTest[0] === piece.link) {
      piece.rows.push(...warm.value);
    }
    piece.shares = listed(
      'dot',
      props.judgement.plate_check
        .filter((r) => r.link === piece.link && r.utilisation !== null)
        .map((r) => say('plates.others_share', { quantity: UNITS[r.quantity], share: percent(r.utilisation) })),
    );
  }
  return found;
});
const isOpen = (piece: Piece, i: number) => piece.isTested || (i === 0 && piece.state === 'over');
</script>

<template>
  <section aria-labelledby="against-title">
    <h2 id="against-title">{{ say('report.against') }}</h2>
    <details
      v-for="(piece, i) in pieces"
      :key="piece.link"
      :open="isOpen(piece, i)"
      :class="{ tested: piece.isTested }"
    >
      <summary>
        <strong>{{ piece.name }}</strong>
        <span v-if="piece.isTested" class="quiet">{{ say('report.under_test') }}</span>
        <span v-else class="figures shares">{{ piece.shares }}</span>
        <span class="state" :class="piece.state">{{ piece.words }}</span>
      </summary>
      <dl>
        <div v-for="row in piece.rows" :key="row.key">
          <dt>{{ row.name }}</dt>
          <dd class="figures">{{ row.value }}</dd>
          <dd class="state" :class="row.state">{{ row.words }}</dd>
        </div>
      </dl>
    </details>
  </section>
</template>

<style scoped>
details {
  border-bottom: 1px solid var(--line);
}

details.tested {
  margin: var(--space-4) 0 var(--space-3);
  padding: var(--space-2) var(--space-6);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
  clip-path: polygon(0 0, calc(100% - 9px) 0, 100% 9px, 100% 100%, 9px 100%, 0 calc(100% - 9px));
}

summary {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 104px;
  gap: var(--space-5);
  align-items: baseline;
  padding: var(--space-3) 0;
  cursor: pointer;
}

summary::marker {
  content: '';
}

.shares {
  font-size: var(--size-label);
}

dl {
  margin: 0 0 var(--space-3);
}

dl div {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 104px;
  gap: var(--space-5);
  padding: var(--space-2) 0;
  border-top: 1px solid var(--line);
}

dd {
  margin: 0;
}

.state {
  font-weight: 640;
}

.state.within {
  font-weight: 500;
}

.state.close,
.state.caution {
  color: var(--ochre-text);
}

.state.over {
  color: var(--brick-text);
}

.state.not_measured {
  color: var(--ink-soft);
  font-weight: 500;
}

@media (width <= 600px) {
  summary,
  dl div {
    grid-template-columns: minmax(0, 1fr) auto;
    row-gap: 0;
  }

  .state {
    text-align: end;
  }

  dl .state {
    grid-column: 1 / -1;
  }

  summary .quiet,
  summary .shares {
    grid-row: 2;
    grid-column: 1 / -1;
  }
}

@media print {
  details:not([open]) > dl {
    display: block;
  }
}
</style>
