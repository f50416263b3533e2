<script setup lang="ts">
import type { Verdict } from '@/api/client';
import { useTerms } from '@/stores/terms';
import { say } from '@/words/say';

/** A verdict as a stamp: its glyph and its word. */
defineProps<{ verdict: Verdict | null }>();

const terms = useTerms();
</script>

<template>
  <span class="stamp" :class="verdict ?? 'open'">
    <svg viewBox="0 0 18 18" width="18" height="18" aria-hidden="true">
      <path v-if="verdict === 'passed'" d="M2 9.500L7 14.500L16 4" />
      <path v-else-if="verdict === 'passed_indicative'" d="M2 9.500L7 14.500L16 4" class="dashed" />
      <path v-else-if="verdict === 'caution'" d="M9 2L17 16H1ZM9 7V11M9 13V14" />
      <path v-else-if="verdict === 'failed'" d="M3 3L15 15M15 3L3 15" />
      <path v-else-if="verdict === 'incomplete'" d="M3 9H6M8 9H11M13 9H16" />
      <path v-else d="M9 3V9L13 12" />
    </svg>
    {{ verdict ? terms.title('verdict', verdict) : say('log.open') }}
  </span>
</template>

<style scoped>
.stamp {
  display: inline-flex;
  gap: var(--space-3);
  align-items: center;
  justify-self: start;
  padding-block: var(--space-1);
  padding-inline: var(--space-3) var(--space-5);
  border: 1.5px solid currentcolor;
  font-family: var(--face-wide);
  font-size: var(--size-small);
  font-weight: 650;
  white-space: nowrap;
}

path {
  fill: none;
  stroke: currentcolor;
  stroke-width: 2.2;
}

.dashed {
  stroke-dasharray: 3 2;
}

.passed,
.passed_indicative {
  color: var(--pine-text);
}

.caution {
  color: var(--ochre-text);
}

.failed {
  color: var(--brick-text);
}

.incomplete,
.open {
  color: var(--ink-soft);
}
</style>
