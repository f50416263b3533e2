<script setup lang="ts">
import { computed } from 'vue';
import type { HeldBack, Judgement } from '@/api/client';
import { clock, number } from '@/ui/figures';
import { listed, say } from '@/words/say';

/** What limited a session, segment by segment, with evidence, cost, and what to try next. */
const props = defineProps<{ judgement: Judgement }>();
const emit = defineEmits<{ look: [from: number, to: number] }>();

const WORTH = 0.05;
const cost = (segment: HeldBack) =>
  (segment.lost_minutes ?? 0) >= WORTH
    ? say('report.lost', { minutes: number(segment.lost_minutes, 1) })
    : number(null);
const span = (segment: HeldBack) => say('report.from_to', { from: clock(segment.from_s), to: clock(segment.to_s) });
const grade = computed(() => props.judgement.forecast);
</script>

<template>
  <section aria-labelledby="held-title">
    <h2 id="held-title">{{ say('report.held') }}</h2>
    <p v-if="!judgement.held_back_by?.length" class="quiet">{{ say('report.nothing_held') }}</p>
    <ol>
      <li v-for="segment in judgement.held_back_by" :key="segment.from_s + segment.cause">
        <div class="row">
          <button
            type="button"
            class="cause"
            :aria-label="say('report.closer', { cause: segment.words })"
            @click="emit('look', segment.from_s, segment.to_s)"
          >
            {{ segment.words }}
          </button>
          <span class="figures cost">{{ cost(segment) }}</span>
        </div>
        <div class="row quiet small">
          <span>{{ listed('dot', [segment.evidence, segment.confidence_words]) }}</span>
        </div>
        <p class="quiet small next">{{ listed('dot', [span(segment), segment.try_next]) }}</p>
      </li>
    </ol>
    <p v-if="grade" class="small">
      {{
        say('report.graded', {
          forecast: number(grade.minutes, 1),
          measured: number(grade.measured_minutes, 1),
          kw: number(grade.mean_error_kw, 1),
        })
      }}
    </p>
  </section>
</template>

<style scoped>
ol {
  margin: var(--space-3) 0 var(--space-4);
  padding: 0;
  list-style: none;
}

li {
  padding: var(--space-3) 0;
  border-bottom: 1px solid var(--line);
}

.row {
  display: flex;
  gap: var(--space-6);
  justify-content: space-between;
}

.cause {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  font-weight: 650;
  text-align: start;
  cursor: pointer;
}

.cause:hover {
  text-decoration: underline;
}

.cost {
  font-weight: 650;
  white-space: nowrap;
}

.small {
  margin: var(--space-1) 0 0;
  font-size: var(--size-small);
}
</style>
