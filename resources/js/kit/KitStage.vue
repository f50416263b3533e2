<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { pricePlate } from '@/plates/lines';
import { useAccount } from '@/stores/account';
import { useCatalogue, type Start } from '@/stores/catalogue';
import { useEdit, type Draft, type Found, type PieceKind } from '@/stores/edit';
import { useExperience } from '@/stores/experience';
import { useGarage } from '@/stores/garage';
import AdapterTrust from './AdapterTrust.vue';
import CatalogueStart from './CatalogueStart.vue';
import HabitsForm from './HabitsForm.vue';
import LearnedCurve from './LearnedCurve.vue';
import NetworkList from './NetworkList.vue';
import OcpiImport from './OcpiImport.vue';
import PrintHead from '@/rail/PrintHead.vue';
import PlateCard from './PlateCard.vue';
import PlateEditor from './PlateEditor.vue';
import RecentlyDeleted from './RecentlyDeleted.vue';
import SeveralForm from './SeveralForm.vue';
import FilterBar from './FilterBar.vue';
import TourList from './TourList.vue';
import { useFilters } from './useFilters';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say, type Code } from '@/words/say';

const route = useRoute();
const router = useRouter();
const garage = useGarage();
const account = useAccount();
const edit = useEdit();
const experience = useExperience();
/** What is being edited; a piece that is new has no id yet. */
const opened = ref<{ kind: PieceKind; found: Found | null; draft: Draft; read: string[] } | null>(null);
const importing = ref(false);
/** A closed import is there when it is opened again; one that is done is followed by a new one. */
const imports = ref(0);
function imported(): void {
  importing.value = false;
  imports.value++;
}

const { error, attempt } = useAttempt();

const filtered = useFilters(typeof route.query.find === 'string' ? route.query.find : '');
/** Of a piece (characters). */
const LONGEST_NAME = 120;
/** A region is not drawn at once. */
const MOST_PLACES = 40;
const most = ref(MOST_PLACES);
const shownPlaces = computed(() => filtered.places.value.slice(0, most.value));
const found = computed(
  () => filtered.vehicles.value.length + filtered.adapters.value.length + filtered.places.value.length,
);
const choiceOf = (kind: PieceKind, id: string) =>
  filtered.isChoosing.value
    ? {
        isChosen: filtered.chosen.value.includes(id),
        isOpen: filtered.chosenKind.value === null || filtered.chosenKind.value === kind,
      }
    : undefined;

/** What the plates and the log say of each piece makes its card longer: cards come with it, unless that takes long (ms). */
const LONGEST_MS = 1_000;
const isSettled = ref(false);
onMounted(async () => {
  const all = Promise.all([attempt(garage.loadPlates), experience.loadMemory(), experience.loadTrust()]);
  await Promise.race([all, new Promise((late) => setTimeout(late, LONGEST_MS))]);
  isSettled.value = true;
});

const newOnes: Record<PieceKind, Code> = {
  vehicles: 'kit.new_vehicles',
  adapters: 'kit.new_adapters',
  outlets: 'kit.new_outlets',
  places: 'kit.new_places',
  networks: 'kit.new_networks',
  tours: 'kit.new_tours',
};
const drawerTitle = computed(() => {
  const at = opened.value;
  return !at ? '' : at.found ? say('kit.edit_one', { name: at.draft.name }) : say(newOnes[at.kind]);
});

function open(id: string): void {
  const found = edit.find(id);
  opened.value = found && { kind: found.kind, found, draft: found.draft, read: [] };
}

function begin(kind: PieceKind, draft: Draft, read: string[] = []): void {
  opened.value = { kind, found: null, draft, read };
}

function beginOutlet({ draft, read }: Start, place: string): void {
  begin('outlets', { ...draft, place }, read);
}

/** The next tag that is free, which may be changed. */
function freeTag(): string {
  const taken = garage.adapters.map((a) => a.tag);
  let n = 1;
  while (taken.includes(`A${n}`)) {
    n++;
  }
  return `A${n}`;
}

function beginAdapter({ draft }: Start): void {
  begin('adapters', { ...draft, tag: freeTag() }, [say('kit.read_adapter')]);
}

/** A second one of the same, under a name of its own: what was read on the first is taken over, and the undo takes it away. */
function copy(id: string): Promise<void> {
  return attempt(async () => {
    const found = edit.find(id);
    if (found) {
      const { draft, kind } = found;
      const tag = kind === 'adapters' ? { tag: freeTag() } : {};
      await edit.create(kind, {
        ...draft,
        ...tag,
        name: say('kit.copy_of', { name: draft.name }).slice(0, LONGEST_NAME),
      });
    }
  });
}

const copyPlace = ({ id, name }: { id: string; name: string }) =>
  attempt(async () => void (await edit.copyPlace(id, say('kit.copy_of', { name }).slice(0, LONGEST_NAME))));

const catalogue = useCatalogue();
/** A kind that was found elsewhere, as by *What is this plug?*, is opened at once. */
onMounted(async () => {
  const { charger, adapter } = route.query;
  const place = garage.places[0];
  if (!account.may('edit') || (charger === undefined && adapter === undefined)) {
    return;
  }
  await attempt(catalogue.load);
  const start = catalogue.charger(String(charger)) ?? catalogue.adapter(String(adapter));
  await router.replace({ query: {} });
  if (start && charger !== undefined && place) {
    beginOutlet(start, place.id);
  } else if (start && charger !== undefined) {
    // A charger stands somewhere: its place comes first.
    begin('places', { name: '' });
  } else if (start && adapter !== undefined) {
    beginAdapter(start);
  }
});

const newCar = (): Draft => ({
  name: say('kit.new_car_name'),
  blurb: '',
  spec: { pack: {}, inlets: [{ coupler: 'ccs1', dc: { boost_converter: null }, ac: {} }] },
});
</script>

<template>
  <div class="kit" :class="{ settling: !isSettled }">
    <header>
      <div>
        <h1>{{ say('kit.title') }}</h1>
        <p class="quiet">{{ say('kit.lead') }}</p>
      </div>
    </header>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>

    <FilterBar
      v-model="filtered.wanted"
      :choosing="filtered.isChoosing.value"
      :couplers="filtered.couplers.value"
      :networks="filtered.networks.value"
      :can-edit="account.may('edit')"
      @update:choosing="(on: boolean) => (on ? filtered.begin() : filtered.stop())"
    />
    <p v-if="filtered.isFiltered.value && found === 0" class="quiet" role="status">{{ say('filter.nothing') }}</p>

    <section v-if="!filtered.isFiltered.value || filtered.vehicles.value.length > 0" aria-labelledby="cars-title">
      <div class="section-head">
        <h2 id="cars-title">{{ say('kit.cars') }}</h2>
        <span v-if="account.may('edit')" class="acts adds">
          <RouterLink to="/new-car" class="text-button">{{ say('kit.add_car') }}</RouterLink>
          <TextButton @click="begin('vehicles', newCar())">
            {{ say('kit.whole_plate') }}
          </TextButton>
        </span>
      </div>
      <div class="cards">
        <PlateCard
          v-for="v in filtered.vehicles.value"
          :key="v.id"
          :name="v.name"
          :blurb="v.blurb"
          :lines="v.lines"
          :unread="filtered.unreadOf(v.id)"
          :choice="choiceOf('vehicles', v.id)"
          is-copied
          @choose="filtered.choose('vehicles', v.id, $event)"
          @edit="open(v.id)"
          @copy="copy(v.id)"
          @remove="attempt(() => edit.remove('vehicles', v.id, v.name))"
        >
          <p v-if="experience.gradeOf(v.id)" class="quiet small">{{ experience.gradeOf(v.id)?.words }}</p>
          <LearnedCurve v-if="experience.learnedOf(v.id)" :vehicle="v" :learned="experience.learnedOf(v.id)!" />
        </PlateCard>
      </div>
    </section>

    <section v-if="!filtered.isFiltered.value || filtered.adapters.value.length > 0" aria-labelledby="adapters-title">
      <div class="section-head">
        <h2 id="adapters-title">{{ say('kit.adapters') }}</h2>
        <CatalogueStart v-if="account.may('edit')" what="adapters" @begin="beginAdapter" />
      </div>
      <div class="cards">
        <PlateCard
          v-for="a in filtered.adapters.value"
          :key="a.id"
          :tag="a.tag"
          :name="a.name"
          :blurb="a.blurb"
          :lines="a.lines"
          :unread="filtered.unreadOf(a.id)"
          :choice="choiceOf('adapters', a.id)"
          is-copied
          @choose="filtered.choose('adapters', a.id, $event)"
          @edit="open(a.id)"
          @copy="copy(a.id)"
          @remove="attempt(() => edit.remove('adapters', a.id, a.name))"
        >
          <AdapterTrust v-if="experience.trustIn(a.id)" :trust="experience.trustIn(a.id)!" />
        </PlateCard>
      </div>
    </section>

    <section v-for="p in shownPlaces" :key="p.id" :aria-label="p.name">
      <div class="section-head">
        <h2>{{ p.name }}</h2>
        <span class="acts">
          <TextButton v-if="account.may('edit')" :words="say('kit.rename')" :of="p.name" @click="open(p.id)" />
          <TextButton v-if="account.may('edit')" :words="say('kit.copy')" :of="p.name" @click="copyPlace(p)" />
          <TextButton
            v-if="account.may('keep')"
            :words="say('kit.remove')"
            :of="p.name"
            @click="attempt(() => edit.remove('places', p.id, p.name))"
          />
        </span>
        <CatalogueStart v-if="account.may('edit')" :place="p.name" what="chargers" @begin="beginOutlet($event, p.id)" />
      </div>
      <div class="cards">
        <PlateCard
          v-for="o in p.outlets"
          :key="o.id"
          :name="o.name"
          :blurb="o.blurb"
          :lines="[...garage.linesOf(o.id), pricePlate(o)]"
          :unread="filtered.unreadOf(o.id)"
          :choice="choiceOf('outlets', o.id)"
          @choose="filtered.choose('outlets', o.id, $event)"
          @edit="open(o.id)"
          @remove="attempt(() => edit.remove('outlets', o.id, o.name))"
        >
          <p v-for="line in experience.troubleAt(o.id)" :key="line" class="trouble small">{{ line }}</p>
        </PlateCard>
      </div>
    </section>
    <p v-if="shownPlaces.length < filtered.places.value.length">
      <TextButton @click="most += MOST_PLACES">
        {{ say('filter.more', { n: filtered.places.value.length - shownPlaces.length }) }}
      </TextButton>
    </p>
    <SeveralForm
      v-if="filtered.isChoosing.value && filtered.chosenKind.value"
      :kind="filtered.chosenKind.value"
      :ids="filtered.chosen.value"
      @all="filtered.chooseAll"
    />
    <p class="places">
      <TextButton v-if="account.may('edit')" @click="begin('places', { name: '' })">
        {{ say('kit.add_place') }}
      </TextButton>
      <TextButton v-if="account.may('keep')" @click="importing = true">
        {{ say('kit.import') }}
      </TextButton>
      <a class="text-button" href="/api/ocpi/export" download="harmozon-locations.json">{{ say('kit.export') }}</a>
    </p>
    <!-- Tours and what to set up for them are a sheet of their own. -->
    <PrintHead class="sheet" />
    <TourList />
    <NetworkList />
    <RecentlyDeleted v-if="account.may('record')" class="screen-only" />
    <section v-if="account.may('keep')" aria-labelledby="habits-title">
      <div class="section-head">
        <h2 id="habits-title">{{ say('habits.title') }}</h2>
      </div>
      <HabitsForm />
    </section>

    <el-drawer
      :model-value="opened !== null"
      size="min(640px, 100%)"
      :title="drawerTitle"
      destroy-on-close
      @close="opened = null"
    >
      <PlateEditor
        v-if="opened"
        :key="opened.found?.id ?? opened.draft.name"
        :found="opened.found"
        :kind="opened.kind"
        :start="opened.draft"
        :read="opened.read"
        @done="opened = null"
      />
    </el-drawer>
    <el-dialog v-model="importing" :title="say('kit.import_title')" width="min(640px, 94%)">
      <OcpiImport :key="imports" @done="imported" />
    </el-dialog>
  </div>
</template>

<style scoped>
.settling > section {
  visibility: hidden;
}

@media print {
  .sheet {
    break-before: page;
  }
}

.small {
  font-size: var(--size-small);
}

.trouble {
  color: var(--ochre-text);
}

.kit {
  max-width: 1200px;
  margin: 0 auto;
  padding: var(--space-7) var(--space-8) var(--space-11);
}

.acts {
  display: flex;
  gap: var(--space-7);
  margin-right: auto;
  font-size: var(--size-small);
}

.adds {
  margin-right: 0;
}

.adds a {
  text-decoration: none;
}

.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(258px, 1fr));
  gap: var(--space-5);
}

.places {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
  margin-top: var(--space-9);
}

.places a {
  text-decoration: none;
}
</style>
