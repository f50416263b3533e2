<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { api, ask } from '@/api/client';
import { withValue } from '@/api/dotted';
import { useAccount } from '@/stores/account';
import { useCatalogue } from '@/stores/catalogue';
import { useEdit, type Draft, type Found, type PieceKind } from '@/stores/edit';
import { useExperience } from '@/stores/experience';
import { useGarage } from '@/stores/garage';
import CarsSubject from './cars/CarsSubject.vue';
import CrateSubject from './crate/CrateSubject.vue';
import NetworkList from './NetworkList.vue';
import OcpiImport from './OcpiImport.vue';
import PlacesSubject from './places/PlacesSubject.vue';
import PrintHead from '@/rail/PrintHead.vue';
import PlateEditor from './PlateEditor.vue';
import RecentlyDeleted from './RecentlyDeleted.vue';
import SeveralForm from './SeveralForm.vue';
import FilterBar from './FilterBar.vue';
import ShopSubject from './shop/ShopSubject.vue';
import { useSubjects, type Subject } from './subjects';
import TourList from './TourList.vue';
import { useFilters } from './useFilters';
import { provideKitActions } from './useKitActions';
import { useAttempt } from '@/ui/useAttempt';
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
const SUBJECTS: readonly Subject[] = ['crate', 'cars', 'places', 'tours', 'shop'];
const subject = computed<Subject>(() => SUBJECTS.find((s) => s === route.params.subject) ?? 'crate');
const subjects = useSubjects();
/** While something is looked for, the switch counts what was found. */
const shown = computed(() => {
  const found: Partial<Record<Subject, number>> = {
    crate: filtered.adapters.value.length,
    cars: filtered.vehicles.value.length,
    places: filtered.places.value.length,
  };
  return subjects.value.map((s) => ({ ...s, count: filtered.isFiltered.value ? (found[s.name] ?? s.count) : s.count }));
});
const here = computed(() => shown.value.find((s) => s.name === subject.value));
const isList = computed(() => ['crate', 'cars', 'places'].includes(subject.value));
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
/** The shop's questions are there without a network once Kit was open. */
onMounted(() => void ask(api.GET('/vetting')).catch(() => null));
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
  wishes: 'kit.new_wishes',
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

/** The next tag that is free, which may be changed. */
function freeTag(): string {
  const taken = garage.adapters.map((a) => a.tag);
  let n = 1;
  while (taken.includes(`A${n}`)) {
    n++;
  }
  return `A${n}`;
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

const remove = (kind: PieceKind, id: string, name: string): Promise<void> => attempt(() => edit.remove(kind, id, name));

function set(id: string, figures: Record<string, unknown>): Promise<void> {
  return attempt(async () => {
    const found = edit.find(id);
    if (found) {
      const spec = Object.entries(figures).reduce(
        (all, [path, value]) => withValue(all, path, value),
        found.draft.spec ?? {},
      );
      await edit.change(found, { ...found.draft, spec });
    }
  });
}

provideKitActions({
  open,
  begin,
  copy,
  remove,
  set,
  freeTag,
  choice: choiceOf,
  choose: (kind, id, isChosen) => filtered.choose(kind, id, isChosen),
});

const catalogue = useCatalogue();
/** A kind that was found elsewhere, as by *What is this plug?*, is opened at once. */
onMounted(async () => {
  const { charger, adapter, piece } = route.query;
  if (typeof piece === 'string') {
    // A label was scanned: its plate opens, or stands alone for those who may not edit it.
    await router.replace({ query: {} });
    if (account.may('edit')) {
      open(piece);
    } else {
      filtered.wanted.words = garage.adapter(piece)?.name ?? '';
    }
    return;
  }
  const place = garage.places[0];
  if (!account.may('edit') || (charger === undefined && adapter === undefined)) {
    return;
  }
  await attempt(catalogue.load);
  const start = catalogue.charger(String(charger)) ?? catalogue.adapter(String(adapter));
  await router.replace({ path: charger === undefined ? '/kit' : '/kit/places', query: {} });
  if (start && charger !== undefined && place) {
    begin('outlets', { ...start.draft, place: place.id }, start.read);
  } else if (start && charger !== undefined) {
    // A charger stands somewhere: its place comes first.
    begin('places', { name: '' });
  } else if (start && adapter !== undefined) {
    begin('adapters', { ...start.draft, tag: freeTag() }, [say('kit.read_adapter')]);
  }
});
</script>

<template>
  <div class="kit" :class="{ settling: !isSettled }">
    <header>
      <h1>{{ say('kit.title') }}</h1>
      <nav class="subjects screen-only" :aria-label="say('kit.title')">
        <RouterLink
          v-for="s in shown"
          :key="s.name"
          :to="s.path"
          class="subject"
          :class="{ here: s.name === subject }"
          :aria-current="s.name === subject ? 'page' : undefined"
        >
          {{ say(s.title) }} <span class="n">{{ s.count }}</span>
          <span v-if="s.due > 0" class="due">
            {{ s.due }} <span class="due-words">{{ say('subject.due') }}</span></span
          >
        </RouterLink>
      </nav>
    </header>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>

    <FilterBar
      v-if="isList"
      v-model="filtered.wanted"
      :choosing="filtered.isChoosing.value"
      :couplers="filtered.couplers.value"
      :networks="filtered.networks.value"
      :can-edit="account.may('edit')"
      @update:choosing="(on: boolean) => (on ? filtered.begin() : filtered.stop())"
    />
    <p v-if="isList && filtered.isFiltered.value && here?.count === 0" class="quiet" role="status">
      {{ say('filter.nothing') }}
    </p>

    <div class="subject-body">
      <CrateSubject
        v-if="subject === 'crate'"
        :adapters="filtered.adapters.value"
        :is-filtered="filtered.isFiltered.value"
      />
      <CarsSubject
        v-else-if="subject === 'cars'"
        :vehicles="filtered.vehicles.value"
        :is-filtered="filtered.isFiltered.value"
      />
      <PlacesSubject
        v-else-if="subject === 'places'"
        :places="filtered.places.value"
        :is-filtered="filtered.isFiltered.value"
        @import="importing = true"
      />
      <template v-else-if="subject === 'tours'">
        <!-- Tours and what to set up for them are a sheet of their own. -->
        <PrintHead />
        <TourList />
        <NetworkList />
      </template>
      <ShopSubject v-else />
    </div>

    <SeveralForm
      v-if="filtered.isChoosing.value && filtered.chosenKind.value"
      :kind="filtered.chosenKind.value"
      :ids="filtered.chosen.value"
      @all="filtered.chooseAll"
    />
    <RecentlyDeleted v-if="account.may('record')" class="screen-only" />

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
.settling > .subject-body {
  visibility: hidden;
}

.kit {
  max-width: 1320px;
  margin: 0 auto;
  padding: var(--space-6) var(--space-8) var(--space-11);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-9);
  align-items: center;
}

h1 {
  margin: 0;
}

.subjects {
  display: flex;
  flex-wrap: wrap;
  background: var(--paper-sunk);
}

.subject {
  display: flex;
  gap: var(--space-3);
  align-items: baseline;
  min-height: 44px;
  padding: var(--space-5) var(--space-6);
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
}

.subject:hover {
  background: var(--ink-wash);
}

.subject.here {
  background: var(--ink);
  forced-color-adjust: none;
  color: var(--on-ink);
}

.n {
  font-weight: 400;
}

.due {
  padding: 0 var(--space-2);
  border: 1px solid currentcolor;
  font-size: var(--size-note);
}

@media (width <= 720px) {
  .subjects {
    width: 100%;
  }

  .subject {
    flex: 1 0 auto;
    padding: var(--space-4) var(--space-5);
    font-size: var(--size-label);
  }

  .due-words {
    position: absolute;
    overflow: hidden;
    width: 1px;
    height: 1px;
    clip-path: inset(50%);
  }
}
</style>
