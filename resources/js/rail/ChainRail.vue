<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useAccount } from '@/stores/account';
import { pointAt } from '@/forecast/points';
import { useForecast } from '@/stores/forecast';
import { useGarage } from '@/stores/garage';
import { sameEnds, useRail } from '@/stores/rail';
import JointGlyph from '@/ui/JointGlyph.vue';
import { clock, kw, outcomeWords } from '@/ui/words';
import { adapterPlate, converterPlate, inletPlate, outletPlate, packPlate } from './plates';
import RailPiece from './RailPiece.vue';
import SwapPopover from './SwapPopover.vue';

const rail = useRail();
const garage = useGarage();
const account = useAccount();

const forecast = useForecast();
const route = useRoute();

/** On the forecast the rail stands under its need, and at its cursor; elsewhere under the usual conditions. */
const main = computed(() =>
  route.meta.stage === 'forecast' && sameEnds(forecast.main?.chain, rail.answer?.chain) ? forecast.main : null,
);
const answer = computed(() => (rail.answer && main.value ? main.value.answer : rail.answer));
/** The pieces of that answer, which under the forecast's need may be others than elsewhere. */
const adapters = computed(() => (answer.value?.adapters ?? []).map((id) => ({ id, piece: garage.adapter(id) })));
const inlet = computed(() => rail.vehicle?.spec.inlets[Number(answer.value?.chain.at(-1)?.split('#').at(-1) ?? 0)]);
const point = computed(() =>
  main.value && forecast.cursorS !== null ? pointAt(main.value.points, forecast.cursorS) : null,
);
const bindingLink = computed(() => (point.value ? point.value.binding_link : answer.value?.binding_link));
const heldBy = computed(() => {
  const words = point.value ? main.value?.bindings[point.value.binding]?.words : undefined;
  return words ? `Held by ${words} at ${point.value?.soc.toFixed(0)}\u00a0%.` : 'Nothing flows yet.';
});
/** The heat of a link at the cursor, or at the end. */
const heatOf = (link: string | undefined) =>
  link === undefined ? undefined : (point.value?.theta ?? main.value?.theta_end)?.[link];
function boostOf(link: string | undefined): string | undefined {
  const minutes = main.value?.heat.find((h) => h.link === link)?.boost_minutes_today;
  return minutes === null || minutes === undefined ? undefined : `boost ${minutes.toFixed(1)} min today`;
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
const stepsUp = computed(() => [answer.value?.binding_link, bindingLink.value].includes('converter'));
const current = computed(() => rail.outlet?.spec.current ?? 'dc');
const binds = (link: string | undefined) => link !== undefined && bindingLink.value === link;
const outletBinds = computed(() => binds(rail.outlet?.id) || binds('cable'));

const outletOptions = computed(() =>
  garage.places.map((p) => ({
    group: p.name,
    items: p.outlets.map((o) => ({ id: o.id, name: o.name, hint: outletPlate(o) })),
  })),
);
const vehicleOptions = computed(() => [
  { group: '', items: garage.vehicles.map((v) => ({ id: v.id, name: v.name, hint: v.blurb })) },
]);
const adapterOptions = computed(() => [
  { group: '', items: [{ id: '', name: 'No adapter', hint: 'direct' }] },
  {
    group: 'The crate',
    items: garage.adapters.map((a) => ({ id: a.id, name: `${a.tag} · ${a.name}`, hint: a.blurb })),
  },
]);
const tags = computed(() => (answer.value?.adapters ?? []).map(garage.tag));
</script>

<template>
  <div class="rail">
    <div class="brand">
      <RouterLink to="/board" class="word">Harmozon</RouterLink>
      <span class="quiet">{{ account.me?.garage.name }}</span>
    </div>

    <template v-if="answer && rail.outlet && rail.vehicle">
      <div class="chain" role="group" aria-label="The chain">
        <SwapPopover
          label="Swap the outlet"
          :groups="outletOptions"
          :chosen="rail.outlet.id"
          @choose="(id) => rail.choose({ outlet: id })"
        >
          <RailPiece
            kicker="outlet"
            :name="rail.outlet.name"
            :plate="outletPlate(rail.outlet)"
            :binds="outletBinds"
            :joint="joint"
            :heat="heatOf('cable')"
            :boost="boostOf('cable')"
          />
        </SwapPopover>
        <SwapPopover
          label="Swap the adapter"
          :groups="adapterOptions"
          :chosen="answer.adapters[0] ?? ''"
          @choose="(id) => rail.choose({ adapters: id === '' ? [] : [id] })"
        >
          <template v-if="adapters.length > 0">
            <RailPiece
              v-for="a in adapters"
              :key="a.id"
              kicker="adapter"
              :name="a.piece ? `${a.piece.tag} ${a.piece.name}` : 'attached'"
              :plate="a.piece ? adapterPlate(a.piece) : ''"
              :binds="binds(a.id)"
              :joint="joint"
              :heat="heatOf(a.id)"
              :boost="boostOf(a.id)"
            />
          </template>
          <span v-else class="add-slot" title="Put an adapter between"
            ><span class="add" aria-hidden="true">+</span></span
          >
        </SwapPopover>
        <SwapPopover
          label="Swap the car"
          :groups="vehicleOptions"
          :chosen="rail.vehicle.id"
          @choose="(id) => rail.choose({ vehicle: id })"
        >
          <RailPiece
            kicker="inlet"
            :name="`${rail.vehicle.name}, ${inlet?.coupler ?? ''}`"
            :plate="inletPlate(inlet, current)"
            :binds="binds(answer.chain.at(-1))"
            joint="locked"
          />
        </SwapPopover>
        <RailPiece
          v-if="stepsUp"
          class="fixed"
          kicker="step-up"
          name="Converter"
          :plate="converterPlate(inlet)"
          binds
          joint="locked"
        />
        <RailPiece
          class="fixed"
          kicker="pack"
          :name="`${rail.vehicle.name}'s pack`"
          :plate="packPlate(rail.vehicle)"
          :binds="binds('pack')"
        />
      </div>
      <div class="folded">
        <JointGlyph :outcome="answer.outcome" :tags="tags" />
        <span class="names">{{ rail.vehicle.name }} at {{ rail.outlet.name }}</span>
      </div>
      <div class="verdict" :class="answer.outcome" aria-live="polite">
        <span class="word-out">{{ outcomeWords[answer.outcome] }}</span>
        <span v-if="point" class="kw figures">{{ kw(point.kw) }} kW at {{ clock(point.t_s) }}</span>
        <span v-else-if="answer.flows === 'yes'" class="kw figures">
          {{ kw(answer.expected_peak_kw) }} kW<template v-if="answer.outcome === 'limited'">
            of {{ kw(answer.ideal_peak_kw) }}</template
          >
        </span>
        <span class="why">{{ point ? heldBy : answer.why }}</span>
      </div>
    </template>
    <p v-else-if="rail.error" class="complaint hint" role="alert">{{ rail.error }}</p>
    <p v-else class="hint quiet">No chain chosen yet. Pick a cell on the board: a car at a charger.</p>
  </div>
</template>

<style scoped>
.rail {
  display: grid;
  grid-template-columns: 118px minmax(0, 1fr) 250px;
  gap: 18px;
  align-items: center;
  min-height: 104px;
  padding: 12px 20px;
}

.brand {
  display: flex;
  flex-direction: column;
  gap: 2px;
  font-size: 12.5px;
  line-height: 1.3;
}

.word {
  font-family: var(--face-wide);
  font-size: 19px;
  font-stretch: 122%;
  font-weight: 760;
  letter-spacing: -0.01em;
  text-decoration: none;
}

.chain {
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
  left: -12px;
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
  font-size: 19px;
  font-stretch: 112%;
  font-weight: 720;
  line-height: 1.15;
}

.kw {
  font-size: 15px;
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
  display: -webkit-box;
  overflow: hidden;
  font-size: 13px;
  line-height: 1.3;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
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
    grid-template-columns: auto minmax(0, 1fr);
    gap: 10px;
    min-height: 48px;
    padding: 7px 12px;
  }

  .chain {
    display: none;
  }

  .folded {
    display: flex;
    gap: 10px;
    align-items: center;
    min-width: 0;
  }

  .folded .names {
    overflow: hidden;
    max-width: 46vw;
    font-size: 13px;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .verdict {
    flex-direction: row;
    justify-content: flex-end;
  }

  .why {
    display: none;
  }

  .word-out {
    font-size: 13px;
    font-stretch: 96%;
    text-align: right;
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
