<script setup lang="ts">
import type { Vetting } from '@/api/client';
import { useGarage } from '@/stores/garage';
import { kw } from '@/ui/figures';
import { listed, say } from '@/words/say';

/** What is said about an adapter before it is bought: verdict, reasons, what it would add. */
const props = defineProps<{ vetting: Vetting }>();
const garage = useGarage();

const pair = (p: { vehicle: string; outlet: string }) =>
  say('more.pair', { car: garage.vehicle(p.vehicle)?.name ?? '', outlet: garage.outlet(p.outlet)?.name ?? '' });
const already = () =>
  props.vetting.already_serves.map((a) =>
    say('shop.already_one', { name: garage.adapter(a.adapter)?.name ?? a.adapter, n: a.pairs }),
  );
</script>

<template>
  <div class="verdict" :class="vetting.verdict" role="status">
    <h3>{{ vetting.title }}</h3>
    <ul v-if="vetting.reasons.length > 0" class="reasons">
      <li v-for="r in vetting.reasons" :key="r.code + r.detail" :class="{ decisive: r.decisive }">{{ r.detail }}</li>
    </ul>
    <p v-else>{{ say('shop.no_reasons') }}</p>
    <h4>{{ say('shop.adds', { n: vetting.adds.length }) }}</h4>
    <table v-if="vetting.adds.length > 0">
      <tbody>
        <tr v-for="a in vetting.adds" :key="a.vehicle + a.outlet">
          <td>{{ pair(a) }}</td>
          <td class="figures">
            {{
              a.at_most
                ? say('figure.at_most', { kw: kw(a.expected_peak_kw) })
                : say('figure.kw', { n: kw(a.expected_peak_kw) })
            }}
          </td>
          <td class="quiet">{{ a.limited_by ? say('shop.limited', { by: a.limited_by }) : '' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="vetting.faster.length > 0">{{ say('shop.faster', { n: vetting.faster.length }) }}</p>
    <p v-if="vetting.already_serves.length > 0">
      {{ say('shop.already', { pieces: listed('and', already()), all: vetting.serves }) }}
    </p>
    <p class="quiet">{{ say('shop.no_guarantee') }}</p>
  </div>
</template>

<style scoped>
.verdict {
  padding: var(--space-6) var(--space-7);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
}

.leave_it {
  border-color: var(--brick);
  border-width: 2.5px;
}

h3 {
  margin: 0 0 var(--space-4);
  font-size: var(--size-title);
}

.leave_it h3,
.decisive {
  color: var(--brick-text);
}

.ask_first h3 {
  color: var(--ochre-text);
}

h4 {
  margin: var(--space-6) 0 var(--space-2);
  font-size: var(--size-text);
}

.reasons {
  margin: 0;
  padding-inline-start: 1.2em;
}

.decisive {
  font-weight: 600;
}

table {
  width: 100%;
  border-collapse: collapse;
  font-size: var(--size-small);
}

td {
  padding-block: var(--space-2);
  padding-inline: 0 var(--space-3);
  border-bottom: 1px solid var(--line);
}

p {
  margin: var(--space-3) 0 0;
}
</style>
