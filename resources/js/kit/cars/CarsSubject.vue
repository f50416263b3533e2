<script setup lang="ts">
import { ref, toRef } from 'vue';
import type { Vehicle } from '@/api/client';
import { useAccount } from '@/stores/account';
import type { Draft } from '@/stores/edit';
import { useExperience } from '@/stores/experience';
import AnyFace from '@/ui/AnyFace.vue';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import { useNearby } from '@/kit/useNearby';
import LearnedCurve from '@/kit/LearnedCurve.vue';
import PieceCard from '@/kit/PieceCard.vue';
import { useKitActions } from '@/kit/useKitActions';
import CurveSketch from './CurveSketch.vue';

/** The cars: their inlets' faces, their ratings, their charge curves, and how good their forecasts were. */
const props = defineProps<{ vehicles: Vehicle[]; isFiltered: boolean }>();
const end = ref<HTMLElement>();
const shown = useNearby(toRef(props, 'vehicles'), end);
const kit = useKitActions();
const account = useAccount();
const experience = useExperience();

const newCar = (): Draft => ({
  name: say('kit.new_car_name'),
  blurb: '',
  spec: { pack: {}, inlets: [{ coupler: 'ccs1', dc: { boost_converter: null }, ac: {} }] },
});
const curveOf = (v: Vehicle): number[][] => (v.spec as { charge_curve_kw?: number[][] | null }).charge_curve_kw ?? [];
</script>

<template>
  <section aria-labelledby="cars-title">
    <div class="section-head">
      <h2 id="cars-title">{{ say('cars.count', { n: vehicles.length }) }}</h2>
      <span v-if="account.may('edit')" class="adds">
        <RouterLink to="/new-car" class="text-button">{{ say('kit.add_car') }}</RouterLink>
        <TextButton @click="kit.begin('vehicles', newCar())">{{ say('kit.whole_plate') }}</TextButton>
      </span>
    </div>
    <p v-if="vehicles.length === 0 && !isFiltered" class="quiet">{{ say('cars.empty') }}</p>
    <div class="cards">
      <PieceCard
        v-for="v in shown"
        :id="v.id"
        :key="v.id"
        kind="vehicles"
        :name="v.name"
        :blurb="v.blurb"
        :lines="v.lines"
        is-copied
        class="far"
      >
        <template #faces>
          <AnyFace v-for="(inlet, i) in v.spec.inlets" :key="i" :coupler="inlet.coupler" />
        </template>
        <CurveSketch v-if="curveOf(v).length > 1" :curve="curveOf(v)" />
        <p v-if="experience.gradeOf(v.id)" class="quiet small">{{ experience.gradeOf(v.id)?.words }}</p>
        <LearnedCurve v-if="experience.learnedOf(v.id)" :vehicle="v" :learned="experience.learnedOf(v.id)!" />
      </PieceCard>
    </div>
    <div :key="shown.length" ref="end" />
  </section>
</template>

<style scoped>
.adds {
  display: flex;
  gap: var(--space-7);
  font-size: var(--size-small);
}

.adds a {
  text-decoration: none;
}

.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(300px, 100%), 1fr));
  gap: var(--space-6);
  align-items: start;
}

.far {
  content-visibility: auto;
  contain-intrinsic-size: auto 240px;
}

.small {
  font-size: var(--size-small);
}

@media print {
  .far {
    content-visibility: visible;
  }
}
</style>
