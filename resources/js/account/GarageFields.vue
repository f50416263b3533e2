<script setup lang="ts">
import { regions } from '@/words/habits';
import { say } from '@/words/say';
import { CURRENCIES, REGIONS } from '@/words/garageRegions';
import type { NewGarage } from './newGarage';

/** What a garage is called and how it reads figures. */
const garage = defineModel<NewGarage>({ required: true });
/** What it is called where nobody says otherwise. */
defineProps<{ usual?: string }>();
</script>

<template>
  <label for="garage-name">{{ say('garages.name') }}</label>
  <el-input
    id="garage-name"
    v-model="garage.name"
    :required="!usual"
    :placeholder="usual"
    maxlength="120"
    size="large"
  />
  <div class="habits">
    <label
      >{{ say('forecast.units') }}
      <select v-model="garage.units">
        <option value="metric">{{ say('habits.metric') }}</option>
        <option value="us">{{ say('habits.us') }}</option>
      </select>
    </label>
    <label
      >{{ say('region.where') }}
      <select v-model="garage.region">
        <option :value="undefined">{{ say('region.by_zone', { zone: garage.timezone ?? '' }) }}</option>
        <option v-for="r in REGIONS" :key="r.id" :value="r.id">{{ say(r.words) }}</option>
      </select>
    </label>
    <label
      >{{ say('garages.currency') }}
      <select v-model="garage.currency">
        <option v-for="code in CURRENCIES" :key="code" :value="code">{{ code }}</option>
      </select>
    </label>
    <label
      >{{ say('habits.written') }}
      <select v-model="garage.locale">
        <option v-for="region in regions(garage.locale)" :key="region.locale" :value="region.locale">
          {{ region.name }}
        </option>
      </select>
    </label>
  </div>
</template>

<style scoped>
.habits {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-8);
}

.habits label {
  display: flex;
  flex-direction: column;
  gap: var(--space-1);
  font-weight: 600;
}

select {
  max-width: 100%;
}
</style>
