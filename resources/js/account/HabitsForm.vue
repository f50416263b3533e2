<script setup lang="ts">
import { computed } from 'vue';
import { CURRENCIES, REGIONS, zones } from '@/words/garageRegions';
import type { components } from '@/api/schema';
import { useAccount } from '@/stores/account';
import { useEdit } from '@/stores/edit';
import { day, hour } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import { fixed, regions } from '@/words/habits';
import { say } from '@/words/say';

/** How temperatures, distances, numbers, dates and hours are written in this garage. */
const account = useAccount();
const edit = useEdit();
const { error, attempt } = useAttempt();
type Region = components['schemas']['Region'];

const own = computed(() => account.me?.garage?.locale ?? 'en-GB');
const currency = computed(() => account.me?.garage?.currency ?? 'EUR');
const EXAMPLE = { number: 12_345.6, at: '2026-11-25T14:05:00Z' };
const example = computed(() =>
  say('habits.example', {
    number: fixed(EXAMPLE.number, 1),
    day: day(EXAMPLE.at, 'UTC'),
    hour: hour(EXAMPLE.at, 'UTC'),
  }),
);

/** Sentences written by the server are fetched again. */
function choose(habits: Parameters<typeof account.setHabits>[0]): Promise<void> {
  return attempt(async () => {
    await account.setHabits(habits);
    await edit.refresh();
  });
}

const valueOf = (event: Event): string => (event.target as HTMLSelectElement).value;
</script>

<template>
  <div class="habits">
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <label>
      {{ say('forecast.units') }}
      <select
        :value="account.me?.garage?.units"
        @change="choose({ units: valueOf($event) === 'us' ? 'us' : 'metric' })"
      >
        <option value="metric">{{ say('habits.metric') }}</option>
        <option value="us">{{ say('habits.us') }}</option>
      </select>
    </label>
    <label>
      {{ say('habits.written') }}
      <select :value="own" @change="choose({ locale: valueOf($event) })">
        <option v-for="region in regions(own)" :key="region.locale" :value="region.locale">{{ region.name }}</option>
      </select>
    </label>
    <label>
      {{ say('region.where') }}
      <select :value="account.me?.garage?.region" @change="choose({ region: valueOf($event) as Region })">
        <option v-for="r in REGIONS" :key="r.id" :value="r.id">{{ say(r.words) }}</option>
      </select>
    </label>
    <label>
      {{ say('habits.timezone') }}
      <select :value="account.zone" @change="choose({ timezone: valueOf($event) })">
        <option v-for="zone in zones(account.zone)" :key="zone" :value="zone">{{ zone.replaceAll('_', ' ') }}</option>
      </select>
    </label>
    <label>
      {{ say('garages.currency') }}
      <select :value="currency" @change="choose({ currency: valueOf($event) })">
        <option v-for="code in [...new Set([...CURRENCIES, currency])]" :key="code" :value="code">{{ code }}</option>
      </select>
    </label>
    <span class="quiet">{{ example }}</span>
  </div>
</template>

<style scoped>
.habits {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-9);
  align-items: baseline;
}

label {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-5);
  align-items: baseline;
}
</style>
