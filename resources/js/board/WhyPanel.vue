<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import { kw, outcomeWords } from '@/ui/words';
import GateLadder from './GateLadder.vue';

const emit = defineEmits<{ back: [] }>();

const rail = useRail();
const garage = useGarage();
const router = useRouter();
const heading = ref<HTMLElement>();
const panel = ref<HTMLElement>();

const answer = computed(() => rail.answer);
const through = computed(() => {
  const tags = (answer.value?.adapters ?? []).map((id) => `${garage.tag(id)}, ${garage.adapter(id)?.name ?? ''}`);
  return tags.length > 0 ? `through ${tags.join(' and ')}` : 'direct, no adapter';
});
/** What the ladder already says is not said twice. */
const cautions = computed(() => {
  const said = new Set(answer.value?.gates.map((g) => g.reason));
  return (answer.value?.cautions ?? []).filter((c) => !said.has(c));
});
const flows = computed(() => answer.value !== null && answer.value.flows !== 'no');

function otherWay(adapters: string[]): string {
  return adapters.length > 0 ? `through ${adapters.map(garage.tag).join(' and ')}` : 'direct';
}

onKeyStroke('Escape', () => emit('back'), { target: panel });

defineExpose({ focus: () => heading.value?.focus() });
</script>

<template>
  <div ref="panel" class="why-panel">
    <template v-if="answer && rail.outlet && rail.vehicle">
      <h2 ref="heading" tabindex="-1">{{ rail.vehicle.name }} at {{ rail.outlet.name }}</h2>
      <p class="quiet">{{ through }}</p>
      <p class="answer" :class="answer.outcome">
        <strong>{{ outcomeWords[answer.outcome] }}</strong>
        <span v-if="answer.expected_peak_kw && flows" class="figures">
          {{ kw(answer.expected_peak_kw) }} kW<template v-if="answer.ideal_peak_kw">
            <span class="quiet"> of {{ kw(answer.ideal_peak_kw) }} this car could take</span></template
          >
        </span>
      </p>
      <GateLadder :gates="answer.gates" />
      <el-button type="primary" class="connect" @click="router.push('/connect')">Connect this chain</el-button>
      <template v-if="cautions.length > 0">
        <h3>Before you connect</h3>
        <ul class="lines">
          <li v-for="caution in cautions" :key="caution">{{ caution }}</li>
        </ul>
        <p class="small quiet">The handbooks of the car and the adapter outrank Harmozon.</p>
      </template>
      <template v-if="answer.changes.length > 0">
        <h3>What would change it</h3>
        <ul class="lines changes">
          <li v-for="change in answer.changes" :key="change.change">
            <span>{{ change.change }}</span>
            <span class="figures">{{ change.expected_peak_kw === null ? '?' : kw(change.expected_peak_kw) }} kW</span>
          </li>
        </ul>
      </template>
      <template v-if="answer.alternatives.length > 0">
        <h3>Other ways</h3>
        <ul class="lines">
          <li v-for="way in answer.alternatives" :key="way.chain.join()">
            <button type="button" class="text-button" @click="rail.choose({ adapters: way.adapters })">
              {{ otherWay(way.adapters) }}
            </button>
            <strong> {{ outcomeWords[way.outcome] }}</strong>
            <span v-if="way.expected_peak_kw" class="figures"> {{ kw(way.expected_peak_kw) }} kW</span>
            <span class="small quiet">{{ way.why }}</span>
          </li>
        </ul>
      </template>
    </template>
    <template v-else>
      <h2 ref="heading" tabindex="-1">Why</h2>
      <p class="quiet">
        Choose a cell: the seven gates between that charger and that car will stand here, down to where they break.
      </p>
    </template>
  </div>
</template>

<style scoped>
h2 {
  outline-offset: 4px;
}

.answer {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: baseline;
  margin: 10px 0 4px;
}

.answer strong {
  font-family: var(--face-wide);
  font-stretch: 108%;
}

.unverified strong {
  color: var(--ochre-text);
}

.hazard strong {
  color: var(--brick-text);
}

.connect {
  margin: 14px 0 4px;
}

h3 {
  margin: 18px 0 2px;
}

.lines {
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--line);
  list-style: none;
}

.lines li {
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
  line-height: 1.35;
}

.changes li {
  display: flex;
  gap: 12px;
  justify-content: space-between;
}

.changes .figures {
  font-weight: 640;
  white-space: nowrap;
}

.small {
  display: block;
  margin-top: 6px;
  font-size: 13px;
}
</style>
