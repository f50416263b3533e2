<script setup lang="ts">
import { computed } from 'vue';
import type { Trust } from '@/api/client';
import { useUnits } from '@/stores/units';
import { day, number, percent } from '@/ui/figures';
import { say } from '@/words/say';

/** What all sessions with an adapter show: how much is proven, whether it gets warmer, when to test it next. */
const props = defineProps<{ trust: Trust }>();

const WIDTH = 220;
const HEIGHT = 44;
const units = useUnits();

const bars = computed(() =>
  [
    {
      name: say('trust.continuous'),
      share: props.trust.proven.of_continuous,
      session: props.trust.proven.continuous_session,
    },
    { name: say('trust.boost'), share: props.trust.proven.of_boost, session: props.trust.proven.boost_session },
  ].filter((bar) => bar.share !== null),
);
/** The indices session by session, with the band that the slope lies in. */
const trend = computed(() => {
  const values = props.trust.indices.map((i) => i.index ?? 0);
  if (values.length < 2) {
    return null;
  }
  const last = values.length - 1;
  const band = props.trust.band;
  const all = [...values, ...(band ?? []).flat(), 0];
  const most = Math.max(...all) * 1.1 || 1;
  const x = (i: number) => 4 + (i / last) * (WIDTH - 8);
  const y = (v: number) => HEIGHT - 4 - (Math.max(0, v) / most) * (HEIGHT - 8);
  const at = (end: number, side: number) => `${x(end === 0 ? 0 : last)} ${y(band?.[end]?.[side] ?? 0)}`;
  return {
    points: values.map((v, i) => ({ x: x(i), y: y(v) })),
    band: band ? `M${at(0, 0)}L${at(1, 0)}L${at(1, 1)}L${at(0, 1)}Z` : '',
  };
});
const next = computed(() => {
  const test = props.trust.next_test;
  return test.due || test.by === null
    ? test.why
    : say('trust.next', { day: day(test.by, 'UTC'), n: test.within_sessions ?? 0 });
});
</script>

<template>
  <div class="trust">
    <template v-if="trust.sessions > 0">
      <div v-for="bar in bars" :key="bar.name" class="proven">
        <span class="name">{{ bar.name }}</span>
        <svg viewBox="0 0 100 8" preserveAspectRatio="none" height="8" aria-hidden="true">
          <rect width="100" height="8" class="ground" />
          <rect :width="Math.min(100, 100 * (bar.share ?? 0))" height="8" class="filled" />
        </svg>
        <RouterLink v-if="bar.session" :to="`/log/${bar.session}`" class="figures">{{ percent(bar.share) }}</RouterLink>
      </div>
      <p class="line">
        <svg v-if="trend" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" :width="WIDTH" :height="HEIGHT" aria-hidden="true">
          <path v-if="trend.band" class="band" :d="trend.band" />
          <path class="ground-line" :d="`M0 ${HEIGHT - 4}H${WIDTH}`" />
          <path class="trend" :d="`M${trend.points.map((p) => `${p.x} ${p.y}`).join('L')}`" />
          <rect v-for="p in trend.points" :key="p.x" :x="p.x - 2" :y="p.y - 2" width="4" height="4" />
        </svg>
        <!-- Else the next test says it already. -->
        <span v-if="!trust.asks_for_test">{{ trust.warming_words }}</span>
        <span v-if="trust.projected_rise_k !== null && trust.slope" class="quiet">{{
          say('trust.projected', { rise: units.rise(trust.projected_rise_k) })
        }}</span>
      </p>
    </template>
    <p class="line" :class="{ due: trust.next_test.due }">{{ next }}</p>
    <p v-if="trust.sessions > 0" class="line quiet">
      <RouterLink :to="{ path: '/log', query: { adapter: trust.adapter } }">{{
        say('trust.sessions', { n: trust.sessions })
      }}</RouterLink>
      <span v-if="trust.handshake_s !== null">{{ say('trust.handshake', { s: number(trust.handshake_s) }) }}</span>
      <span v-if="trust.failed_starts > 0">{{ say('trust.failed', { n: trust.failed_starts }) }}</span>
    </p>
  </div>
</template>

<style scoped>
.trust {
  margin-top: var(--space-4);
  padding-top: var(--space-3);
  border-top: 1px solid var(--line);
  font-size: var(--size-small);
}

.proven {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) 48px;
  gap: var(--space-4);
  align-items: center;
}

a {
  display: inline-block;
  min-width: 24px;
  min-height: 24px;
  line-height: 24px;
}

.proven svg {
  width: 100%;
}

.ground {
  fill: var(--ink-wash);
}

.filled {
  fill: var(--ink);
}

.line {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-5);
  align-items: center;
  margin: var(--space-2) 0 0;
}

.band {
  fill: var(--ink-wash);
}

.ground-line {
  stroke: var(--line-strong);
}

.trend {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}

.due {
  color: var(--ochre-text);
}
</style>
