<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import type { Link } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useForecast } from '@/stores/forecast';
import { useGarage } from '@/stores/garage';
import { sameEnds, useRail } from '@/stores/rail';
import { useTerms } from '@/stores/terms';
import JointGlyph from '@/ui/JointGlyph.vue';
import { clock, kw, promised, soc } from '@/ui/figures';
import { pointAt } from '@/ui/pointAt';
import { fixed } from '@/words/habits';
import { say } from '@/words/say';
import RailPiece from './RailPiece.vue';
import SwapPopover from './SwapPopover.vue';

const rail = useRail();
const garage = useGarage();
const account = useAccount();
const terms = useTerms();
const forecast = useForecast();
const route = useRoute();

/** On the forecast the rail uses its need and its cursor; elsewhere the usual conditions. */
const main = computed(() =>
  route.meta.stage === 'forecast' && sameEnds(forecast.main?.answer, rail.answer) ? forecast.main : null,
);
const answer = computed(() => (rail.answer && main.value ? main.value.answer : rail.answer));
const ofKind = (...kinds: Link['kind'][]) => (answer.value?.links ?? []).filter((link) => kinds.includes(link.kind));
/** The pieces of that answer, which under the forecast's need may be others than elsewhere. */
const outletLinks = computed(() => ofKind('outlet', 'cable'));
const adapters = computed(() => ofKind('adapter'));
const inlet = computed(() => ofKind('inlet')[0]);
const pack = computed(() => ofKind('pack')[0]);
/** The car's step-up has a piece of its own only while it holds the power back. */
const converter = computed(() =>
  ofKind('converter').find((link) => [answer.value?.binding_link, bindingLink.value].includes(link.id)),
);
const point = computed(() =>
  main.value && forecast.cursorS !== null ? pointAt(main.value.points, forecast.cursorS) : null,
);
const bindingLink = computed(() => (point.value ? point.value.binding_link : answer.value?.binding_link));
const heldBy = computed(() => {
  const link = point.value ? main.value?.bindings[point.value.binding]?.words : undefined;
  return link ? say('rail.held_by', { link, percent: soc(point.value?.soc ?? 0) }) : say('rail.nothing_yet');
});
/** The heat of the one of these links that has any, at the cursor, or at the end. */
function heatOf(links: Link[]): number | undefined {
  const heating = links.find((link) => link.heats);
  return heating && (point.value?.theta ?? main.value?.theta_end)?.[heating.id];
}
/** What the piece is, and how long its boost lasts today. */
function kickerOf(links: Link[]): string {
  const kind = terms.words('link_kind', links[0]?.kind ?? '');
  const heating = links.find((link) => link.heats);
  const minutes = main.value?.heat.find((h) => h.link === heating?.id)?.boost_minutes_today;
  return minutes === null || minutes === undefined
    ? kind
    : say('rail.boost', { kind, minutes: say('figure.minutes', { n: fixed(minutes, 1) }) });
}
function nameOf(link: Link): string {
  const piece = garage.adapter(link.piece);
  return piece ? say('rail.piece', { tag: piece.tag, name: piece.name }) : link.label;
}
const joint = computed(() => {
  switch (answer.value?.outcome) {
    case 'no_joint':
      return 'apart';
    case 'wont_charge':
    case 'hazard':
      return 'touching';
    default:
      return 'locked';
  }
});
const binds = (links: (Link | undefined)[]) =>
  links.some((link) => link !== undefined && link.id === bindingLink.value);

const outletOptions = computed(() =>
  garage.sections.map((p) => ({
    group: p.name,
    items: p.outlets.map((o) => ({ id: o.id, name: o.name, hint: garage.linesOf(o.id)[0] ?? '' })),
  })),
);
const vehicleOptions = computed(() => [
  { group: '', items: garage.vehicles.map((v) => ({ id: v.id, name: v.name, hint: v.blurb })) },
]);
const adapterOptions = computed(() => [
  { group: '', items: [{ id: '', name: say('rail.no_adapter'), hint: say('rail.direct') }] },
  {
    group: say('rail.crate'),
    items: garage.adapters.map((a) => ({
      id: a.id,
      name: say('rail.tagged', { tag: a.tag, name: a.name }),
      hint: a.blurb,
    })),
  },
]);
const tags = computed(() => (answer.value?.adapters ?? []).map(garage.tag));
const verdictKw = computed(() => {
  const a = answer.value;
  if (point.value) {
    return say('rail.kw_at', { kw: kw(point.value.kw), time: clock(point.value.t_s) });
  }
  if (a?.flows !== 'yes') {
    return '';
  }
  const given = promised(a);
  return a.outcome === 'limited'
    ? say('rail.kw_of', { kw: given, ideal: kw(a.band_kw ? a.ideal_most_kw : a.ideal_peak_kw) })
    : given;
});
</script>

<template>
  <div class="rail">
    <div class="brand">
      <RouterLink to="/board" class="word">{{ say('harmozon') }}</RouterLink>
      <span class="quiet">{{ account.me?.garage?.name }}</span>
    </div>

    <template v-if="answer && rail.outlet && rail.vehicle">
      <div class="chain" role="group" :aria-label="say('rail.chain')">
        <SwapPopover
          :label="say('rail.swap_outlet')"
          :groups="outletOptions"
          :chosen="rail.outlet.id"
          @open="garage.loadPlates"
          @choose="(id) => rail.choose({ outlet: id })"
        >
          <RailPiece
            v-if="outletLinks[0]"
            :kicker="kickerOf(outletLinks)"
            :name="outletLinks[0].label"
            :plate="outletLinks[0].plate"
            :binds="binds(outletLinks)"
            :joint="joint"
            :heat="heatOf(outletLinks)"
          />
        </SwapPopover>
        <SwapPopover
          :label="say('rail.swap_adapter')"
          :groups="adapterOptions"
          :chosen="answer.adapters[0] ?? ''"
          @choose="(id) => rail.choose({ adapters: id === '' ? [] : [id] })"
        >
          <template v-if="adapters.length > 0">
            <RailPiece
              v-for="a in adapters"
              :key="a.id"
              :kicker="kickerOf([a])"
              :name="nameOf(a)"
              :plate="a.plate"
              :binds="binds([a])"
              :joint="joint"
              :heat="heatOf([a])"
            />
          </template>
          <span v-else class="add-slot" :title="say('rail.put_between')"
            ><span class="add" aria-hidden="true">+</span></span
          >
        </SwapPopover>
        <SwapPopover
          :label="say('rail.swap_car')"
          :groups="vehicleOptions"
          :chosen="rail.vehicle.id"
          @choose="(id) => rail.choose({ vehicle: id })"
        >
          <RailPiece
            v-if="inlet"
            :kicker="kickerOf([inlet])"
            :name="inlet.label"
            :plate="inlet.plate"
            :binds="binds([inlet])"
            joint="locked"
          />
        </SwapPopover>
        <RailPiece
          v-if="converter"
          class="fixed"
          :kicker="kickerOf([converter])"
          :name="converter.label"
          :plate="converter.plate"
          binds
          joint="locked"
        />
        <RailPiece
          v-if="pack"
          class="fixed"
          :kicker="kickerOf([pack])"
          :name="pack.label"
          :plate="pack.plate"
          :binds="binds([pack])"
        />
      </div>
      <div class="folded">
        <JointGlyph :outcome="answer.outcome" :tags="tags" />
        <span class="names">{{ say('rail.at', { car: rail.vehicle.name, outlet: rail.outlet.name }) }}</span>
      </div>
      <div class="verdict" :class="answer.outcome" aria-live="polite">
        <span class="word-out">{{ answer.title }}</span>
        <span v-if="verdictKw" class="kw figures">{{ verdictKw }}</span>
        <span class="why">{{ point ? heldBy : answer.why }}</span>
      </div>
    </template>
    <p v-else-if="rail.error" class="complaint hint" role="alert">{{ rail.error }}</p>
    <p v-else class="hint quiet">{{ say('rail.empty') }}</p>
  </div>
</template>

<style scoped>
.rail {
  display: grid;
  grid-template-columns: 126px minmax(0, 1fr) 250px;
  gap: var(--space-7);
  align-items: center;
  min-height: 112px;
  padding: var(--space-6) var(--space-8);
}

.brand {
  display: flex;
  flex-direction: column;
  gap: var(--space-1);
  font-size: var(--size-small);
  line-height: 1.3;
}

.word {
  font-family: var(--face-mark);
  font-size: var(--size-title);
  font-weight: 760;
  letter-spacing: -0.01em;
  text-decoration: none;
}

.chain {
  /* Drawn from the charger to the car, whichever way the words run. */
  direction: ltr;
  display: flex;
  min-width: 0;
}

.fixed {
  flex: 0 1 auto;
}

/* As thin as the joint, so that the pieces stay joined. */
.add-slot {
  width: 2px;
  height: 76px;
}

/* Sits on the joint itself: that is where an adapter would go. */
.add {
  position: absolute;
  z-index: 4;
  bottom: -9px;
  inset-inline-start: -12px;
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  border: 1.5px solid var(--line-strong);
  background: var(--paper-sunk);
  color: var(--ink-soft);
  line-height: 1;
}

.verdict {
  display: flex;
  flex-direction: column;
  min-width: 0;
}

.word-out {
  font-family: var(--face-wide);
  font-size: var(--size-title);
  font-weight: 720;
  line-height: 1.15;
}

.kw {
  font-size: var(--size-text);
  font-weight: 680;
}

.limited .kw {
  color: var(--copper-text);
}

.unverified .word-out {
  color: var(--ochre-text);
}

.hazard .word-out {
  color: var(--brick-text);
}

.why {
  font-size: var(--size-small);
  line-height: 1.25;
}

.folded {
  display: none;
}

.hint {
  grid-column: 2 / -1;
}

@media (width <= 1100px) {
  .rail {
    grid-template-columns: minmax(0, 1fr) 230px;
  }

  .brand {
    display: none;
  }

  .hint {
    grid-column: 1 / -1;
  }
}

@media (width <= 720px) {
  .rail {
    grid-template-columns: minmax(11em, 1fr) minmax(0, auto);
    gap: var(--space-5);
    min-height: 48px;
    padding: var(--space-3) var(--space-6);
  }

  .chain {
    display: none;
  }

  .folded {
    display: flex;
    gap: var(--space-5);
    align-items: center;
    min-width: 0;
  }

  .folded .names {
    min-width: 0;
    font-size: var(--size-small);
    line-height: 1.2;
  }

  .verdict {
    flex-direction: row;
    justify-content: flex-end;
  }

  .why {
    display: none;
  }

  .word-out {
    font-size: var(--size-small);
    text-align: end;
  }

  .kw {
    display: none;
  }

  .limited .word-out,
  .charges .word-out {
    display: none;
  }

  .limited .kw,
  .charges .kw {
    display: inline;
  }
}
</style>
