<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { Link } from '@/api/client';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import { kw, promised } from '@/ui/figures';
import { useTerms } from '@/stores/terms';
import TextButton from '@/ui/TextButton.vue';
import Said from '@/words/Said.vue';
import { listed, say } from '@/words/say';
import GateLadder from '@/rail/GateLadder.vue';
import WhatChanges from './WhatChanges.vue';

const emit = defineEmits<{ back: [] }>();

const rail = useRail();
const garage = useGarage();
const router = useRouter();
const terms = useTerms();
const heading = ref<HTMLElement>();
const panel = ref<HTMLElement>();

const answer = computed(() => rail.answer);
const through = computed(() => {
  const adapters = (answer.value?.links ?? []).filter((link) => link.kind === 'adapter').map(named);
  return adapters.length > 0 ? say('why.through', { adapters: listed('and', adapters) }) : say('why.direct_long');
});
/** Leaves out what the ladder already says. */
const cautions = computed(() => {
  const said = new Set(answer.value?.gates.map((g) => g.reason));
  return (answer.value?.cautions ?? []).filter((c) => !said.has(c));
});
/** kW as they are read at a glance, with their unit. */
const told = promised;
const flows = computed(() => answer.value !== null && answer.value.flows !== 'no');

/** A piece of the crate by its tag and its own name; another by the name it has. */
function named(link: Link): string {
  const piece = garage.adapter(link.piece);
  return piece ? say('why.named', { tag: piece.tag, name: piece.name }) : link.name;
}

function otherWay(adapters: string[]): string {
  return adapters.length > 0
    ? say('why.through', { adapters: listed('and', adapters.map(garage.tag)) })
    : say('why.direct');
}

onKeyStroke('Escape', () => emit('back'), { target: panel });

defineExpose({ focus: () => heading.value?.focus() });
</script>

<template>
  <div ref="panel" class="why-panel">
    <template v-if="answer && rail.outlet && rail.vehicle">
      <h2 ref="heading" tabindex="-1">{{ say('rail.at', { car: rail.vehicle.name, outlet: rail.outlet.name }) }}</h2>
      <p class="quiet">{{ through }}</p>
      <p class="answer" :class="answer.outcome">
        <strong>{{ answer.title }}</strong>
        <span v-if="(answer.expected_peak_kw || answer.band_kw) && flows" class="figures">
          <span v-if="answer.ideal_peak_kw" class="quiet"
            ><Said
              code="why.of_ideal"
              :figures="{ kw: kw(answer.band_kw ? answer.ideal_most_kw : answer.ideal_peak_kw) }"
              ><template #peak
                ><span class="peak">{{ told(answer) }}</span></template
              ></Said
            ></span
          >
          <template v-else>{{ told(answer) }}</template>
        </span>
      </p>
      <p v-if="answer.other_way_is_hazard" class="other-hazard">{{ say('why.other_hazard') }}</p>
      <p v-if="answer.to_buy" class="quiet">{{ say('why.to_buy') }}</p>
      <!-- Where nothing will flow, what would change that is wanted before anything else. -->
      <template v-if="!flows">
        <p class="because">{{ answer.why }}</p>
        <WhatChanges :changes="answer.changes" />
      </template>
      <GateLadder :gates="answer.gates" />
      <p v-if="garage.areKinds" class="quiet connect">
        <Said code="why.kind">
          <template #kit
            ><RouterLink to="/kit">{{ say('screen.kit') }}</RouterLink></template
          >
        </Said>
      </p>
      <el-button v-else-if="answer.flows === 'yes'" type="primary" class="connect" @click="router.push('/connect')">{{
        say('why.connect')
      }}</el-button>
      <p v-else-if="answer.outcome === 'hazard'" class="quiet connect">
        <Said code="why.run_anyway">
          <template #log
            ><RouterLink to="/log?enter=chain">{{ say('screen.log') }}</RouterLink></template
          >
        </Said>
      </p>
      <p v-else class="connect">
        <RouterLink to="/connect">{{
          answer.flows === 'maybe' ? say('why.connect_to_see') : say('why.record_anyway')
        }}</RouterLink>
      </p>
      <template v-if="answer.rests_on.length > 0">
        <h3>{{ say('why.rests_on') }}</h3>
        <ul class="facts">
          <li v-for="fact in answer.rests_on" :key="fact.path">
            {{ say('why.assumed', { fact: fact.fact, origin: terms.words('origin', fact.origin) }) }}
            <span class="small quiet">{{ say('why.read_at', { where: fact.where }) }}</span>
          </li>
        </ul>
      </template>
      <template v-if="answer.contradictions.length > 0">
        <h3>{{ say('why.contradictions') }}</h3>
        <ul class="facts">
          <li v-for="fact in answer.contradictions" :key="fact.path">{{ fact.says }}</li>
        </ul>
      </template>
      <template v-if="answer.by_standard.length > 0">
        <h3>{{ say('why.by_standard') }}</h3>
        <ul class="facts">
          <li v-for="fact in answer.by_standard" :key="fact.path">
            <span class="fact">{{ fact.fact }}</span>
            <span class="small quiet">{{ fact.standard }}</span>
          </li>
        </ul>
      </template>
      <template v-if="cautions.length > 0">
        <h3>{{ say('why.before') }}</h3>
        <ul class="facts">
          <li v-for="caution in cautions" :key="caution">{{ caution }}</li>
        </ul>
        <p class="small quiet">{{ say('why.handbooks') }}</p>
      </template>
      <WhatChanges v-if="flows" :changes="answer.changes" />
      <template v-if="answer.alternatives.length > 0">
        <h3>{{ say('why.other_ways') }}</h3>
        <ul class="facts">
          <li v-for="way in answer.alternatives" :key="way.chain.join()">
            <TextButton @click="rail.choose({ adapters: way.adapters })">
              {{ otherWay(way.adapters) }}
            </TextButton>
            <strong>&nbsp;{{ way.title }}</strong>
            <span v-if="way.expected_peak_kw" class="figures">&nbsp;{{ told(way) }}</span>
            <span class="small quiet">{{ way.why }}</span>
          </li>
        </ul>
      </template>
    </template>
    <template v-else>
      <h2 ref="heading" tabindex="-1">{{ say('why.title') }}</h2>
      <p class="quiet">{{ say('why.empty') }}</p>
    </template>
  </div>
</template>

<style scoped>
.quiet .peak {
  color: var(--ink);
}

h2 {
  outline-offset: 4px;
}

.answer {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-5);
  align-items: baseline;
  margin: var(--space-5) 0 var(--space-2);
}

.answer strong {
  font-family: var(--face-wide);
}

.unverified strong {
  color: var(--ochre-text);
}

.hazard strong {
  color: var(--brick-text);
}

.because {
  margin: var(--space-2) 0;
}

.connect {
  margin: var(--space-6) 0 var(--space-2);
}

.other-hazard {
  color: var(--brick-text);
}

h3 {
  margin: var(--space-7) 0 var(--space-1);
}

.facts {
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--line);
  list-style: none;
}

.facts li {
  padding: var(--space-3) 0;
  border-bottom: 1px solid var(--line);
  line-height: 1.35;
}

.fact {
  display: inline-block;
}

.fact::first-letter {
  text-transform: uppercase;
}

.small {
  display: block;
  margin-top: var(--space-3);
  font-size: var(--size-small);
}
</style>
