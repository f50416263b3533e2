<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import type { components } from '@/api/schema';
import { useAccount } from '@/stores/account';
import { useBoard } from '@/stores/board';
import { useCatalogue } from '@/stores/catalogue';
import { useGarage } from '@/stores/garage';
import CouplerFace from '@/ui/CouplerFace.vue';
import TextButton from '@/ui/TextButton.vue';
import { useAttempt } from '@/ui/useAttempt';
import { say, type Code } from '@/words/say';
import KindLinks from './KindLinks.vue';

/** A few questions about the look of a plug, leading to a row, a column, an adapter or a kind in the catalogue. */
const emit = defineEmits<{ found: [outletId: string | null] }>();

type Marks = components['schemas']['Catalogue']['marks'][number];
const subjects = ['connector', 'inlet', 'adapter'] as const;
type Subject = (typeof subjects)[number];
const subjectWords: Record<Subject, Code> = {
  connector: 'identify.connector',
  inlet: 'identify.inlet',
  adapter: 'identify.adapter',
};

const garage = useGarage();
const board = useBoard();
const account = useAccount();
const catalogue = useCatalogue();
const marks = computed(() => catalogue.catalogue?.marks ?? []);
const subject = ref<Subject>('connector');
const bigBelow = ref<boolean | null>(null);
const contacts = ref<number | null>(null);
const first = ref<Marks | null>(null);
const chosen = ref<Marks | null>(null);
const { error, attempt } = useAttempt();

onMounted(() => attempt(catalogue.load));

const left = computed(() => marks.value.filter((m) => bigBelow.value === null || m.big_below === bigBelow.value));
const counts = computed(() => [...new Set(left.value.map((m) => m.contacts))].sort((a, b) => a - b));
const candidates = computed(() => left.value.filter((m) => contacts.value === null || m.contacts === contacts.value));
const question = computed(() =>
  subject.value === 'adapter' ? say(first.value ? 'identify.car_side' : 'identify.charger_side') : '',
);

const outlets = computed(() => garage.outlets.filter((o) => o.spec.coupler === chosen.value?.coupler));
const cars = computed(() =>
  garage.vehicles.filter((v) => v.spec.inlets.some((i) => i.coupler === chosen.value?.coupler)),
);
const pieces = computed(() =>
  garage.adapters.filter((a) => a.spec.input === first.value?.coupler && a.spec.output === chosen.value?.coupler),
);
/** Of the catalogue, for somebody who has none of these yet. */
const kinds = computed(() =>
  subject.value === 'adapter'
    ? catalogue.adapters
        .filter((k) => k.adapter.input === first.value?.coupler && k.adapter.output === chosen.value?.coupler)
        .map((k) => ({ name: k.name, to: { path: '/kit', query: { adapter: k.id } } }))
    : catalogue.chargers
        .filter((k) => k.outlet.coupler === chosen.value?.coupler)
        .map((k) => ({ name: k.name, to: { path: '/kit', query: { charger: k.id } } })),
);

function again(): void {
  bigBelow.value = contacts.value = first.value = chosen.value = null;
}

function pick(m: Marks): void {
  if (subject.value === 'adapter' && !first.value) {
    first.value = m;
    bigBelow.value = contacts.value = null;
  } else {
    chosen.value = m;
  }
}

function toRow(outletId: string): void {
  board.only = null;
  emit('found', outletId);
}

function toColumn(vehicleId: string): void {
  board.only = vehicleId;
  emit('found', null);
}
</script>

<template>
  <div class="key">
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <fieldset>
      <legend>{{ say('identify.look_at') }}</legend>
      <label v-for="s in subjects" :key="s">
        <input v-model="subject" type="radio" name="subject" :value="s" @change="again" />
        {{ say(subjectWords[s]) }}
      </label>
    </fieldset>
    <template v-if="!chosen">
      <h3 v-if="question">{{ question }}</h3>
      <fieldset>
        <legend>{{ say('identify.below') }}</legend>
        <label
          ><input v-model="bigBelow" type="radio" name="below" :value="true" @change="contacts = null" />
          {{ say('entry.yes') }}</label
        >
        <label
          ><input v-model="bigBelow" type="radio" name="below" :value="false" @change="contacts = null" />
          {{ say('entry.no') }}</label
        >
      </fieldset>
      <fieldset v-if="bigBelow !== null">
        <legend>{{ say('identify.how_many') }}</legend>
        <label v-for="n in counts" :key="n">
          <input v-model="contacts" type="radio" name="contacts" :value="n" />
          {{ n === 0 ? say('identify.no_contacts') : n }}
        </label>
      </fieldset>
      <p class="quiet">{{ say('identify.which') }}</p>
      <ul class="faces">
        <li v-for="m in candidates" :key="m.coupler">
          <button type="button" class="plain-button" @click="pick(m)">
            <CouplerFace :coupler="m.coupler" />
            <strong>{{ m.name }}</strong>
            <span class="quiet">{{ m.seen }}</span>
          </button>
        </li>
      </ul>
    </template>
    <div v-else class="result">
      <CouplerFace :coupler="chosen.coupler" class="big" />
      <div>
        <h3>
          {{
            subject === 'adapter' ? say('identify.pair', { charger: first?.name ?? '', car: chosen.name }) : chosen.name
          }}
        </h3>
        <p>{{ chosen.words }}</p>
        <template v-if="chosen.historic"
          ><p>{{ say('identify.historic') }}</p></template
        >
        <template v-else-if="subject === 'connector'">
          <p class="quiet">
            {{ outlets.length > 0 ? say('identify.on_board') : say('identify.not_on_board') }}
          </p>
          <p v-for="o in outlets" :key="o.id">
            <TextButton @click="toRow(o.id)">{{ o.name }}</TextButton>
          </p>
          <KindLinks v-if="outlets.length === 0 && account.may('edit')" :kinds="kinds" />
        </template>
        <template v-else-if="subject === 'inlet'">
          <p class="quiet">
            {{ cars.length > 0 ? say('identify.cars') : say('identify.no_cars') }}
          </p>
          <p v-for="v in cars" :key="v.id">
            <TextButton @click="toColumn(v.id)">{{ v.name }}</TextButton>
          </p>
        </template>
        <template v-else>
          <p class="quiet">{{ pieces.length > 0 ? say('identify.in_crate') : say('identify.not_in_crate') }}</p>
          <p v-for="a in pieces" :key="a.id">
            <RouterLink :to="{ path: '/kit', query: { find: a.name } }">{{
              say('rail.tagged', { tag: a.tag, name: a.name })
            }}</RouterLink>
          </p>
          <KindLinks v-if="pieces.length === 0 && account.may('edit')" :kinds="kinds" />
        </template>
        <TextButton @click="again">{{ say('identify.again') }}</TextButton>
      </div>
    </div>
  </div>
</template>

<style scoped>
.key {
  display: flex;
  flex-direction: column;
  gap: var(--space-6);
}

fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-8);
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0;
  font-weight: 650;
}

.faces {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(112px, 1fr));
  gap: var(--space-4);
  margin: 0;
  padding: 0;
  list-style: none;
}

.faces button {
  display: flex;
  flex-direction: column;
  align-items: center;
  width: 100%;
  padding: var(--space-4);
  border: 1.5px solid var(--line);
}

.faces button:hover {
  border-color: var(--ink);
}

.faces .quiet {
  text-align: center;
  line-height: 1.25;
}

.faces svg {
  height: 84px;
}

.result {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: var(--space-8);
}

.big {
  width: 150px;
}
</style>
