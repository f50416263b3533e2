<script setup lang="ts">
import { computed } from 'vue';
import type { SessionLine } from '@/api/client';
import { useAccount } from '@/stores/account';
import VerdictStamp from './VerdictStamp.vue';
import { day, hour, number } from '@/ui/figures';
import { say } from '@/words/say';
import { wayOf } from './sessionNames';
import SparkCurve from './SparkCurve.vue';

const props = defineProps<{ session: SessionLine; isPicked: boolean; canPick: boolean }>();
const emit = defineEmits<{ pick: [] }>();
const account = useAccount();
const to = computed(() => (props.session.finished_at ? `/log/${props.session.id}` : `/connect/${props.session.id}`));
const through = computed(() => wayOf(props.session));
</script>

<template>
  <div class="whole">
    <RouterLink :to="to" class="line">
      <span class="when">
        <span>{{ day(session.started_at, account.zone) }}</span>
        <span class="quiet">{{ hour(session.started_at, account.zone) }}</span>
      </span>
      <span class="what">
        <strong>{{ say('connect.at', { car: session.vehicle.name, outlet: session.outlet.name }) }}</strong>
        <span class="quiet">{{ through }}</span>
        <span v-for="said in session.summary?.says ?? []" :key="said" class="said">{{ said }}</span>
        <span v-if="session.note" class="note quiet">{{ session.note }}</span>
      </span>
      <VerdictStamp :verdict="session.verdict" />
      <SparkCurve :points="session.summary?.spark ?? []" class="spark" />
      <dl class="figures">
        <div>
          <dt>{{ say('log.peak') }}</dt>
          <dd>
            {{ number(session.summary?.peak_kw, 0) }} <span>{{ say('unit.kw') }}</span>
          </dd>
        </div>
        <div>
          <dt>{{ say('log.energy') }}</dt>
          <dd>
            {{ number(session.summary?.energy_kwh, 1) }} <span>{{ say('unit.kwh') }}</span>
          </dd>
        </div>
        <div>
          <dt>{{ say('log.for') }}</dt>
          <dd>
            {{ number(session.summary?.minutes, 0) }} <span>{{ say('unit.minutes') }}</span>
          </dd>
        </div>
      </dl>
    </RouterLink>
    <label class="pick" :class="{ off: !canPick }">
      <input type="checkbox" :checked="isPicked" :disabled="!canPick" @change="emit('pick')" />
      <span class="sr-only">{{
        say('log.pick', {
          what: say('connect.at', { car: session.vehicle.name, outlet: session.outlet.name }),
          day: day(session.started_at, account.zone),
        })
      }}</span>
    </label>
  </div>
</template>

<style scoped>
.whole {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 32px;
  align-items: center;
  border-bottom: 1px solid var(--line);
}

.pick {
  display: grid;
  place-items: center;
  min-width: 32px;
  min-height: 32px;
}

.pick input {
  width: 17px;
  height: 17px;
}

.pick.off {
  opacity: 0.35;
}

.said {
  font-size: var(--size-label);
}

.line {
  display: grid;
  grid-template-columns: 104px minmax(0, 1fr) 190px 120px 216px;
  gap: var(--space-7);
  align-items: center;
  padding: var(--space-5) var(--space-2);
  text-decoration: none;
}

.line:hover {
  background: var(--paper-raised);
}

.line :deep(.stamp) {
  white-space: normal;
}

.when {
  white-space: nowrap;
}

.when,
.what {
  display: flex;
  flex-direction: column;
  line-height: 1.3;
}

.what strong {
  font-family: var(--face-wide);
}

.note {
  font-size: var(--size-small);
}

dl {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: var(--space-5);
  margin: 0;
}

dt {
  color: var(--ink-soft);
  font-family: var(--face-text);
  font-size: var(--size-note);
}

dd {
  margin: 0;
  font-weight: 640;
  white-space: nowrap;
}

dd span {
  font-size: var(--size-note);
  font-weight: 400;
}

@media (width <= 1000px) {
  .line {
    grid-template-columns: 130px minmax(0, 1fr);
    gap: var(--space-3) var(--space-6);
  }

  .when,
  .what,
  .line :deep(.stamp) {
    grid-column: 1 / -1;
  }

  .when {
    flex-direction: row;
    gap: var(--space-4);
  }
}

@media (width <= 480px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
