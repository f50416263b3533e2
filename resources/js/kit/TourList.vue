<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Tour } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useDraft } from '@/stores/drafts';
import { useEdit, type Found } from '@/stores/edit';
import { useGarage } from '@/stores/garage';
import { day } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';
import PackingList from './tours/PackingList.vue';

/** Named, ordered choices of places and cars: board and ranking follow the one that is chosen. */
const garage = useGarage();
const account = useAccount();
const edit = useEdit();
const { isBusy, error, attempt } = useAttempt();

interface Draft {
  found: Found | null;
  name: string;
  places: string[];
  vehicles: string[];
  leavesOn: string;
}
/** What is being edited; closed without saving, it is open again when somebody comes back. */
const draft = ref<Draft | null>(null);
useDraft('tour', draft);
const wanted = ref('');

const placeName = (id: string) => garage.places.find((p) => p.id === id)?.name ?? say('tours.gone');
const carName = (id: string) => garage.vehicle(id)?.name ?? say('tours.gone');
const stops = (tour: Tour) => listed('comma', (tour.spec.places ?? []).map(placeName));
const cars = (tour: Tour) =>
  (tour.spec.vehicles ?? []).length === 0
    ? say('tours.every_car')
    : listed('and', (tour.spec.vehicles ?? []).map(carName));
const left = computed(() => garage.places.filter((p) => !draft.value?.places.includes(p.id)));

function open(id: string | null): void {
  const found = id === null ? null : edit.find(id);
  const spec = (found?.draft.spec ?? {}) as Tour['spec'];
  draft.value = {
    found,
    name: found?.draft.name ?? say('tours.new_name'),
    places: [...(spec.places ?? [])],
    vehicles: [...(spec.vehicles ?? [])],
    leavesOn: spec.leaves_on ?? '',
  };
}

function move(at: number, by: number): void {
  const places = draft.value?.places;
  const [one] = places?.splice(at, 1) ?? [];
  if (places && one !== undefined) {
    places.splice(Math.max(0, at + by), 0, one);
  }
}

function add(): void {
  if (wanted.value !== '') {
    draft.value?.places.push(wanted.value);
    wanted.value = '';
  }
}

const save = () =>
  attempt(async () => {
    const d = draft.value;
    if (d === null) {
      return;
    }
    const next = {
      name: d.name.trim(),
      blurb: '',
      spec: { places: d.places, vehicles: d.vehicles, leaves_on: d.leavesOn || null },
    };
    await (d.found === null ? edit.create('tours', next) : edit.change(d.found, { ...d.found.draft, ...next }));
    draft.value = null;
  });
</script>

<template>
  <section aria-labelledby="tours-title">
    <div class="section-head">
      <h2 id="tours-title">{{ say('tours.title') }}</h2>
      <p class="quiet">{{ say('tours.lead') }}</p>
      <TextButton v-if="account.may('edit')" class="new" @click="open(null)">
        {{ say('tours.add') }}
      </TextButton>
    </div>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <ul class="tours">
      <li v-for="t in garage.tours" :key="t.id">
        <strong>{{ t.name }}</strong>
        <span>{{ stops(t) }}</span>
        <span class="quiet">{{
          listed('dot', [
            cars(t),
            ...(t.spec.leaves_on ? [say('tours.leaves', { day: day(t.spec.leaves_on, 'UTC') })] : []),
          ])
        }}</span>
        <span class="acts">
          <TextButton v-if="account.may('edit')" :words="say('kit.edit')" :of="t.name" @click="open(t.id)" />
          <TextButton
            v-if="account.may('keep')"
            :words="say('kit.remove')"
            :of="t.name"
            @click="attempt(() => edit.remove('tours', t.id, t.name))"
          />
        </span>
        <PackingList class="pack" :tour="t" />
      </li>
    </ul>
    <form v-if="draft" class="draft" @submit.prevent="save">
      <label for="tour-name">{{ say('editor.name') }}</label>
      <el-input id="tour-name" v-model="draft.name" required maxlength="120" />
      <p class="label">{{ say('tours.stops') }}</p>
      <ol>
        <li v-for="(id, i) in draft.places" :key="id">
          <span>{{ placeName(id) }}</span>
          <TextButton :disabled="i === 0" :words="say('tours.earlier')" :of="placeName(id)" @click="move(i, -1)" />
          <TextButton
            :disabled="i === draft.places.length - 1"
            :words="say('tours.later')"
            :of="placeName(id)"
            @click="move(i, 1)"
          />
          <TextButton :words="say('tours.leave_out')" :of="placeName(id)" @click="draft.places.splice(i, 1)" />
        </li>
      </ol>
      <label v-if="left.length > 0">
        {{ say('tours.add_stop') }}
        <select v-model="wanted" @change="add">
          <option value="">{{ say('figure.none') }}</option>
          <option v-for="p in left" :key="p.id" :value="p.id">{{ p.name }}</option>
        </select>
      </label>
      <label class="leaves">
        {{ say('tours.leaves_on') }}
        <input v-model="draft.leavesOn" type="date" />
      </label>
      <fieldset>
        <legend>{{ say('tours.cars') }}</legend>
        <label v-for="v in garage.vehicles" :key="v.id">
          <input v-model="draft.vehicles" type="checkbox" :value="v.id" /> {{ v.name }}
        </label>
      </fieldset>
      <p class="acts">
        <el-button type="primary" native-type="submit" :loading="isBusy" :disabled="draft.places.length === 0">{{
          say('editor.keep')
        }}</el-button>
        <el-button @click="draft = null">{{ say('editor.leave') }}</el-button>
      </p>
    </form>
  </section>
</template>

<style scoped>
.new {
  margin-inline-start: auto;
}

ul,
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}

.tours li {
  display: grid;
  grid-template-columns: minmax(120px, 1fr) 2fr 1fr auto;
  gap: var(--space-2) var(--space-7);
  align-items: baseline;
  padding: var(--space-3) 0;
  border-bottom: 1px solid var(--line);
}

.pack {
  grid-column: 1 / -1;
}

.tours strong {
  font-family: var(--face-wide);
}

.acts {
  display: flex;
  gap: var(--space-6);
}

.draft {
  display: flex;
  flex-direction: column;
  gap: var(--space-4);
  max-width: 620px;
  margin-top: var(--space-5);
  padding: var(--space-6) var(--space-7);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
}

.draft .label {
  margin: var(--space-2) 0 0;
  color: var(--ink-soft);
  font-size: var(--size-small);
}

.draft ol {
  counter-reset: stop;
}

.draft ol li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-6);
  align-items: baseline;
  padding: var(--space-2) 0;
  border-bottom: 1px solid var(--line);
}

.draft ol li::before {
  counter-increment: stop;
  content: counter(stop) '.';
}

.draft ol span:first-of-type {
  flex: 1;
}

.draft button:disabled {
  color: var(--ink-faint);
}

fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-7);
  margin: 0;
  padding: 0;
  border: 0;
}

@media (width <= 720px) {
  .tours li {
    grid-template-columns: 1fr;
  }
}
</style>
