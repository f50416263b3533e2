<script setup lang="ts">
import { computed } from 'vue';
import type { Cell } from '@/api/client';
import { useGarage } from '@/stores/garage';
import { useTerms } from '@/stores/terms';
import JointGlyph from '@/ui/JointGlyph.vue';
import { kw, ranged } from '@/ui/figures';
import { say } from '@/words/say';

/** The answer for a pair: its joint, and its kW or the reason why it won't charge. */
const props = defineProps<{ cell: Cell }>();

const garage = useGarage();
const terms = useTerms();
/** What is to be done first, or why there is no figure; nothing where the figure says it. */
const short = computed(() => terms.short(props.cell.refused_by_policy ? 'refused_by_policy' : props.cell.outcome));
const isSpan = computed(() => props.cell.band_kw !== null && props.cell.flows !== 'no' && !props.cell.at_most);
const figure = computed(() => {
  if (isSpan.value) {
    return ranged(props.cell);
  }
  return short.value || kw(props.cell.band_kw?.[1] ?? props.cell.expected_peak_kw);
});
/** Above a figure that is not certain. */
const above = computed(() => {
  if (props.cell.at_most) {
    return say('board.at_most');
  }
  return isSpan.value && short.value !== '' ? props.cell.title : '';
});
/** Read as words of its own. */
const spaced = computed(() => (above.value === '' ? figure.value : ` ${figure.value}`));
</script>

<template>
  <JointGlyph :outcome="cell.outcome" :tags="cell.adapters.map(garage.tag)" />
  <span class="figure figures" :class="cell.outcome"
    ><small v-if="above">{{ above }}</small
    >{{ spaced }}<span v-if="cell.other_way_is_hazard" class="other-way" aria-hidden="true"
  /></span>
</template>

<style scoped>
/* A unit is told above the column. */
.figure {
  font-weight: 660;
  white-space: nowrap;
}

.figure small {
  display: block;
  font-size: var(--size-note);
  font-weight: 500;
  line-height: 1;
  white-space: nowrap;
}

.other-way::after {
  content: '!';
  margin-inline-start: 1px;
  color: var(--brick-text);
  font-weight: 800;
}

:global(.dense .joint) {
  width: 50px;
  height: 18.4px;
}

.unverified {
  color: var(--ochre-text);
}

.hazard {
  color: var(--brick-text);
  white-space: nowrap;
}

.wont_charge,
.no_joint {
  color: var(--ink-faint);
  font-weight: 500;
}
</style>
