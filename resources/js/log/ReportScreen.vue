<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { api, ask, wordsOf, type Report } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useRail } from '@/stores/rail';
import { useUndo } from '@/stores/undo';
import VerdictStamp from './VerdictStamp.vue';
import { useTerms } from '@/stores/terms';
import { clock, day, hour, number } from '@/ui/figures';
import Said from '@/words/Said.vue';
import { listed, say } from '@/words/say';
import PlateCheck from './PlateCheck.vue';
import SessionCurve from '@/chart/SessionCurve.vue';
import SessionPhotos from '@/ui/SessionPhotos.vue';
import StallFault from './StallFault.vue';
import TemperatureTable from './TemperatureTable.vue';

const route = useRoute();
const router = useRouter();
const account = useAccount();
const undo = useUndo();
const terms = useTerms();
const rail = useRail();
const report = ref<Report | null>(null);
const error = ref('');
const zone = account.me?.garage?.timezone ?? 'UTC';
const path = { params: { path: { session: String(route.params.id) } } };

const session = computed(() => report.value?.session);
const judgement = computed(() => report.value?.judgement);
const through = computed(() => {
  const adapters = listed('and', session.value?.adapters.map((a) => a.name) ?? []);
  const chain = adapters ? say('connect.through', { adapters }) : say('log.direct');
  const note = session.value?.note;
  return note ? say('report.noted', { chain, note }) : chain;
});
/** Flags that are listed; the rest is counted. */
const LISTED = 20;
const flagged = computed(() => (judgement.value?.flags.length ?? 0) + (judgement.value?.flags_left_out ?? 0));
const happened = computed(() => report.value?.events ?? []);
const handshake = computed(() => report.value?.handshake_s ?? null);
/** What the place counted and asked for. */
const counted = computed(() => report.value?.counted ?? []);
const peaks = computed(() => {
  const p = judgement.value?.peaks;
  return [
    { name: say('report.peak_volts'), unit: say('unit.volts'), peak: p?.v, decimals: 0 },
    { name: say('report.peak_amps'), unit: say('unit.amps'), peak: p?.a, decimals: 0 },
    { name: say('report.peak_power'), unit: say('unit.kw'), peak: p?.kw, decimals: 1 },
  ];
});

async function reopen(): Promise<void> {
  await ask(api.POST('/sessions/{session}/reopen', path));
  await router.push(`/connect/${path.params.path.session}`);
}

async function discard(): Promise<void> {
  await ask(api.DELETE('/sessions/{session}', path));
  undo.done(say('connect.aside'), async () => {
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
    error.value = wordsOf(e);
  }
});
</script>

<template>
  <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  <p v-else-if="!report || !session || !judgement" class="quiet loading" role="status">{{ say('connect.opening') }}</p>
  <article v-else class="report" aria-labelledby="report-title">
    <header>
      <div>
        <p class="kicker">
          <Said
            code="report.when"
            :figures="{ day: day(session.started_at, zone), hour: hour(session.started_at, zone) }"
          >
            <template #log
              ><RouterLink to="/log">{{ say('log.title') }}</RouterLink></template
            >
          </Said>
        </p>
        <h1 id="report-title">{{ say('connect.at', { car: session.vehicle.name, outlet: session.outlet.name }) }}</h1>
        <p class="quiet">{{ through }}</p>
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
            <dt>{{ p.name }}</dt>
            <dd>
              {{ number(p.peak?.value, p.decimals) }} <span>{{ p.unit }}</span>
            </dd>
            <dd class="small quiet">
              {{
                p.peak
                  ? say('report.peak_at', {
                      provenance: terms.words('provenance', p.peak.provenance),
                      time: clock(p.peak.t_s),
                    })
                  : say('report.not_read')
              }}
            </dd>
          </div>
          <div>
            <dt>{{ say('report.mean') }}</dt>
            <dd>
              {{ number(judgement.mean_10min.a) }} <span>{{ say('unit.amps') }}</span>
            </dd>
            <dd class="small quiet">{{ say('figure.kw', { n: number(judgement.mean_10min.kw, 1) }) }}</dd>
          </div>
          <div>
            <dt>{{ say('report.energy') }}</dt>
            <dd>
              {{ number(judgement.energy_kwh, 1) }} <span>{{ say('unit.kwh') }}</span>
            </dd>
            <dd class="small quiet">
              {{
                judgement.soc_gained === null
                  ? say('report.charge_unread')
                  : say('report.points_gained', { n: number(judgement.soc_gained) })
              }}
            </dd>
          </div>
          <div>
            <dt>{{ say('report.readings') }}</dt>
            <dd>{{ judgement.readings }}</dd>
            <dd class="small quiet">{{ say('report.flagged', { n: flagged }) }}</dd>
          </div>
        </dl>
      </div>
      <SessionCurve v-if="report.curve.length > 1" class="curve" :curve="report.curve" />
      <p v-else class="quiet curve-empty">{{ say('report.no_curve') }}</p>
    </section>

    <PlateCheck :rows="judgement.plate_check" />
    <TemperatureTable v-if="judgement.temperatures.length > 0" :temperatures="judgement.temperatures" />

    <SessionPhotos :session="session.id" />
    <section v-if="happened.length > 0 || counted.length > 0" class="happened" aria-labelledby="happened-title">
      <h2 id="happened-title">{{ say('report.happened') }}</h2>
      <p v-if="handshake !== null">{{ say('report.handshake', { seconds: number(handshake) }) }}</p>
      <ul>
        <li v-for="event in happened" :key="event.client_id">
          <span class="figures">{{ clock(event.t_s) }}</span> {{ event.words
          }}<span v-if="event.detail" class="quiet">{{ say('report.detail', { detail: event.detail }) }}</span>
        </li>
      </ul>
      <p v-for="line in counted" :key="line">{{ line }}</p>
    </section>

    <StallFault :session="session" />

    <section v-if="judgement.flags.length > 0" aria-labelledby="flags-title">
      <h2 id="flags-title">{{ say('report.flags') }}</h2>
      <ul class="flags">
        <li v-for="flag in judgement.flags.slice(0, LISTED)" :key="flag.t_s + flag.code">
          <span class="figures">{{ clock(flag.t_s) }}</span> {{ flag.detail }}
        </li>
      </ul>
      <p v-if="flagged > LISTED" class="quiet">{{ say('report.more', { n: flagged - LISTED }) }}</p>
    </section>

    <footer>
      <button type="button" class="text-button" @click="reopen">{{ say('report.reopen') }}</button>
      <button type="button" class="text-button" @click="discard">{{ say('report.put_aside') }}</button>
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
