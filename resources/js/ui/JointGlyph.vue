<script setup lang="ts">
import { computed } from 'vue';
import type { Outcome } from '@/api/client';

/** Pieces of a chain seen from the side, outlet left, inlet right: how they join is the verdict. */
const props = defineProps<{
  outcome: Outcome;
  /** Tags of the adapters between, if any. */
  tags?: string[];
}>();

const label = computed(() => (props.tags ?? []).join('+'));
const isJoined = computed(() => props.outcome === 'charges' || props.outcome === 'limited');
</script>

<template>
  <!-- The tags are drawn, not written: what a piece is called is told beside the glyph. -->
  <span class="joint" :class="[outcome, { long: label.length > 3 }]" :data-tags="label" aria-hidden="true">
    <svg viewBox="0 0 76 28" width="66" height="24.3" focusable="false">
      <template v-if="!label">
        <template v-if="outcome === 'charges'">
          <path class="solid" d="M1 2H31V11L41.500 7.300V20.700L31 17V26H1Z" />
          <path class="hollow" d="M34.500 2H75V26H34.500V20.600L44.500 24.100V3.900L34.500 7.400Z" />
        </template>
        <template v-else-if="outcome === 'limited'">
          <path class="solid" d="M1 2H33V26H1Z" />
          <path class="thin" d="M33 12.200L46 8.500V19.500L33 15.800Z" />
          <path class="hollow" d="M36.500 2H75V26H36.500V18.500L49 22V6L36.500 9.500Z" />
        </template>
        <template v-else-if="outcome === 'unverified'">
          <path class="hollow" d="M1 2H31V11L41.500 7.300V20.700L31 17V26H1Z" />
          <path class="hollow" d="M34.500 2H75V26H34.500V20.600L44.500 24.100V3.900L34.500 7.400Z" />
        </template>
        <template v-else-if="outcome === 'wont_charge'">
          <path class="hollow" d="M1 2H37V26H1ZM39 2H75V26H39Z" />
          <path class="seam" d="M38 4V24" />
        </template>
        <template v-else-if="outcome === 'no_joint'">
          <path class="hollow" d="M1 2H27V26H1ZM49 2H75V26H49Z" />
        </template>
        <template v-else>
          <path class="solid" d="M1 2H36V26H1ZM40 2H75V26H40Z" />
          <path class="gap" d="M14 27L62 1" />
          <path class="bar" d="M14 27L62 1" />
        </template>
      </template>
      <template v-else>
        <path class="middle" d="M17 2H59V26H17Z" />
        <template v-if="isJoined || outcome === 'unverified'">
          <path :class="outcome === 'unverified' ? 'hollow' : 'solid'" d="M1 2H14V26H1ZM62 2H75V26H62Z" />
          <path
            :class="outcome === 'limited' ? 'thin' : outcome === 'unverified' ? 'hollow' : 'solid'"
            :d="
              outcome === 'limited'
                ? 'M14 12.200L22 10V18L14 15.800ZM62 12.200L54 10V18L62 15.800Z'
                : 'M14 10.500L23 6.500V21.500L14 17.500ZM62 10.500L53 6.500V21.500L62 17.500Z'
            "
          />
        </template>
        <template v-else-if="outcome === 'hazard'">
          <path class="solid" d="M1 2H14V26H1ZM62 2H75V26H62Z" />
          <path class="bar" d="M12 27L64 1" />
        </template>
        <path v-else class="hollow" d="M1 2H14V26H1ZM62 2H75V26H62Z" />
        <rect v-if="outcome === 'hazard'" class="plaque" x="24" y="7" width="28" height="14" />
      </template>
    </svg>
  </span>
</template>

<style scoped>
.joint {
  position: relative;
  display: block;
  flex: none;
  width: var(--glyph-width, 66px);
}

svg {
  display: block;
  width: 100%;
  height: auto;
}

.joint::after {
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  content: attr(data-tags);
  color: var(--ink);
  font-family: var(--face-wide);
  font-size: calc(var(--glyph-width, 66px) * 0.16);
  font-weight: 700;
  line-height: 1;
}

.long::after {
  font-size: calc(var(--glyph-width, 66px) * 0.12);
}

path {
  stroke-width: 1.5;
  stroke-linejoin: miter;
  fill: none;
}

.solid {
  fill: var(--ink);
  stroke: var(--ink);
}

.hollow,
.middle {
  stroke: var(--ink);
  fill: var(--paper-raised);
}

.thin {
  fill: var(--copper);
  stroke: var(--copper);
}

.unverified .hollow,
.unverified .middle {
  stroke: var(--ochre);
  stroke-dasharray: 3.5 2.5;
}

.unverified::after {
  color: var(--ochre-text);
}

.wont_charge .hollow,
.wont_charge .middle {
  stroke: var(--line-strong);
  fill: none;
}

.wont_charge .seam {
  stroke: var(--line-strong);
  stroke-dasharray: 2 2;
}

.wont_charge::after,
.no_joint::after {
  color: var(--ink-soft);
}

.no_joint .hollow {
  stroke: var(--line);
  fill: none;
}

.hazard .solid {
  fill: var(--brick);
  stroke: var(--brick);
}

.hazard .middle {
  stroke: var(--brick);
}

.hazard .bar {
  stroke: var(--brick);
  stroke-width: 3;
}

.hazard .gap {
  stroke: var(--paper);
  stroke-width: 8;
}

.hazard .plaque {
  fill: var(--paper-raised);
}

.hazard::after {
  color: var(--brick-text);
}
</style>
