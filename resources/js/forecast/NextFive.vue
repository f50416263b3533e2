<script setup lang="ts">
import { computed } from 'vue';
import type { Forecast } from '@/api/client';
import AskForm from '@/plates/AskForm.vue';
import { useForecast } from '@/stores/forecast';
import { useGarage } from '@/stores/garage';
import { money, number, quantity, soc } from '@/ui/figures';
import Said from '@/words/Said.vue';
import { fixed } from '@/words/habits';
import { say } from '@/words/say';

/** Time for every 5 %, first the one after the target; how long boosts last; where the next stop is quicker. */
const props = defineProps<{ main: Forecast }>();
const forecast = useForecast();
const garage = useGarage();

const next = computed(() => {
  const last = props.main.marginal.at(-1);
  return last && last.soc >= props.main.soc_end - 0.01 ? last : null;
});
const before = computed(() => props.main.marginal.filter((m) => m !== next.value));
const most = computed(() => Math.max(...props.main.marginal.map((m) => m.minutes_per_5), 0.1));
const fault = computed(() => garage.outlet(props.main.answer.outlet)?.spec.known_fault);
const boosts = computed(() =>
  props.main.heat
    .filter((h) => h.boost_minutes_today !== null)
    .map((h) => ({
      ...h,
      name: nameOf(h.link),
      minutes: minutes(h.boost_minutes_today ?? 0),
      used:
        h.full_at_minute === null
          ? say('next.not_used_up')
          : say('next.used_up', { minute: fixed(h.full_at_minute, 0) }),
    })),
);
const minutes = (n: number) => say('figure.minutes', { n: fixed(n, 1) });

function nameOf(linkId: string): string {
  const link = props.main.answer.links.find((l) => l.id === linkId);
  const piece = link && garage.adapter(link.piece);
  return piece ? say('rail.piece', { tag: piece.tag, name: piece.name }) : (link?.label ?? linkId);
}

/** What the next 5 % take: minutes, and the price where it is known. */
function told(step: Forecast['marginal'][number]): string {
  return step.amount_per_5 === null
    ? minutes(step.minutes_per_5)
    : say('next.figures', {
        minutes: minutes(step.minutes_per_5),
        price: money(step.amount_per_5, props.main.cost?.currency),
      });
}
</script>

<template>
  <div class="next">
    <div>
      <p v-if="next" class="lead">
        <Said code="next.lead" :figures="{ percent: soc(next.soc) }"
          ><template #step
            ><strong class="figures">{{ told(next) }}</strong></template
          ></Said
        >
      </p>
      <p v-else-if="main.stopped" class="lead">{{ main.stopped }}</p>
      <p v-if="forecast.need.nextStopKw !== null">
        {{
          main.go_on_at_soc === null
            ? say('next.never_on', { percent: soc(main.soc_end) })
            : say('next.on_from', { percent: soc(main.go_on_at_soc) })
        }}
      </p>
      <p v-for="b in boosts" :key="b.link">
        <Said
          code="next.boost"
          :figures="{ piece: b.name, amps: quantity(b.boost_a, 'a'), then: quantity(b.effective_a, 'a'), used: b.used }"
        >
          <template #minutes
            ><strong class="figures">{{ b.minutes }}</strong></template
          >
        </Said>
      </p>
      <p v-if="fault" class="open">{{ say('next.fault', { fault }) }}</p>
      <template v-if="main.unread.length > 0">
        <p class="open">{{ say('next.ceiling') }}</p>
        <AskForm v-for="ask in main.unread" :key="ask.piece + ask.path" :ask="ask" />
      </template>
    </div>
    <div>
      <p class="kicker" aria-hidden="true">{{ say('next.steps') }}</p>
      <ol class="steps" :aria-label="say('next.steps_label')">
        <li v-for="m in before" :key="m.soc">
          <span class="quiet figures">{{ soc(m.soc) }}</span>
          <span class="bar" :style="{ inlineSize: `${(m.minutes_per_5 / most) * 100}%` }" />
          <span class="figures"
            >{{ number(m.minutes_per_5, 1) }}<span class="sr-only">&nbsp;{{ say('unit.minutes') }}</span></span
          >
        </li>
      </ol>
    </div>
  </div>
</template>

<style scoped>
.next {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
  gap: var(--space-5) var(--space-10);
}

.next > div {
  display: flex;
  flex-direction: column;
  gap: var(--space-2);
}

.lead strong {
  white-space: nowrap;
}

.open {
  color: var(--ochre-text);
}

.steps {
  display: grid;
  grid-auto-flow: column;
  grid-template-rows: repeat(7, auto);
  gap: 1px var(--space-9);
  margin: 0;
  padding: 0;
  font-size: var(--size-small);
  list-style: none;
}

.steps li {
  display: grid;
  grid-template-columns: 38px minmax(0, 1fr) 34px;
  gap: var(--space-3);
  align-items: center;
  line-height: 1.35;
}

.steps .figures:last-child {
  text-align: end;
}

.bar {
  height: 7px;
  background: var(--line-strong);
}

@media (width <= 720px) {
  .next {
    grid-template-columns: minmax(0, 1fr);
  }

  .steps {
    grid-auto-flow: row;
    grid-template-rows: none;
  }
}
</style>
