<script setup lang="ts">
import { useTerms } from '@/stores/terms';
import AnyFace from '@/ui/AnyFace.vue';
import { vTyped } from '@/ui/typed';
import { say } from '@/words/say';
import type { Seen } from './useShop';

/** The label of an adapter in a shop, typed as one reads it. */
const seen = defineModel<Seen>({ required: true });
const terms = useTerms();
const { couplers, sockets } = terms.known();
const figures = [
  { key: 'max_v', label: say('unit.volts') },
  { key: 'continuous_a', label: say('field.amps_continuous') },
  { key: 'boost_a', label: say('field.amps_boost') },
  { key: 'boost_minutes', label: say('field.boost_for') },
  { key: 'max_kw', label: say('unit.kw') },
] as const;
const sold = ['not_said', 'ac', 'dc', 'any_car'] as const;
const soldWords = {
  not_said: 'shop.sold_not_said',
  ac: 'shop.sold_ac',
  dc: 'shop.sold_dc',
  any_car: 'shop.sold_any',
} as const;

function set(key: (typeof figures)[number]['key'], typed: string): void {
  const n = Number(typed.replace(',', '.'));
  seen.value[key] = typed.trim() === '' || !Number.isFinite(n) ? null : n;
}
</script>

<template>
  <div class="seen">
    <div class="faces">
      <AnyFace v-if="seen.input" :coupler="seen.input" />
      <span v-else class="none" aria-hidden="true" />
      <svg viewBox="0 0 120 60" aria-hidden="true"><path d="M2 2H12V58H2ZM12 14H108V46H12ZM108 6H118V54H108Z" /></svg>
      <AnyFace v-if="seen.output" :coupler="seen.output" />
      <span v-else class="none" aria-hidden="true" />
    </div>
    <label>
      <span class="field-name">{{ say('field.charger_side') }}</span>
      <select v-model="seen.input">
        <option value="">{{ say('figure.none') }}</option>
        <option v-for="c in [...couplers, ...sockets]" :key="c.id" :value="c.id">{{ c.name }}</option>
      </select>
    </label>
    <label>
      <span class="field-name">{{ say('field.car_side') }}</span>
      <select v-model="seen.output">
        <option value="">{{ say('figure.none') }}</option>
        <option v-for="c in couplers" :key="c.id" :value="c.id">{{ c.name }}</option>
      </select>
    </label>
    <label>
      <span class="field-name">{{ say('field.wired_for') }}</span>
      <select v-model="seen.current">
        <option value="">{{ say('shop.not_said') }}</option>
        <option v-for="c in terms.all('current')" :key="c.id" :value="c.id">{{ c.title }}</option>
      </select>
    </label>
    <label v-for="f in figures" :key="f.key">
      <span class="field-name">{{ f.label }}</span>
      <input
        v-typed="seen[f.key]"
        inputmode="decimal"
        autocomplete="off"
        @change="set(f.key, ($event.target as HTMLInputElement).value)"
      />
    </label>
    <label>
      <span class="field-name">{{ say('shop.sold_for') }}</span>
      <select v-model="seen.sold_for">
        <option v-for="s in sold" :key="s" :value="s">{{ say(soldWords[s]) }}</option>
      </select>
    </label>
    <label>
      <span class="field-name">{{ say('field.paid') }}</span>
      <input v-model="seen.price" inputmode="decimal" autocomplete="off" maxlength="12" />
    </label>
    <label>
      <span class="field-name">{{ say('editor.name') }}</span>
      <input v-model="seen.name" autocomplete="off" maxlength="120" />
    </label>
    <details>
      <summary>{{ say('shop.active') }}</summary>
      <label v-for="side in ['from', 'to'] as const" :key="side">
        <span class="field-name">{{ say(side === 'from' ? 'field.understands' : 'field.speaks_to_car') }}</span>
        <select v-model="seen[side]">
          <option value="">{{ say('figure.none') }}</option>
          <option v-for="s in terms.all('signalling')" :key="s.id" :value="s.id">{{ s.title }}</option>
        </select>
      </label>
    </details>
  </div>
</template>

<style scoped>
.seen {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-5) var(--space-6);
}

.faces,
details {
  grid-column: 1 / -1;
}

.faces {
  display: grid;
  grid-template-columns: 64px 1fr 64px;
  gap: var(--space-5);
  align-items: center;
}

.faces :deep(svg) {
  width: 100%;
  height: 64px;
}

.faces path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}

.none {
  height: 56px;
  border: 1.5px dashed var(--line-strong);
  border-radius: 50%;
}

label {
  display: flex;
  flex-direction: column;
  gap: var(--space-1);
  font-size: var(--size-small);
}

.field-name {
  display: block;
}

.field-name::first-letter {
  text-transform: uppercase;
}

input,
select {
  width: 100%;
  min-width: 0;
  min-height: 44px;
  font-size: var(--size-text);
}

summary {
  min-height: 32px;
  font-size: var(--size-small);
  cursor: pointer;
}
</style>
