<script setup lang="ts">
import { reactive } from 'vue';
import { useForecast } from '@/stores/forecast';
import TextButton from '@/ui/TextButton.vue';
import { say, type Code } from '@/words/say';
import type { Rung, Visit } from './useVisit';

/** What to try when nothing starts, one remedy after another; the next stall and the next stop are one tap away. */
const props = defineProps<{ visit: Visit; tried: ReadonlySet<string> }>();
const emit = defineEmits<{ tried: [rung: Rung, noted: string | null]; close: [] }>();

const forecast = useForecast();
/** What is written beside a rung: what the screens said, or what stands on the next stall. */
const ASKED: Partial<Record<string, Code>> = { read_screens: 'ladder.message', another_stall: 'ladder.stall' };
const written = reactive<Record<string, string>>({});
const asks = (rung: Rung) => (rung.stalls.length === 0 ? ASKED[rung.code] : undefined);
const noted = (rung: Rung) => written[rung.code]?.trim() || null;

const stopsHere = (rung: Rung) => rung.code === 'next_stop';

function leave(rung: Rung): void {
  emit('tried', rung, null);
  forecast.sheet = 'stops';
}
</script>

<template>
  <section class="ladder" aria-labelledby="ladder-title">
    <h2 id="ladder-title">{{ say('ladder.title') }}</h2>
    <ol>
      <li v-for="rung in props.visit.when_nothing_starts" :key="rung.code" :class="{ tried: tried.has(rung.code) }">
        <span class="do">{{ rung.do }}</span>
        <span class="quiet tests">{{ say('ladder.tests', { what: rung.tests_words }) }}</span>
        <span class="ways">
          <button
            v-for="stall in rung.stalls"
            :key="stall"
            type="button"
            class="way"
            @click="emit('tried', rung, stall)"
          >
            {{ say('ladder.go', { stall }) }}
          </button>
          <label v-if="asks(rung)" class="asked">
            {{ say(asks(rung)!) }}
            <input v-model="written[rung.code]" maxlength="160" autocomplete="off" />
          </label>
          <RouterLink v-if="stopsHere(rung)" class="way" to="/forecast" @click="leave(rung)">{{
            say('ladder.stops')
          }}</RouterLink>
          <button
            v-else-if="rung.stalls.length === 0"
            type="button"
            class="way"
            @click="emit('tried', rung, noted(rung))"
          >
            {{ tried.has(rung.code) ? say('ladder.again') : say('ladder.tried') }}
          </button>
        </span>
      </li>
    </ol>
    <TextButton @click="emit('close')">{{ say('ladder.close') }}</TextButton>
  </section>
</template>

<style scoped>
.ladder {
  max-width: 640px;
}

ol {
  margin: var(--space-4) 0 var(--space-6);
  padding-block: 0;
  padding-inline: var(--space-6) 0;
  border-inline-start: 3px solid var(--ink);
  list-style: none;
}

li {
  display: grid;
  gap: var(--space-2);
  padding: var(--space-5) 0;
  border-bottom: 1px solid var(--line);
}

.tried .do {
  color: var(--ink-soft);
  text-decoration: line-through;
}

.do {
  font-size: var(--size-lead);
}

.tests {
  font-size: var(--size-small);
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4);
}
.asked {
  display: flex;
  flex: 1 1 100%;
  flex-direction: column;
  font-size: var(--size-small);
}

.asked input {
  min-height: 40px;
}
</style>
