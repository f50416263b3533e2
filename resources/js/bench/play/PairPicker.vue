<script setup lang="ts">
import { computed } from 'vue';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import { say } from '@/words/say';

/** Which car and which charger are played: those of the rail, or any others. */
const garage = useGarage();
const rail = useRail();
const car = computed({ get: () => rail.pick.vehicle ?? '', set: (vehicle) => void rail.choose({ vehicle }) });
const charger = computed({ get: () => rail.pick.outlet ?? '', set: (outlet) => void rail.choose({ outlet }) });
</script>

<template>
  <div class="pair">
    <label for="pair-car">{{ say('log.car') }}</label>
    <select id="pair-car" v-model="car" class="plain-field">
      <option v-if="car === ''" value="" disabled>{{ say('play.pick') }}</option>
      <option v-for="v in garage.vehicles" :key="v.id" :value="v.id">{{ v.name }}</option>
    </select>
    <label for="pair-charger">{{ say('log.outlet') }}</label>
    <select id="pair-charger" v-model="charger" class="plain-field">
      <option v-if="charger === ''" value="" disabled>{{ say('play.pick') }}</option>
      <optgroup v-for="p in garage.places" :key="p.id" :label="p.name">
        <option v-for="o in p.outlets" :key="o.id" :value="o.id">{{ o.name }}</option>
      </optgroup>
    </select>
  </div>
</template>

<style scoped>
.pair {
  margin-bottom: var(--space-7);
}

label {
  display: block;
  margin-top: var(--space-4);
  font-size: var(--size-small);
}
</style>
