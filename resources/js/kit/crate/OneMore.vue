<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { api, ask, wordsOf, type SmallestKit } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useBoard } from '@/stores/board';
import { useCatalogue } from '@/stores/catalogue';
import { useEdit } from '@/stores/edit';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import AnyFace from '@/ui/AnyFace.vue';
import { kw, money } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';
import StepBoard from './StepBoard.vue';

/** What one more adapter would reach, and two, and three: a staircase, and what the chosen step adds. */
const garage = useGarage();
const account = useAccount();
const board = useBoard();
const edit = useEdit();
const catalogue = useCatalogue();
const { error: failed, isBusy, attempt } = useAttempt();

const MOST_LISTED = 8;
const HEIGHT = 150;
const answer = ref<SmallestKit | null>(null);
const error = ref('');
const together = ref<string[]>([]);
/** The chosen step: 0 is what is owned. */
const chosen = ref(1);
const showsAll = ref(false);
let asked = 0;

watch(
  [
    () => garage.tour?.id,
    () => board.policy,
    together,
    () => garage.adapters,
    () => garage.sections,
    () => garage.wishes,
  ],
  async () => {
    const mine = ++asked;
    const query = {
      policy: board.policy,
      ...(garage.tour ? { tour: garage.tour.id } : {}),
      ...(together.value.length > 1 ? { 'together[]': together.value } : {}),
    };
    try {
      const found = await ask(api.GET('/kit', { params: { query } }));
      if (mine === asked) {
        answer.value = found;
        error.value = '';
        chosen.value = Math.min(chosen.value, found.purchases.length);
      }
    } catch (e: unknown) {
      if (mine === asked) {
        answer.value = null;
        error.value = wordsOf(e);
      }
    }
  },
  { immediate: true, deep: true },
);

const steps = computed(() =>
  answer.value
    ? [
        { covered: answer.value.covered_now, second: answer.value.second_way_now },
        ...answer.value.purchases.map((p) => ({ covered: p.covered, second: p.second_way })),
      ]
    : [],
);
const most = computed(() => Math.max(1, ...steps.value.map((s) => s.covered)));
const tall = (n: number): string => `${((n / most.value) * HEIGHT).toFixed(1)}px`;
const purchase = computed(() => answer.value?.purchases[chosen.value - 1] ?? null);
const pieces = computed(() =>
  (purchase.value?.buy ?? []).flatMap((id) => answer.value?.candidates.find((c) => c.id === id) ?? []),
);
const price = computed(() => {
  const p = purchase.value?.price;
  if (!p?.known) {
    return say('more.no_price');
  }
  const sum = money(p.amount, p.currency);
  return p.at_least ? say('more.at_least', { price: sum }) : sum;
});
const reached = computed(() => {
  const p = purchase.value;
  return p ? [...p.newly, ...p.faster] : [];
});
const shown = computed(() => (showsAll.value ? reached.value : reached.value.slice(0, MOST_LISTED)));
const nameOf = (id: string): string => garage.adapter(id)?.name ?? garage.wishes.find((w) => w.id === id)?.name ?? id;
const pair = (p: { vehicle: string; outlet: string }) =>
  say('more.pair', { car: garage.vehicle(p.vehicle)?.name ?? '', outlet: garage.outlet(p.outlet)?.name ?? '' });
const place = computed(() => garage.places.find((p) => p.id === answer.value?.weakest_place)?.name);
const notNeeded = computed(() => (answer.value?.not_needed ?? []).map(nameOf));
type Ends = { vehicle: string; outlet: string };
const rail = useRail();
const router = useRouter();
/** The pair on the board, with its gates. */
async function why(ends: Ends): Promise<void> {
  await rail.choose({ outlet: ends.outlet, vehicle: ends.vehicle });
  await router.push('/board');
}

/** What fails, and which cars it leaves without a charge at their place. */
const stranded = computed(() => {
  const by = new Map<string, Set<string>>();
  for (const s of answer.value?.stranded ?? []) {
    const where = garage.places.find((p) => p.id === s.place)?.name ?? '';
    const failed =
      s.part === 'outlet' ? (garage.outlet(s.failed)?.name ?? '') : s.part === 'adapter' ? nameOf(s.failed) : s.failed;
    const cause = say('more.fails', { failed, place: where });
    by.set(cause, (by.get(cause) ?? new Set()).add(garage.vehicle(s.vehicle)?.name ?? ''));
  }
  return [...by].map(([cause, cars]) => ({ cause, cars: [...cars] }));
});
/** A reason that many pairs share, with what would change it, is told once. */
const never = computed(() => {
  const by = new Map<string, { reason: string; changes: string[]; pairs: Ends[] }>();
  for (const { reason, changes, ...pair } of answer.value?.never ?? []) {
    const key = [reason, ...changes].join(' ');
    by.set(key, { reason, changes, pairs: [...(by.get(key)?.pairs ?? []), pair] });
  }
  return [...by.values()];
});

const wish = (piece: { id: string; name: string }) =>
  attempt(async () => {
    await catalogue.load();
    const kind = catalogue.adapter(piece.id);
    if (kind) {
      await edit.create('wishes', { name: piece.name, blurb: '', spec: kind.draft.spec ?? {} });
    }
  });
const isWish = (id: string): boolean => garage.wishes.some((w) => w.id === id);
</script>

<template>
  <aside class="one-more" aria-labelledby="more-title">
    <h2 id="more-title">{{ say('more.title') }}</h2>
    <p v-if="error" class="quiet" role="status">{{ error }}</p>
    <template v-if="answer">
      <p class="quiet">
        {{
          garage.tour
            ? say('more.lead_tour', {
                pairs: answer.pairs,
                n: answer.covered_now,
                second: answer.second_way_now,
                tour: garage.tour.name,
              })
            : say('more.lead', { pairs: answer.pairs, n: answer.covered_now, second: answer.second_way_now })
        }}
      </p>
      <div class="stairs" role="group" :aria-label="say('more.steps')">
        <button
          v-for="(s, i) in steps"
          :key="i"
          type="button"
          class="step"
          :class="{ here: i === chosen && i > 0 }"
          :aria-pressed="i === chosen"
          @click="chosen = i"
        >
          <span class="bar" :style="{ height: tall(s.covered) }">
            <span class="count"
              >{{ s.covered }}<span class="sr-only"> {{ say('more.charge_word') }}</span></span
            >
            <span class="twice" :style="{ height: tall(s.second) }"
              >{{ s.second }}<span class="sr-only"> {{ say('more.second_word') }}</span></span
            >
          </span>
          <span class="label">{{ i === 0 ? say('more.own') : say('more.plus', { n: i }) }}</span>
        </button>
      </div>
      <p class="key quiet">{{ say('more.key') }}</p>
      <template v-if="answer.charge.length > 0">
        <p v-for="c in answer.charge" :key="c.adapter" class="charge">
          {{ say('more.charge', { name: nameOf(c.adapter), n: c.newly.length }) }}
        </p>
      </template>
      <p v-if="answer.purchases.length === 0">{{ say('more.nothing') }}</p>
      <template v-if="purchase">
        <h3>{{ say('more.buy', { price }) }}</h3>
        <ul class="pieces">
          <li v-for="(p, i) in pieces" :key="i">
            <AnyFace :coupler="p.input" /><AnyFace :coupler="p.output" />
            <span>{{ p.name }}</span>
            <TextButton
              v-if="account.may('edit') && !isWish(p.id)"
              :disabled="isBusy"
              :words="say('more.wish')"
              :of="p.name"
              @click="wish(p)"
            />
          </li>
        </ul>
        <p v-if="purchase.charge_instead.length > 0" class="charge">
          {{ say('more.instead', { names: listed('and', purchase.charge_instead.map(nameOf)) }) }}
        </p>
        <table class="reached">
          <caption class="quiet">
            {{
              say('more.newly', { n: purchase.newly.length, faster: purchase.faster.length })
            }}
          </caption>
          <tbody>
            <tr v-for="r in shown" :key="r.vehicle + r.outlet">
              <td>{{ pair(r) }}</td>
              <td class="figures">
                {{
                  r.at_most
                    ? say('figure.at_most', { kw: kw(r.expected_peak_kw) })
                    : say('figure.kw', { n: kw(r.expected_peak_kw) })
                }}
              </td>
            </tr>
          </tbody>
        </table>
        <TextButton v-if="reached.length > shown.length" @click="showsAll = true">
          {{ say('more.all', { n: reached.length }) }}
        </TextButton>
        <details class="whole-board">
          <summary>{{ say('more.board') }}</summary>
          <StepBoard :purchase="purchase" :now="answer.now" />
        </details>
        <p v-if="failed" class="complaint" role="alert">{{ failed }}</p>
      </template>
      <p v-if="!answer.exact" class="quiet">{{ say('more.greedy') }}</p>
      <p v-if="notNeeded.length > 0" class="quiet">{{ say('more.not_needed', { names: listed('and', notNeeded) }) }}</p>
      <details v-if="place">
        <summary>{{ say('more.weakest', { place }) }}</summary>
        <ul class="never">
          <li v-for="s in stranded" :key="s.cause">
            {{ s.cause }} <span class="quiet">{{ listed('comma', s.cars) }}</span>
          </li>
        </ul>
      </details>
      <p v-if="answer.open.length > 0" class="quiet">{{ say('more.open', { n: answer.open.length }) }}</p>
      <details v-if="never.length > 0">
        <summary>{{ say('more.never', { n: answer.never.length }) }}</summary>
        <ul class="never">
          <li v-for="n in never" :key="n.reason + listed('comma', n.changes)">
            {{ n.reason }}
            <span v-if="n.changes.length > 0" class="quiet">
              {{ say('more.changes', { changes: listed('dot', n.changes) }) }}
            </span>
            <div class="pairs">
              <TextButton v-for="p in n.pairs" :key="p.outlet + p.vehicle" @click="why(p)">{{ pair(p) }}</TextButton>
            </div>
          </li>
        </ul>
      </details>
      <details v-if="garage.cars.length > 1">
        <summary>{{ say('more.together') }}</summary>
        <p class="quiet">{{ say('more.together_how') }}</p>
        <label v-for="v in garage.cars" :key="v.id" class="car">
          <input v-model="together" type="checkbox" :value="v.id" /> {{ v.name }}
        </label>
      </details>
    </template>
  </aside>
</template>

<style scoped>
.one-more {
  position: sticky;
  top: var(--space-6);
  padding-inline-start: var(--space-8);
  border-inline-start: 1px solid var(--line);
  font-size: var(--size-small);
}

h2 {
  margin: 0 0 var(--space-2);
  font-size: var(--size-title);
}

h3 {
  margin: var(--space-6) 0 var(--space-3);
  font-size: var(--size-text);
}

p {
  margin: var(--space-3) 0;
}

.stairs {
  display: flex;
  align-items: flex-end;
  min-height: 180px;
  margin-top: var(--space-6);
}

.step {
  flex: 1;
  min-width: 0;
  max-width: 92px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: start;
  cursor: pointer;
}

.bar {
  position: relative;
  display: block;
  border: 1.5px solid var(--ink);
  background: var(--ink-wash);
}

.here .bar {
  background: var(--copper-wash);
  outline: 2.5px solid var(--copper);
}

.count {
  position: absolute;
  top: var(--space-1);
  inset-inline-start: var(--space-3);
  z-index: 1;
  padding: 0 var(--space-1);
  background: var(--paper-raised);
  font-family: var(--face-wide);
  font-size: var(--size-lead);
  font-weight: 700;
}

.twice {
  position: absolute;
  inset-inline-end: 0;
  bottom: 0;
  inset-inline-start: 0;
  overflow: hidden;
  padding-inline-start: var(--space-3);
  background: var(--ink);
  color: var(--on-ink);
  forced-color-adjust: none;
  line-height: 1.3;
  display: flex;
  align-items: flex-end;
}

.label {
  display: block;
  overflow-wrap: anywhere;
  padding: var(--space-1) var(--space-1) 0;
}

.charge {
  color: var(--ochre-text);
  font-weight: 600;
}

.pieces,
.never {
  margin: 0;
  padding: 0;
  list-style: none;
}

.pieces li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-4);
  align-items: center;
}

.pieces :deep(svg) {
  width: 30px;
  height: 36px;
}

.reached {
  width: 100%;
  border-collapse: collapse;
}

caption {
  text-align: start;
}

.reached td {
  padding: var(--space-2) 0;
  border-bottom: 1px solid var(--line);
}

.reached td:last-child {
  text-align: end;
  white-space: nowrap;
}

details {
  margin-top: var(--space-4);
}

summary {
  min-height: 28px;
  cursor: pointer;
}

.never li {
  padding: var(--space-2) 0;
}

.pairs {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-6);
}

.car {
  display: flex;
  gap: var(--space-3);
  align-items: center;
  min-height: 28px;
}

@media (width <= 1000px) {
  .one-more {
    position: static;
    margin-top: var(--space-9);
    padding: var(--space-7) 0 0;
    border-top: 1px solid var(--line);
    border-inline-start: 0;
  }
}
</style>
