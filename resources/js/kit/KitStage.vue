<script setup lang="ts">
import { ref } from 'vue';
import { adapterPlate, inletPlate, outletPlate, pricePlate, packPlate } from '@/rail/plates';
import { useEdit, type Draft, type PieceKind } from '@/stores/edit';
import { useGarage } from '@/stores/garage';
import CatalogueStart from './CatalogueStart.vue';
import OcpiImport from './OcpiImport.vue';
import PlateCard from './PlateCard.vue';
import PlateEditor from './PlateEditor.vue';
import { useAttempt } from '@/ui/useAttempt';

const garage = useGarage();
const edit = useEdit();
const opened = ref<{ kind: PieceKind; id: string | null; draft: Draft; read: string[] } | null>(null);
const importing = ref(false);
const { error, attempt } = useAttempt();

const words: Record<PieceKind, string> = { vehicles: 'car', adapters: 'adapter', outlets: 'outlet', places: 'place' };

function open(id: string): void {
  const found = edit.draftOf(id);
  opened.value = found && { ...found, id, read: [] };
}

function begin(kind: PieceKind, draft: Draft, read: string[] = []): void {
  opened.value = { kind, id: null, draft, read };
}

const newCar = (): Draft => ({
  name: 'New car',
  blurb: '',
  spec: { pack: {}, inlets: [{ coupler: 'ccs1', dc: { boost_converter: null }, ac: {} }] },
});
</script>

<template>
  <div class="kit">
    <header>
      <div>
        <h1>Kit</h1>
        <p class="quiet">
          Cars, adapters and charging places as plates to read and edit. How much of each adapter is proven, and the
          smallest kit for these cars and places, will stand here later.
        </p>
      </div>
    </header>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>

    <section aria-labelledby="cars-title">
      <div class="head">
        <h2 id="cars-title">Cars</h2>
        <button type="button" class="text-button" @click="begin('vehicles', newCar())">Add a car</button>
      </div>
      <div class="cards">
        <PlateCard
          v-for="v in garage.vehicles"
          :key="v.id"
          :name="v.name"
          :blurb="v.blurb"
          :lines="[packPlate(v), ...v.spec.inlets.map((i) => `${i.coupler}: ${inletPlate(i, i.dc ? 'dc' : 'ac')}`)]"
          @edit="open(v.id)"
          @remove="attempt(() => edit.remove('vehicles', v.id, v.name))"
        />
      </div>
    </section>

    <section aria-labelledby="adapters-title">
      <div class="head">
        <h2 id="adapters-title">Adapters</h2>
        <CatalogueStart what="adapters" @begin="(draft, read) => begin('adapters', draft, read)" />
      </div>
      <div class="cards">
        <PlateCard
          v-for="a in garage.adapters"
          :key="a.id"
          :tag="a.tag"
          :name="a.name"
          :blurb="a.blurb"
          :lines="[adapterPlate(a)]"
          @edit="open(a.id)"
          @remove="attempt(() => edit.remove('adapters', a.id, a.name))"
        />
      </div>
    </section>

    <section v-for="p in garage.places" :key="p.id" :aria-label="p.name">
      <div class="head">
        <h2>{{ p.name }}</h2>
        <span class="acts">
          <button type="button" class="text-button" @click="open(p.id)">
            Rename<span class="sr-only"> {{ p.name }}</span>
          </button>
          <button type="button" class="text-button" @click="attempt(() => edit.remove('places', p.id, p.name))">
            Remove<span class="sr-only"> {{ p.name }}</span>
          </button>
        </span>
        <CatalogueStart what="chargers" @begin="(draft, read) => begin('outlets', { ...draft, place: p.id }, read)" />
      </div>
      <div class="cards">
        <PlateCard
          v-for="o in p.outlets"
          :key="o.id"
          :name="o.name"
          :blurb="o.blurb"
          :lines="[`${o.spec.coupler}: ${outletPlate(o)}`, pricePlate(o)]"
          @edit="open(o.id)"
          @remove="attempt(() => edit.remove('outlets', o.id, o.name))"
        />
      </div>
    </section>
    <p class="places">
      <button type="button" class="text-button" @click="begin('places', { name: 'New place' })">Add a place</button>
      <button type="button" class="text-button" @click="importing = true">Import places (OCPI)</button>
      <a class="text-button" href="/api/ocpi/export" download="harmozon-locations.json">Export places (OCPI)</a>
    </p>

    <el-drawer
      :model-value="opened !== null"
      size="min(640px, 100%)"
      :title="opened ? (opened.id ? `Edit ${opened.draft.name}` : `New ${words[opened.kind]}`) : ''"
      destroy-on-close
      @close="opened = null"
    >
      <PlateEditor
        v-if="opened"
        :id="opened.id"
        :key="opened.id ?? opened.draft.name"
        :kind="opened.kind"
        :start="opened.draft"
        :read="opened.read"
        @done="opened = null"
      />
    </el-drawer>
    <el-dialog v-model="importing" title="Import charging places" width="min(640px, 94%)" destroy-on-close>
      <OcpiImport @done="importing = false" />
    </el-dialog>
  </div>
</template>

<style scoped>
.kit {
  max-width: 1200px;
  margin: 0 auto;
  padding: 18px 20px 40px;
}

.head {
  display: flex;
  gap: 16px;
  align-items: baseline;
  justify-content: space-between;
  margin: 22px 0 8px;
  padding-bottom: 4px;
  border-bottom: 1.5px solid var(--ink);
}

.acts {
  display: flex;
  gap: 16px;
  margin-right: auto;
  font-size: 13.5px;
}

.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(258px, 1fr));
  gap: 10px;
}

.places {
  display: flex;
  flex-wrap: wrap;
  gap: 22px;
  margin-top: 24px;
}

.places a {
  text-decoration: none;
}
</style>
