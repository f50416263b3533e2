<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Place } from '@/api/client';
import { pricePlate } from '@/plates/lines';
import { useAccount } from '@/stores/account';
import { useBoard } from '@/stores/board';
import { useEdit } from '@/stores/edit';
import { useExperience } from '@/stores/experience';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import AnyFace from '@/ui/AnyFace.vue';
import JointGlyph from '@/ui/JointGlyph.vue';
import { promised } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import CatalogueStart from '@/kit/CatalogueStart.vue';
import PieceCard from '@/kit/PieceCard.vue';
import PieceMenu from '@/kit/PieceMenu.vue';
import { useKitActions } from '@/kit/useKitActions';

/** The places: their chargers side by side, each with the joint of the car that is chosen in the rail. */
const props = defineProps<{ places: Place[]; isFiltered: boolean }>();
const emit = defineEmits<{ import: [] }>();

/** Of a place (characters). */
const LONGEST_NAME = 120;
/** A region is not drawn at once. */
const MOST_PLACES = 40;
const kit = useKitActions();
const account = useAccount();
const garage = useGarage();
const board = useBoard();
const rail = useRail();
const edit = useEdit();
const experience = useExperience();
const { error, attempt } = useAttempt();
const most = ref(MOST_PLACES);
const shown = computed(() => props.places.slice(0, most.value));
const car = computed(() => rail.vehicle);
const cell = (outlet: string) => (car.value ? board.cell(outlet, car.value.id) : undefined);

const copyPlace = ({ id, name }: Place) =>
  attempt(async () => void (await edit.copyPlace(id, say('kit.copy_of', { name }).slice(0, LONGEST_NAME))));
</script>

<template>
  <div>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <p v-if="places.length === 0 && !isFiltered" class="quiet">{{ say('places.empty') }}</p>
    <p v-if="car && places.length > 0" class="quiet">{{ say('places.for_car', { car: car.name }) }}</p>
    <section v-for="p in shown" :key="p.id" :aria-label="p.name" class="far">
      <div class="section-head">
        <h2>{{ p.name }}</h2>
        <span class="acts">
          <CatalogueStart
            v-if="account.may('edit')"
            :place="p.name"
            what="chargers"
            @begin="({ draft, read }) => kit.begin('outlets', { ...draft, place: p.id }, read)"
          />
          <PieceMenu v-if="account.may('edit')" :of="p.name">
            <TextButton :words="say('kit.rename')" :of="p.name" @click="kit.open(p.id)" />
            <TextButton :words="say('kit.copy')" :of="p.name" @click="copyPlace(p)" />
            <TextButton
              v-if="account.may('keep')"
              :words="say('kit.remove')"
              :of="p.name"
              @click="kit.remove('places', p.id, p.name)"
            />
          </PieceMenu>
        </span>
      </div>
      <div class="cards">
        <PieceCard
          v-for="o in p.outlets"
          :id="o.id"
          :key="o.id"
          kind="outlets"
          :name="o.name"
          :blurb="o.blurb"
          :lines="[...garage.linesOf(o.id), pricePlate(o)]"
        >
          <template #faces><AnyFace :coupler="o.spec.coupler" /></template>
          <p v-if="o.spec.known_fault" class="trouble">{{ o.spec.known_fault }}</p>
          <p v-if="cell(o.id)" class="joint">
            <JointGlyph :outcome="cell(o.id)!.outcome" :tags="cell(o.id)!.adapters.map(garage.tag)" />
            <span>{{ cell(o.id)!.title }}</span>
            <strong v-if="cell(o.id)!.flows !== 'no'">{{ promised(cell(o.id)) }}</strong>
          </p>
          <p v-for="line in experience.troubleAt(o.id)" :key="line" class="trouble">{{ line }}</p>
        </PieceCard>
      </div>
    </section>
    <p v-if="shown.length < places.length">
      <TextButton @click="most += MOST_PLACES">{{
        say('filter.more', { n: places.length - shown.length })
      }}</TextButton>
    </p>
    <p class="adds">
      <TextButton v-if="account.may('edit')" @click="kit.begin('places', { name: '' })">{{
        say('kit.add_place')
      }}</TextButton>
      <TextButton v-if="account.may('keep')" @click="emit('import')">{{ say('kit.import') }}</TextButton>
      <a class="text-button" href="/api/ocpi/export" download="harmozon-locations.json">{{ say('kit.export') }}</a>
    </p>
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  gap: var(--space-5);
  align-items: center;
}

.far {
  content-visibility: auto;
  contain-intrinsic-size: auto 300px;
}

/* A menu may hang over the end of its place. */
.far:has(.menu.open) {
  content-visibility: visible;
}

.trouble {
  color: var(--ochre-text);
  font-size: var(--size-small);
}

.joint {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-4);
  align-items: center;
  margin: var(--space-2) 0 0;
  font-size: var(--size-small);
}

.adds {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
  margin-top: var(--space-9);
}

.adds a {
  text-decoration: none;
}

@media print {
  .far {
    content-visibility: visible;
  }
}
</style>
