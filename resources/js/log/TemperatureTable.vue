<script setup lang="ts">
import type { Judgement } from '@/api/client';
import { useUnits } from '@/ui/useUnits';

defineProps<{ temperatures: Judgement['temperatures'] }>();

const { thermometer, rise } = useUnits();
const stateWords = { within: 'within', caution: 'take care', over: 'over', not_measured: 'ambient not read' };
</script>

<template>
  <section class="temperatures" aria-labelledby="temperatures-title">
    <h2 id="temperatures-title">Temperatures</h2>
    <ul>
      <li v-for="t in temperatures" :key="t.point" :class="t.state">
        <span class="point">{{ t.point }}</span>
        <span class="figures">{{ thermometer(t.max_c) }}</span>
        <span class="figures">{{ t.rise_k === null ? 'rise not measured' : `${rise(t.rise_k)} above ambient` }}</span>
        <strong>{{ stateWords[t.state] }}</strong>
      </li>
    </ul>
    <p class="quiet small">An infrared reading is of the surface: the contact inside is hotter.</p>
  </section>
</template>

<style scoped>
.temperatures {
  margin-top: 22px;
}

ul {
  margin: 6px 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 110px 90px 220px 1fr;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}

.caution strong {
  color: var(--ochre-text);
}

.over strong {
  color: var(--brick-text);
}

.small {
  font-size: 13px;
}

@media (width <= 720px) {
  li {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
