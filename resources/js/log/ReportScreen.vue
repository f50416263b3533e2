<script setup lang="ts">
import { computed, defineAsyncComponent, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { api, ask, type Report } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useRail } from '@/stores/rail';
import { useUndo } from '@/ui/useUndo';
import VerdictStamp from '@/ui/VerdictStamp.vue';
import { clock, day, hour, number } from '@/ui/words';
import PlateCheck from './PlateCheck.vue';
import StallFault from './StallFault.vue';
import TemperatureTable from './TemperatureTable.vue';

// The chart library is large: it is fetched only when a report is opened.
const SessionCurve = defineAsyncComponent(() => import('./SessionCurve.vue'));

const route = useRoute();
const router = useRouter();
const account = useAccount();
const undo = useUndo();
const rail = useRail();
const report = ref<Report | null>(null);
const error = ref('');
const zone = account.me?.garage.timezone ?? 'UTC';
const path = { params: { path: { session: String(route.params.id) } } };

const session = computed(() => report.value?.session);
const judgement = computed(() => report.value?.judgement);
const through = computed(() => session.value?.adapters.map((a) => a.name).join(' and '));
const provenance = { measured: 'measured', derived: 'derived', estimated: 'estimated' };
const peaks = computed(() => {
  const p = judgement.value?.peaks;
  return [
    { name: 'volts', unit: 'V', peak: p?.v, decimals: 0 },
    { name: 'amps', unit: 'A', peak: p?.a, decimals: 0 },
    { name: 'power', unit: 'kW', peak: p?.kw, decimals: 1 },
  ];
});

async function reopen(): Promise<void> {
  await ask(api.POST('/sessions/{session}/reopen', path));
  await router.push(`/connect/${path.params.path.session}`);
}

async function discard(): Promise<void> {
  await ask(api.DELETE('/sessions/{session}', path));
  undo.done('Session put aside.', async () => {
    await ask(api.POST('/sessions/{session}/restore', path));
    await router.push(`/log/${path.params.path.session}`);
  });
  await router.push('/log');
}

onMounted(async () => {
  try {
    report.value = await ask(api.GET('/sessions/{session}', path));
    await rail.follow(report.value.session);
  } catch (e) {
    error.value = e instanceof Error ? e.message : String(e);
  }
});
</script>

<template>
  <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  <p v-else-if="!report || !session || !judgement" class="quiet loading" role="status">Opening the session…</p>
  <article v-else class="report" aria-labelledby="report-title">
    <header>
      <div>
        <p class="kicker">
          <RouterLink to="/log">Log</RouterLink> · {{ day(session.started_at, zone) }},
          {{ hour(session.started_at, zone) }}
        </p>
        <h1 id="report-title">{{ session.vehicle.name }} at {{ session.outlet.name }}</h1>
        <p class="quiet">
          {{ through ? `through ${through}` : 'direct' }}<template v-if="session.note"> · {{ session.note }}</template>
        </p>
      </div>
      <VerdictStamp :verdict="session.finished_at ? judgement.verdict : null" />
    </header>

    <section class="top">
      <div class="verdict">
        <h2>{{ judgement.verdict_words }}</h2>
        <ul>
          <li v-for="finding in judgement.findings" :key="finding">{{ finding }}</li>
        </ul>
        <dl class="figures peaks">
          <div v-for="p in peaks" :key="p.name">
            <dt>peak {{ p.name }}</dt>
            <dd>
              {{ p.peak ? number(p.peak.value, p.decimals) : '–' }} <span>{{ p.unit }}</span>
            </dd>
            <dd class="small quiet">
              {{ p.peak ? `${provenance[p.peak.provenance]}, at ${clock(p.peak.t_s)}` : 'not read' }}
            </dd>
          </div>
          <div>
            <dt>10-minute mean</dt>
            <dd>{{ number(judgement.mean_10min.a) }} <span>A</span></dd>
            <dd class="small quiet">{{ number(judgement.mean_10min.kw, 1) }} kW</dd>
          </div>
          <div>
            <dt>energy at the plug</dt>
            <dd>{{ number(judgement.energy_kwh, 1) }} <span>kWh</span></dd>
            <dd class="small quiet">
              {{
                judgement.soc_gained === null ? 'charge not read' : `${number(judgement.soc_gained, 0)} points gained`
              }}
            </dd>
          </div>
          <div>
            <dt>readings</dt>
            <dd>{{ judgement.readings }}</dd>
            <dd class="small quiet">{{ judgement.flags.length + judgement.flags_left_out }} flagged</dd>
          </div>
        </dl>
      </div>
      <SessionCurve v-if="report.curve.length > 1" class="curve" :curve="report.curve" />
      <p v-else class="quiet curve-empty">Two readings make a curve.</p>
    </section>

    <PlateCheck :rows="judgement.plate_check" />
    <TemperatureTable v-if="judgement.temperatures.length > 0" :temperatures="judgement.temperatures" />

    <StallFault :session="session" />

    <section v-if="judgement.flags.length > 0" aria-labelledby="flags-title">
      <h2 id="flags-title">Flagged readings, kept as they are</h2>
      <ul class="flags">
        <li v-for="flag in judgement.flags.slice(0, 20)" :key="flag.t_s + flag.code">
          <span class="figures">{{ clock(flag.t_s) }}</span> {{ flag.detail }}
        </li>
      </ul>
      <p v-if="judgement.flags.length > 20" class="quiet">
        and {{ judgement.flags.length + judgement.flags_left_out - 20 }} more
      </p>
    </section>

    <footer>
      <button type="button" class="text-button" @click="reopen">Reopen to add readings</button>
      <button type="button" class="text-button" @click="discard">Put this session aside</button>
    </footer>
  </article>
</template>

<style scoped>
.report {
  max-width: 1180px;
  margin: 0 auto;
  padding: 16px 20px 40px;
}

header {
  display: flex;
  gap: 20px;
  align-items: flex-start;
  justify-content: space-between;
}

.top {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 32px;
  margin: 16px 0 22px;
}

.verdict ul {
  margin: 6px 0 12px;
  padding-left: 18px;
}

.peaks {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 12px 14px;
  margin: 0;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}

dt {
  color: var(--ink-soft);
  font-family: var(--face-text);
  font-size: 13px;
}

dd {
  margin: 0;
  font-size: 21px;
  font-weight: 680;
  line-height: 1.2;
}

dd span {
  font-size: 14px;
  font-weight: 500;
}

dd.small {
  font-family: var(--face-text);
  font-size: 13px;
  font-weight: 400;
}

.curve {
  height: 330px;
}

.curve-empty {
  align-self: center;
}

.flags {
  margin: 6px 0;
  padding: 0;
  list-style: none;
}

.flags li {
  padding: 3px 0;
  border-bottom: 1px solid var(--line);
}

footer {
  display: flex;
  gap: 24px;
  margin-top: 26px;
}

.loading,
.complaint {
  margin: 30px;
}

@media (width <= 900px) {
  .top {
    grid-template-columns: minmax(0, 1fr);
  }

  .peaks {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
