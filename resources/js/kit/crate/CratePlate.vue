<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Adapter } from '@/api/client';
import { isAbout, originsOf } from '@/plates/origins';
import { useAccount } from '@/stores/account';
import { useExperience } from '@/stores/experience';
import { useGarage } from '@/stores/garage';
import { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import AnyFace from '@/ui/AnyFace.vue';
import { day, number, percent } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';
import AdapterTrust from '@/kit/AdapterTrust.vue';
import PieceHead from '@/kit/PieceHead.vue';
import { useKitActions } from '@/kit/useKitActions';
import FirstTest from './FirstTest.vue';

/** An adapter as its engraved plate, both faces beside it. The whole plate opens the editor. */
const props = defineProps<{ adapter: Adapter }>();

const kit = useKitActions();
const account = useAccount();
const garage = useGarage();
const terms = useTerms();
const units = useUnits();
const experience = useExperience();
const trust = computed(() => experience.trustIn(props.adapter.id));
/** What it needs before it is used: what its record says goes before what its sessions say. */
const need = computed(() => props.adapter.need?.words ?? trust.value?.next_test.label ?? null);
const isForbidden = computed(() => props.adapter.need?.forbids_use ?? false);
const spec = computed(() => props.adapter.spec);
const plate = computed(() => spec.value.plate);
/** What nobody has read on this piece isn't engraved. */
const origins = computed(() => originsOf(spec.value as Record<string, unknown>));
const engraved = (value: number | null | undefined, path: string): number | null =>
  value === undefined || isAbout(origins.value[`plate.${path}`]) ? null : value;
const volts = computed(() => engraved(plate.value?.max_v, 'max_v'));
const amps = computed(() => engraved(plate.value?.continuous_a, 'continuous_a'));
const boost = computed(() => engraved(plate.value?.boost_a, 'boost_a'));
const proven = computed(() => trust.value?.proven.of_continuous ?? null);
const below = computed(() => [
  ...(boost.value === null
    ? amps.value === null
      ? []
      : [say('crate.continuous')]
    : [say('crate.boost', { amps: number(boost.value), minutes: number(plate.value?.boost_minutes) })]),
  ...(plate.value?.max_kw == null ? [] : [say('figure.kw', { n: number(plate.value.max_kw) })]),
]);
const certification = computed(() =>
  spec.value.certification ? terms.words('certification', spec.value.certification) : say('crate.uncertified'),
);
const facts = computed(() => [
  spec.value.certificate_number ? say('crate.certificate', { number: spec.value.certificate_number }) : '',
  spec.value.maker_approved === true ? say('crate.approved') : '',
  spec.value.mass_g != null ? say('crate.weighs', { grams: number(spec.value.mass_g) }) : '',
  spec.value.firmware ? say('crate.firmware', { version: spec.value.firmware }) : '',
  spec.value.theft_lock === true ? say('crate.lock') : '',
  spec.value.derate_c != null ? say('crate.reduces', { at: units.celsius(spec.value.derate_c) }) : '',
  spec.value.attach_order ? terms.words('attach_order', spec.value.attach_order) : '',
  spec.value.translates ? say('crate.active') : '',
  spec.value.charged_on ? say('crate.charged_on', { day: day(spec.value.charged_on, 'UTC') }) : '',
  spec.value.purchased_on ? say('crate.bought_on', { day: day(spec.value.purchased_on, 'UTC') }) : '',
]);
const where = computed(() =>
  spec.value.lent_to
    ? say('crate.lent', { who: spec.value.lent_to })
    : spec.value.kept_in
      ? say('crate.kept_in', { where: spec.value.kept_in })
      : '',
);
const unread = computed(() => garage.unread[props.adapter.id] ?? 0);

/** What its sessions say is drawn once somebody looks: a fleet has hundreds of plates. */
const isOpen = ref(false);
/** Null while nobody is lending it. */
const borrower = ref<string | null>(null);
const LONGEST = 80;

async function lend(): Promise<void> {
  const who = borrower.value?.trim();
  if (who) {
    await kit.set(props.adapter.id, { lent_to: who });
  }
  borrower.value = null;
}
/** The day it is at the garage. */
const today = (): string => new Date().toLocaleDateString('sv-SE', { timeZone: account.zone });
</script>

<template>
  <article class="plate" :class="{ stop: isForbidden }">
    <PieceHead :id="adapter.id" kind="adapters" :name="adapter.name" is-copied>
      <span class="tag">{{ adapter.tag }}</span>
      <template #state>
        <span v-if="need" class="state">{{ need }}</span>
      </template>
      <template #menu>
        <TextButton
          v-if="spec.lent_to"
          :words="say('crate.back')"
          :of="adapter.name"
          @click="kit.set(adapter.id, { lent_to: null })"
        />
        <TextButton v-else :words="say('crate.lend')" :of="adapter.name" @click="borrower = ''" />
        <TextButton
          v-if="spec.translates && spec.battery_ok !== true"
          :words="say('crate.is_charged')"
          :of="adapter.name"
          @click="kit.set(adapter.id, { battery_ok: true, charged_on: today() })"
        />
        <RouterLink class="text-button" :to="`/kit/label/${adapter.id}`">{{ say('crate.label') }}</RouterLink>
      </template>
    </PieceHead>
    <div class="body">
      <AnyFace :coupler="spec.input" />
      <div class="barrel">
        <svg viewBox="0 0 220 74" preserveAspectRatio="none" aria-hidden="true">
          <path d="M2 2H16V72H2ZM16 17H204V57H16ZM204 6H218V68H204Z" />
        </svg>
        <p class="figures">
          <span>{{ volts === null ? say('crate.no_volts') : say('figure.volts', { n: number(volts) }) }}</span>
          <span>{{ amps === null ? say('crate.no_amps') : say('figure.amps', { n: number(amps) }) }}</span>
        </p>
        <svg v-if="isForbidden" class="strike" viewBox="0 0 220 74" preserveAspectRatio="none" aria-hidden="true">
          <path d="M12 66L208 8" />
        </svg>
      </div>
      <AnyFace :coupler="spec.output" />
      <span class="side">{{ terms.couplerName(spec.input) }}</span>
      <span class="below">{{ listed('dot', below) }}</span>
      <span class="side">{{ terms.couplerName(spec.output) }}</span>
    </div>
    <p class="proof">
      <svg viewBox="0 0 100 6" preserveAspectRatio="none" aria-hidden="true">
        <rect class="ground" width="100" height="6" />
        <rect class="filled" :width="100 * Math.min(1, proven ?? 0)" height="6" />
      </svg>
      <span>{{
        proven === null
          ? say('crate.unproven')
          : proven >= 1
            ? say('crate.all_proven')
            : say('crate.proven', { share: percent(proven) })
      }}</span>
      <span v-if="trust && trust.sessions > 0 && !trust.asks_for_test" class="quiet">{{ trust.warming_words }}</span>
    </p>
    <p class="facts quiet">
      {{
        listed(
          'dot',
          [certification, ...facts, where].filter((f) => f !== ''),
        )
      }}
    </p>
    <p v-if="adapter.blurb" class="facts quiet">{{ adapter.blurb }}</p>
    <p v-if="unread > 0" class="facts unread">{{ say('filter.n_unread', { n: unread }) }}</p>
    <form v-if="borrower !== null" class="lend" @submit.prevent="lend">
      <label>
        {{ say('crate.lend_to') }}
        <input v-model="borrower" :maxlength="LONGEST" autocomplete="off" @vue:mounted="$event.el.focus()" />
      </label>
      <TextButton @click="lend">{{ say('editor.keep') }}</TextButton>
      <TextButton @click="borrower = null">{{ say('editor.leave') }}</TextButton>
    </form>
    <details v-if="trust" class="more" @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
      <summary>{{ say('crate.history', { n: trust.sessions }) }}</summary>
      <template v-if="isOpen">
        <AdapterTrust :trust="trust" />
        <FirstTest v-if="trust.next_test.due && !isForbidden" :adapter="adapter" />
      </template>
    </details>
  </article>
</template>

<style scoped>
.plate {
  position: relative;
  display: flex;
  flex-direction: column;
  gap: var(--space-3);
  padding: var(--space-6) var(--space-7) var(--space-5);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
}

/* The menu may hang over the next plate. */
.plate:has(.menu.open) {
  z-index: 4;
}

.plate.stop {
  border-width: 2.5px;
  border-color: var(--brick);
}

.plate:hover {
  background: var(--paper);
}

.lend,
.more {
  position: relative;
  z-index: 1;
}

.plate :deep(h3) {
  font-size: var(--size-text);
  font-weight: 500;
}

.tag {
  font-family: var(--face-wide);
  font-weight: 700;
}

.state {
  color: var(--ochre-text);
  font-size: var(--size-small);
  font-weight: 600;
  text-align: end;
}

.stop .state,
.stop .tag {
  color: var(--brick-text);
}

.body {
  display: grid;
  grid-template-columns: 58px minmax(0, 1fr) 58px;
  gap: 0 var(--space-5);
  align-items: center;
}

.body > :deep(svg) {
  width: 58px;
  height: 64px;
}

.barrel {
  position: relative;
  height: 64px;
}

.barrel svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}

.barrel path {
  fill: var(--paper-raised);
  stroke: var(--ink);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}

.stop .barrel path {
  stroke: var(--brick);
}

.barrel .strike path {
  fill: none;
  stroke: var(--brick);
  stroke-width: 5;
}

.figures {
  position: absolute;
  inset: 0 9%;
  display: flex;
  gap: var(--space-5);
  justify-content: center;
  align-items: center;
  margin: 0;
  font-family: var(--face-wide);
  font-size: var(--size-lead);
  font-weight: 600;
  white-space: nowrap;
}

.side,
.below {
  color: var(--ink-soft);
  font-size: var(--size-small);
  text-align: center;
}

.proof {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-5);
  margin: var(--space-2) 0 0;
  font-size: var(--size-small);
}

.proof svg {
  flex: 1 0 100%;
  height: 6px;
  margin-bottom: var(--space-1);
}

.ground {
  fill: var(--ink-wash);
}

.filled {
  fill: var(--ink);
}

.facts {
  margin: 0;
  font-size: var(--size-small);
  line-height: 1.35;
}

.lend {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4);
  align-items: center;
  font-size: var(--size-small);
}

.unread {
  color: var(--ochre-text);
}

.more {
  font-size: var(--size-small);
}

.more summary {
  width: fit-content;
  min-height: 24px;
  cursor: pointer;
}

@media (width <= 400px) {
  .state {
    order: 9;
    width: 100%;
    text-align: start;
  }
}

@media print {
  .plate {
    break-inside: avoid;
  }
}
</style>
