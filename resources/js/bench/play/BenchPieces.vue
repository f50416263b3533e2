<script setup lang="ts">
import { computed } from 'vue';
import type { Simulation } from '@/api/client';
import { number, percent, soc } from '@/ui/figures';
import { say } from '@/words/say';
import type { Frame, PhaseSpan } from '@/bench/usePlay';

/** The pieces of the chain, large: they come together, and volts, current and heat fill them. */
const props = defineProps<{ session: Simulation; frame: Frame; phase: PhaseSpan; isFaultHere: boolean }>();

const links = computed(() => props.session.links);
const station = computed(() => links.value[0]);
/** The inlet; the battery behind it is drawn as its charge. */
const car = computed(() => links.value.findLast((l) => l.kind !== 'pack') ?? null);
/** Adapters, cable and converter lie between; only those that carry the current by hand are drawn. */
const between = computed(() => links.value.filter((l) => l.kind === 'adapter'));
const most = computed(() => Math.max(1, ...props.session.frames.map((f) => f.amps)));
/** From 0 to 1: the joints close while it is being plugged in, and open again once the latch is released. */
const closed = computed(() => {
  const { t_s: tS } = props.frame;
  const { phase, from_s: fromS, to_s: toS, failing } = props.phase;
  const share = (tS - fromS) / Math.max(0.1, toS - fromS);
  if (phase === 'plugged') {
    return failing ? 0.7 : Math.min(1, share * 1.5);
  }
  return phase === 'released' && !failing ? Math.max(0, 1 - share) : 1;
});
const flow = computed(() => props.frame.amps / most.value);
const site = computed(() => (props.isFaultHere ? props.session.fault?.site : null));
const isConnected = computed(() => props.phase.phase === 'current');
const theta = (id: string): number | null => props.frame.theta[id] ?? null;
const isBinding = (id: string): boolean => props.frame.link === id && props.frame.kw > 0;
</script>

<template>
  <div class="pieces" :style="{ '--apart': `${((1 - closed) * 26).toFixed(1)}px`, '--n': between.length + 2 }">
    <section class="piece station" :class="{ failing: site === 'station' }">
      <svg class="outline" viewBox="0 0 200 100" preserveAspectRatio="none" aria-hidden="true">
        <path d="M1 1H178V28L199 16V84L178 72V99H1Z" />
      </svg>
      <svg class="tail" viewBox="0 0 60 16" aria-hidden="true"><path d="M12 0L1 15H59L48 0" /></svg>
      <h2>{{ station?.name }}</h2>
      <p class="figures">{{ say('play.output', { volts: number(frame.station_v) }) }}</p>
      <p class="figures">{{ say('figure.amps', { n: number(frame.amps) }) }}</p>
    </section>
    <section v-for="l in between" :key="l.id" class="piece" :class="{ binding: isBinding(l.id) }">
      <svg class="outline" viewBox="0 0 200 100" preserveAspectRatio="none" aria-hidden="true">
        <path d="M1 1H178V28L199 16V84L178 72V99H1V84L22 72V28L1 16Z" />
        <rect
          v-if="theta(l.id) !== null"
          class="heat"
          x="24"
          :y="97 - 94 * Math.min(1, theta(l.id) ?? 0)"
          width="6"
          :height="94 * Math.min(1, theta(l.id) ?? 0)"
        />
      </svg>
      <svg class="tail" viewBox="0 0 60 16" aria-hidden="true"><path d="M12 0L1 15H59L48 0" /></svg>
      <svg class="socket" viewBox="0 0 60 16" aria-hidden="true"><path d="M12 0L1 15H59L48 0" /></svg>
      <h2>{{ l.name }}</h2>
      <p class="quiet">{{ l.plate }}</p>
      <p v-if="theta(l.id) !== null" class="figures">
        {{ say('play.load', { share: percent(theta(l.id)) }) }}
      </p>
    </section>
    <section class="piece car" :class="{ failing: site === 'car' }">
      <svg class="outline" viewBox="0 0 200 100" preserveAspectRatio="none" aria-hidden="true">
        <path d="M1 1H199V99H1V84L22 72V28L1 16Z" />
        <rect
          class="charge"
          x="150"
          :y="97 - 94 * (frame.soc / 100)"
          width="46"
          :height="Math.max(0, 94 * (frame.soc / 100))"
        />
      </svg>
      <svg class="socket" viewBox="0 0 60 16" aria-hidden="true"><path d="M12 0L1 15H59L48 0" /></svg>
      <h2>{{ car?.name }}</h2>
      <p class="figures">
        {{
          say(session.current === 'ac' ? 'play.mains' : 'play.battery', {
            volts: number(frame.plug_v),
            soc: soc(frame.soc),
          })
        }}
      </p>
      <p>{{ isConnected ? say('play.contactors_closed') : say('play.contactors_open') }}</p>
    </section>
    <span
      class="current"
      :class="{ broken: site === 'joint' }"
      :style="{ '--flow': flow.toFixed(3) }"
      aria-hidden="true"
    />
  </div>
</template>

<style scoped>
.pieces {
  /* Drawn from the station to the car, whichever way the words run. */
  direction: ltr;
  position: relative;
  display: grid;
  grid-template-columns: repeat(var(--n), minmax(0, 1fr));
  gap: var(--apart);
  padding-bottom: 12px;
}

.piece {
  position: relative;
  min-height: 118px;

  /* Past the socket and the load beside it, which grow with the piece. */
  padding: var(--space-6) 44px var(--space-6) max(50px, 17% + var(--space-4));
}

/* A tail reaches into the next piece as deep as its socket. */
.piece:not(.car) {
  margin-right: -11.5%;
}

.station {
  padding-left: var(--space-7);
  color: var(--on-ink);
}

.car {
  padding-right: max(76px, 25% + var(--space-4));
}

svg {
  position: absolute;
  inset: 0;
  z-index: -1;
  width: 100%;
  height: 100%;
}

.piece {
  z-index: 0;
}

.tail,
.socket {
  display: none;
}

path {
  fill: var(--paper-raised);
  stroke: var(--ink);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}

.station path {
  fill: var(--ink);
}

.station {
  forced-color-adjust: none;
}

.failing path {
  fill: var(--brick);
  stroke: var(--brick);
}

.failing {
  color: var(--on-brick);
  forced-color-adjust: none;
}

.failing .charge {
  fill: none;
}

.broken {
  background: var(--brick);
}

.binding path {
  stroke: var(--copper);
  stroke-width: 3;
}

.heat {
  fill: var(--copper);
}

.charge {
  fill: var(--ink-wash);
}

h2 {
  margin: 0 0 var(--space-2);
  font-size: var(--size-lead);
  overflow-wrap: anywhere;
}

p {
  margin: 0;
  font-size: var(--size-small);
}

.figures {
  font-weight: 600;
}

.current {
  position: absolute;
  right: 0;
  bottom: 0;
  left: 0;
  height: 8px;
  background: var(--ink-wash);
}

.current::after {
  position: absolute;
  inset: 0;
  background: var(--copper);
  content: '';
  transform: scaleX(var(--flow));
  transform-origin: left;
}

@media (width <= 640px) {
  .pieces {
    display: block;
  }

  .piece,
  .station,
  .car {
    min-height: 84px;
    margin: 0;
    padding: var(--space-4) 108px var(--space-4) var(--space-7);
  }

  .piece:not(.car) {
    margin: 0 0 var(--apart);
  }

  /* One under the other: the tail reaches down into the next piece, and the load is told in words alone. */
  .outline path {
    d: path('M1 1H199V99H1Z');
  }

  /* Each lies over the next one, so that its tail fills the socket. */
  .piece:not(.car) {
    z-index: 1;
  }

  .piece.station {
    z-index: 2;
  }

  .tail,
  .socket {
    display: block;
    inset: auto;
    left: calc(100% - 96px);
    width: 60px;
    height: 16px;
  }

  .tail {
    bottom: -14px;
    z-index: 1;
  }

  .socket {
    top: 1px;
  }

  .socket path {
    fill: var(--paper);
  }

  .heat {
    display: none;
  }
}
</style>
