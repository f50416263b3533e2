<script setup lang="ts">
import type { Judgement } from '@/api/client';
import { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import { say } from '@/words/say';

defineProps<{ temperatures: Judgement['temperatures'] }>();

const { thermometer, rise } = useUnits();
const terms = useTerms();
</script>

<template>
  <section class="temperatures" aria-labelledby="temperatures-title">
    <h2 id="temperatures-title">{{ say('temperatures.title') }}</h2>
    <ul>
      <li v-for="t in temperatures" :key="t.point" :class="t.state">
        <span class="point">{{ terms.words('point', t.point) }}</span>
        <span class="figures">{{ thermometer(t.max_c) }}</span>
        <span class="figures">{{
          t.rise_k === null ? say('temperatures.no_rise') : say('temperatures.rise', { rise: rise(t.rise_k) })
        }}</span>
        <strong>{{ terms.words('temperature_state', t.state) }}</strong>
      </li>
    </ul>
    <p class="quiet small">{{ say('temperatures.surface') }}</p>
  </section>
</template>

<style scoped>
.temperatures {
  margin-top: var(--space-8);
}

ul {
  margin: var(--space-3) 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 110px 90px 220px 1fr;
  padding: var(--space-2) 0;
  border-bottom: 1px solid var(--line);
}

.caution strong {
  color: var(--ochre-text);
}

.over strong {
  color: var(--brick-text);
}

.small {
  font-size: var(--size-small);
}

@media (width <= 720px) {
  li {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
