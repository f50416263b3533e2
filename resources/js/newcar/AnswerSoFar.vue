<script setup lang="ts">
import { computed, ref } from 'vue';
import { useAccount } from '@/stores/account';
import { useGarage } from '@/stores/garage';
import { useTerms } from '@/stores/terms';
import JointGlyph from '@/ui/JointGlyph.vue';
import SearchField from '@/ui/SearchField.vue';
import TextButton from '@/ui/TextButton.vue';
import { ranged } from '@/ui/figures';
import { holdsWords } from '@/ui/matchesSearch';
import { say } from '@/words/say';
import type { NewCar, NewCarRow, Region } from './useNewCar';

/** The car's answers so far at the kinds of charger in the driver's region; the others are one press away. */
const props = defineProps<{ draft: NewCar | null }>();
const emit = defineEmits<{ region: [region: Region] }>();

const terms = useTerms();
const garage = useGarage();
const account = useAccount();
const showsElsewhere = ref(false);

const wanted = ref('');
const all = computed(() => props.draft?.rows ?? []);
const rows = computed(() => all.value.filter((r) => holdsWords(wanted.value, r.name, r.found_by)));
const here = computed(() => rows.value.filter((r) => r.here));
const elsewhere = computed(() => rows.value.filter((r) => !r.here));
const allHere = computed(() => all.value.filter((r) => r.here));
const charging = computed(() => allHere.value.filter((r) => r.cell.flows === 'yes').length);
/** What charges comes first, then what has to be checked, then what a piece for sale would join. What doesn't fit is shown only to a search. */
const RANK = { yes: 0, maybe: 1, no: 2 };
const joins = (some: NewCarRow[]): NewCarRow[] =>
  some
    .filter((r) => r.cell.outcome !== 'no_joint' || r.by_adapter || wanted.value.trim() !== '')
    .sort((a, b) => RANK[a.cell.flows] - RANK[b.cell.flows]);
const apart = (some: NewCarRow[]): number => some.length - joins(some).length;
const lists = computed(() => [
  { id: 'here', rows: joins(here.value), apart: apart(here.value) },
  ...(showsElsewhere.value ? [{ id: 'elsewhere', rows: joins(elsewhere.value), apart: apart(elsewhere.value) }] : []),
]);

/** What stands at the end of a line. */
function figure({ cell, by_adapter }: NewCarRow): string {
  if (cell.flows === 'no') {
    return by_adapter ? say('new_car.by_adapter') : terms.short(cell.outcome);
  }
  return cell.flows === 'maybe' ? terms.short(cell.outcome) : ranged(cell) || terms.short(cell.outcome);
}

/** A piece that is not at hand is named: without it a socket is no charger. */
const needs = (row: NewCarRow): string =>
  row.cell.flows === 'yes' && row.group === 'sockets' && row.cell.adapters.some((id) => !garage.adapter(id))
    ? say('new_car.needs_supply')
    : '';
const tags = (row: NewCarRow): string[] => row.cell.adapters.map(garage.tag);
const onRegion = (event: Event): void => emit('region', (event.target as HTMLSelectElement).value as Region);
</script>

<template>
  <section class="so-far" aria-labelledby="so-far-title">
    <h2 id="so-far-title">{{ say('new_car.so_far') }}</h2>
    <p v-if="all.length === 0" class="quiet nothing">{{ say('new_car.nothing_yet') }}</p>
    <template v-else>
      <p class="count" role="status">
        {{
          say('new_car.charges_at', {
            n: charging,
            all: allHere.length,
            region: terms.words('region', draft?.region ?? ''),
          })
        }}
      </p>
      <p class="quiet">{{ say(account.me ? 'new_car.so_far_how' : 'new_car.so_far_visitor') }}</p>
      <label v-if="!account.me" class="region">
        {{ say('new_car.region') }}
        <select :value="draft?.region" @change="onRegion">
          <option v-for="r in terms.all('region')" :key="r.id" :value="r.id">{{ r.title }}</option>
        </select>
      </label>
      <SearchField v-model="wanted" class="find" :label="say('new_car.find_kind')" />
      <p v-if="rows.length === 0" class="quiet" role="status">{{ say('kit.no_kind', { wanted }) }}</p>
      <template v-for="list in lists" :key="list.id">
        <h3 v-if="list.id === 'elsewhere'">{{ say('new_car.elsewhere') }}</h3>
        <ul>
          <li v-for="row in list.rows" :key="row.cell.outlet" :class="row.cell.outcome">
            <details>
              <summary>
                <span
                  >{{ row.name }} <span v-if="needs(row)" class="quiet small">{{ needs(row) }}</span></span
                >
                <JointGlyph :outcome="row.cell.outcome" :tags="tags(row)" />
                <span :class="{ figures: row.cell.flows === 'yes' }" class="end">{{ figure(row) }}</span>
                <span class="sr-only">{{ row.cell.title }}</span>
              </summary>
              <p class="why">
                <strong>{{ row.cell.title }}</strong> {{ row.cell.why }}
              </p>
            </details>
          </li>
        </ul>
        <p v-if="list.apart > 0" class="quiet">{{ say('new_car.no_joint_at', { n: list.apart }) }}</p>
      </template>
      <p v-if="elsewhere.length > 0">
        <TextButton @click="showsElsewhere = !showsElsewhere">{{
          showsElsewhere ? say('new_car.hide_elsewhere') : say('new_car.show_elsewhere', { n: elsewhere.length })
        }}</TextButton>
      </p>
      <p class="quiet small">{{ say('new_car.typical_how') }}</p>
    </template>
  </section>
</template>

<style scoped>
ul {
  margin: var(--space-5) 0;
  padding: 0;
  list-style: none;
}

h3 {
  margin-top: var(--space-7);
}

li {
  border-bottom: 1px solid var(--line);
  line-height: 1.25;
}

summary {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 44px 74px;
  gap: var(--space-4);
  align-items: center;
  min-height: 34px;
  padding: var(--space-2) 0;
  cursor: pointer;

  --glyph-width: 44px;
}

summary::-webkit-details-marker {
  display: none;
}

.why {
  margin: 0;
  padding: 0 0 var(--space-4);
}

li .end {
  font-weight: 620;
  text-align: end;
}

li .small {
  display: block;
}

.unverified .end {
  color: var(--ochre-text);
}

.wont_charge .end,
.no_joint .end {
  color: var(--ink-soft);
  font-weight: 500;
}

.hazard .end {
  color: var(--brick-text);
}

.count {
  margin: var(--space-3) 0 var(--space-1);
  font-family: var(--face-wide);
  font-weight: 660;
}

.region {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-4);
  align-items: baseline;
  margin-top: var(--space-4);
}

.find {
  margin-top: var(--space-4);
}

.nothing {
  margin-top: var(--space-7);
}

.small {
  font-size: var(--size-small);
}
</style>
