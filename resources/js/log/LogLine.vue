<script setup lang="ts">
import { computed } from 'vue';
import type { SessionLine } from '@/api/client';
import { useAccount } from '@/stores/account';
import VerdictStamp from './VerdictStamp.vue';
import { day, hour, number } from '@/ui/figures';
import { listed, say } from '@/words/say';
import SparkCurve from './SparkCurve.vue';

const props = defineProps<{ session: SessionLine }>();
const account = useAccount();
const zone = computed(() => account.me?.garage?.timezone ?? 'UTC');
const to = computed(() => (props.session.finished_at ? `/log/${props.session.id}` : `/connect/${props.session.id}`));
const through = computed(() => {
  const adapters = listed(
    'and',
    props.session.adapters.map((a) => a.name),
  );
  return adapters ? say('connect.through', { adapters }) : say('log.direct');
});
</script>

<template>
  <RouterLink :to="to" class="line">
    <span class="when">
      <span>{{ day(session.started_at, zone) }}</span>
      <span class="quiet">{{ hour(session.started_at, zone) }}</span>
    </span>
    <span class="what">
      <strong>{{ say('connect.at', { car: session.vehicle.name, outlet: session.outlet.name }) }}</strong>
      <span class="quiet">{{ through }}</span>
      <span v-if="session.note" class="note quiet">{{ session.note }}</span>
    </span>
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
    <VerdictStamp :verdict="session.verdict" />
  </RouterLink>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 104px minmax(0, 1fr) 130px 232px 176px;
  gap: 18px;
  align-items: center;
  padding: 11px 4px;
  border-bottom: 1px solid var(--line);
  text-decoration: none;
}

.line:hover {
  background: var(--paper-raised);
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
  overflow: hidden;
  font-size: 13px;
  text-overflow: ellipsis;
  white-space: nowrap;
}

dl {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 10px;
  margin: 0;
}

dt {
  color: var(--ink-soft);
  font-family: var(--face-text);
  font-size: 12px;
}

dd {
  margin: 0;
  font-weight: 640;
  white-space: nowrap;
}

dd span {
  font-size: 12px;
  font-weight: 400;
}

@media (width <= 1000px) {
  .line {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 6px 14px;
  }

  .when {
    flex-direction: row;
    gap: 8px;
  }

  .what {
    grid-column: 1 / -1;
    grid-row: 2;
  }

  .line :deep(.stamp) {
    grid-column: 2;
    grid-row: 1;
  }
}
</style>
