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
import ZoneNote from '@/ui/ZoneNote.vue';
import Said from '@/words/Said.vue';
import { say } from '@/words/say';
import { wayOf } from './sessionNames';
import AgainstPlates from './AgainstPlates.vue';
import AveragesTable from './AveragesTable.vue';
import BaselinePanel from './BaselinePanel.vue';
import HeldBackList from './HeldBackList.vue';
import PlateCheck from './PlateCheck.vue';
import PlateVersions from './PlateVersions.vue';
import ReportChart from './ReportChart.vue';
import SessionPhotos from '@/ui/SessionPhotos.vue';
import TextButton from '@/ui/TextButton.vue';
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
const path = { params: { path: { session: String(route.params.id) } } };

const session = computed(() => report.value?.session);
const judgement = computed(() => report.value?.judgement);
const through = computed(() => {
  const chain = session.value ? wayOf(session.value) : '';
  const note = session.value?.note;
  return note ? say('report.noted', { chain, note }) : chain;
});
/** Those that the headline doesn't say already. */
const findings = computed(
  () => judgement.value?.findings.filter((finding) => finding !== report.value?.review.headline) ?? [],
);
/** Flags that are listed; the rest is counted. */
const LISTED = 20;
const flagged = computed(() => (judgement.value?.flags.length ?? 0) + (judgement.value?.flags_left_out ?? 0));
const happened = computed(() => report.value?.events ?? []);
const handshake = computed(() => report.value?.handshake_s ?? null);
/** The stretch of the chart that is looked at (s). */
const zoom = ref<[number, number] | null>(null);
function look(from: number, to: number): void {
  zoom.value = [from, Math.max(to, from + 30)];
}
function judged(now: Report): void {
  report.value = now;
}
/** What it was measured with. */
const instruments = computed(() =>
  (report.value?.instruments ?? []).map(({ name, readings: n }) =>
    name === null ? say('report.instrument_untold', { n }) : say('report.instrument', { name, n }),
  ),
);
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

const print = (): void => window.print();

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
      <div class="told">
        <ZoneNote :zone="account.zone" />
        <p class="kicker">
          <Said
            code="report.when"
            :figures="{ day: day(session.started_at, account.zone), hour: hour(session.started_at, account.zone) }"
          >
            <template #log
              ><RouterLink to="/log">{{ say('log.title') }}</RouterLink></template
            >
          </Said>
        </p>
        <h1 id="report-title">{{ say('connect.at', { car: session.vehicle.name, outlet: session.outlet.name }) }}</h1>
        <p class="headline">{{ report.review.headline }}</p>
        <p v-if="report.review.beside.length > 0">{{ report.review.beside.join(' ') }}</p>
        <p class="quiet">{{ through }}</p>
      </div>
      <h2 class="stamped">
        <span class="sr-only">{{ judgement.verdict_words }}</span>
        <VerdictStamp aria-hidden="true" :verdict="session.finished_at ? judgement.verdict : null" />
      </h2>
    </header>

    <PlateVersions :report="report" @judged="judged" />

    <div class="columns">
      <div class="main">
        <ReportChart v-if="report.curve.length > 1" v-model:zoom="zoom" :report="report" />
        <p v-else class="quiet">{{ say('report.no_curve') }}</p>
        <ul class="findings">
          <li v-for="finding in findings" :key="finding">{{ finding }}</li>
        </ul>
        <section v-if="report.review.proof.length > 0" aria-labelledby="proof-title">
          <h2 id="proof-title">{{ say('report.proves') }}</h2>
          <p v-for="line in report.review.proof" :key="line" class="proof">{{ line }}</p>
        </section>
        <BaselinePanel :report="report" @judged="judged" />
      </div>
      <aside>
        <AgainstPlates :judgement="judgement" :under-test="session.adapters.map((a) => a.id)" />
        <HeldBackList :judgement="judgement" @look="look" />
      </aside>
    </div>

    <section :aria-label="say('report.figures')">
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
                : say('report.points_gained', { n: Math.round(judgement.soc_gained) })
            }}
          </dd>
        </div>
        <div>
          <dt>{{ say('report.readings') }}</dt>
          <dd>{{ judgement.readings }}</dd>
          <dd class="small quiet">{{ say('report.flagged', { n: flagged }) }}</dd>
        </div>
      </dl>
    </section>

    <AveragesTable
      v-if="judgement.windows"
      :windows="judgement.windows"
      :heads="[say('averages.measured'), say('averages.forecast')]"
    />
    <PlateCheck :rows="judgement.plate_check" />
    <TemperatureTable v-if="judgement.temperatures.length > 0" :temperatures="judgement.temperatures" />

    <section v-if="instruments.length > 0" class="instruments" aria-labelledby="instruments-title">
      <h2 id="instruments-title">{{ say('report.instruments') }}</h2>
      <ul class="flags">
        <li v-for="line in instruments" :key="line">{{ line }}</li>
      </ul>
    </section>

    <SessionPhotos :session="session.id" />
    <section v-if="happened.length > 0 || counted.length > 0" class="happened" aria-labelledby="happened-title">
      <h2 id="happened-title">{{ say('report.happened') }}</h2>
      <p v-if="handshake !== null">{{ say('report.handshake', { seconds: number(handshake) }) }}</p>
      <ul>
        <li v-for="event in happened" :key="event.client_id">
          <span class="figures">{{ clock(event.t_s) }}</span>
          <span v-if="event.detail_words" class="quiet"
            ><Said code="report.detailed" :figures="{ detail: event.detail_words }"
              ><template #event
                ><span class="event">{{ event.words }}</span></template
              ></Said
            ></span
          >
          <template v-else>{{ event.words }}</template>
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
      <a class="text-button" :href="`/api/sessions/${session.id}/export.csv`" download>{{ say('report.as_csv') }}</a>
      <a class="text-button" :href="`/api/sessions/${session.id}/export.json`" download>{{ say('report.as_json') }}</a>
      <a v-if="session.finished_at" class="text-button" :href="`/api/sessions/${session.id}/cdr`" download>{{
        say('report.as_cdr')
      }}</a>
      <a class="text-button" :href="`/api/sessions/${session.id}/report.pdf`" download>{{ say('report.as_pdf') }}</a>
      <TextButton @click="print">{{ say('report.print') }}</TextButton>
      <TextButton @click="reopen">{{ say('report.reopen') }}</TextButton>
      <TextButton @click="discard">{{ say('report.put_aside') }}</TextButton>
    </footer>
  </article>
</template>

<style scoped>
.quiet .event {
  color: var(--ink);
}

.report {
  max-width: 1180px;
  margin: 0 auto;
  padding: var(--space-7) var(--space-8) var(--space-11);
}

header {
  display: flex;
  gap: var(--space-8);
  align-items: flex-start;
  justify-content: space-between;
}

.stamped {
  margin: 0;
  font-size: inherit;
}

.told {
  max-width: 860px;
}

h1 {
  font-size: var(--size-lead);
}

.headline {
  margin: var(--space-1) 0;
  font-family: var(--face-wide);
  font-size: var(--size-heading);
  font-weight: 660;
  line-height: 1.2;
}

.columns {
  display: grid;
  grid-template-columns: minmax(0, 12fr) minmax(0, 7fr);
  gap: 36px;
  margin: var(--space-6) 0 var(--space-8);
}

aside section + section,
.main section,
.instruments {
  margin-top: var(--space-8);
}

.proof {
  margin: var(--space-2) 0;
}

.findings {
  margin: var(--space-5) 0 0;
  padding-inline-start: var(--space-7);
}

.peaks {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: var(--space-6) var(--space-6);
  margin: 0 0 var(--space-8);
  padding: var(--space-5) 0;
  border-top: 1.5px solid var(--ink);
  border-bottom: 1px solid var(--line);
}

dt {
  color: var(--ink-soft);
  font-family: var(--face-text);
  font-size: var(--size-small);
}

dd {
  margin: 0;
  font-size: var(--size-title);
  font-weight: 680;
  line-height: 1.2;
}

dd span {
  font-size: var(--size-label);
  font-weight: 500;
}

dd.small {
  font-family: var(--face-text);
  font-size: var(--size-small);
  font-weight: 400;
}

.flags {
  margin: var(--space-3) 0;
  padding: 0;
  list-style: none;
}

.flags li {
  padding: var(--space-2) 0;
  border-bottom: 1px solid var(--line);
}

footer {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-9);
  margin-top: var(--space-9);
}

.loading,
.complaint {
  margin: var(--space-10);
}

@media (width <= 900px) {
  header {
    flex-direction: column-reverse;
    gap: var(--space-3);
  }

  .headline {
    font-size: var(--size-title);
  }

  .columns {
    display: flex;
    flex-direction: column;
    gap: var(--space-7);
  }

  /* Beside the car the plates come right after the curves. */
  .main,
  aside {
    display: contents;
  }

  .main > * {
    order: 2;
  }

  .main > :first-child {
    order: 0;
  }

  aside > * {
    order: 1;
  }

  .peaks {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
