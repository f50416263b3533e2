<script setup lang="ts">
import { computed } from 'vue';
import type { components } from '@/api/schema';
import { useUnits } from '@/stores/units';
import { number, quantity, soc } from '@/ui/figures';
import { listed, say } from '@/words/say';

/** Averages as people quote them: to a charge, and what some minutes added; next to another session's, or the forecast's. */
type Windows = components['schemas']['Windows'];
type Mean = Pick<Windows['to_charge'][number], 'mean_kw' | 'minutes'>;
type More = Pick<Windows['added'][number], 'percent' | 'km'>;

/** Folded away where it stands beside a sentence that says what matters. */
const props = defineProps<{ windows: Windows; other?: Windows; heads: [string, string]; folds?: boolean }>();
const units = useUnits();

const mean = (w: Mean | null | undefined): string =>
  w ? listed('comma', [quantity(w.mean_kw, 'kw'), say('figure.minutes', { n: number(w.minutes, 1) })]) : number(null);
const more = (w: More | null | undefined): string =>
  w && w.percent !== null
    ? listed('comma', [`+${soc(w.percent)}`, ...(w.km === null ? [] : [`+${units.road(w.km)}`])])
    : number(null);
const isGap = (a: { gap: boolean }, b: { gap: boolean } | undefined) => a.gap || b?.gap === true;

const rows = computed(() => [
  ...props.windows.to_charge.map((w) => {
    const other = props.other?.to_charge.find((o) => o.soc === w.soc);
    return {
      key: `to${w.soc}`,
      label: say('averages.to', { percent: soc(w.soc) }),
      read: mean(w),
      beside: mean(props.other ? other : w.forecast),
      isGap: isGap(w, other),
    };
  }),
  ...props.windows.added.map((w) => {
    const other = props.other?.added.find((o) => o.after_minutes === w.after_minutes);
    return {
      key: `after${w.after_minutes}`,
      label: say('averages.after', { minutes: say('figure.minutes', { n: w.after_minutes }) }),
      read: more(w),
      beside: more(props.other ? other : w.forecast),
      isGap: isGap(w, other),
    };
  }),
]);
</script>

<template>
  <component :is="folds ? 'details' : 'section'" v-if="rows.length > 0">
    <component :is="folds ? 'summary' : 'h2'">{{ say('averages.title') }}</component>
    <table>
      <thead>
        <tr>
          <td />
          <th v-for="(head, i) in heads" :key="i" scope="col">{{ head }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key">
          <th scope="row">
            {{ row.label }}<span v-if="row.isGap" class="quiet small"> {{ say('averages.gap') }}</span>
          </th>
          <td class="figures">{{ row.read }}</td>
          <td class="figures quiet">{{ row.beside }}</td>
        </tr>
      </tbody>
    </table>
  </component>
</template>

<style scoped>
section {
  margin: var(--space-8) 0;
}

table {
  width: 100%;
  max-width: 620px;
  border-collapse: collapse;
}

th,
td {
  padding-block: var(--space-2);
  padding-inline: 0 var(--space-5);
  border-bottom: 1px solid var(--line);
  text-align: start;
}

thead th {
  font-weight: 600;
}

tbody th {
  font-weight: 400;
}

.small {
  font-size: var(--size-small);
}
</style>
