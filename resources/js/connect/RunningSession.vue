<script setup lang="ts">
import { refDebounced, useMediaQuery, useSessionStorage } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { Reading } from '@/api/client';
import SessionCurve from '@/chart/SessionCurve.vue';
import type { EventCode } from '@/offline/pendingActions';
import { useAccount } from '@/stores/account';
import { useOutbox } from '@/stores/outbox';
import { useUndo } from '@/stores/undo';
import { useTerms } from '@/stores/terms';
import SessionPhotos from '@/ui/SessionPhotos.vue';
import { clock, hour } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import ZoneNote from '@/ui/ZoneNote.vue';
import Said from '@/words/Said.vue';
import { listed, say } from '@/words/say';
import AfterSession from './AfterSession.vue';
import BoostBars from './BoostBars.vue';
import EventKeys from './EventKeys.vue';
import ExpectedLine from './ExpectedLine.vue';
import ForgottenSession from './ForgottenSession.vue';
import HandshakeClock from './HandshakeClock.vue';
import LivePlates from './LivePlates.vue';
import FilePanel from './files/FilePanel.vue';
import NewestReadings from './NewestReadings.vue';
import ReadingForm from './ReadingForm.vue';
import SmellOrHeat from './SmellOrHeat.vue';
import StuckLatch from './StuckLatch.vue';
import WhenNothingStarts from './WhenNothingStarts.vue';
import { faceOf, isForgotten as forgotten, newestOf, sincePluggedS, triedRungs } from './sessionState';
import { useReminders } from './useReminders';
import type { OpenSession } from './useSession';
import { useVisit, type Question, type Rung } from './useVisit';

const props = defineProps<{ id: string; session: OpenSession }>();
const s = props.session;

const router = useRouter();
const account = useAccount();
const outbox = useOutbox();
const terms = useTerms();
const undo = useUndo();
const isWide = useMediaQuery('(width > 1000px)');

const pieces = computed(() => {
  const line = s.report.value?.session;
  const here = s.begun.value;
  return {
    car: line?.vehicle ?? here?.car ?? { id: '', name: '' },
    outlet: line?.outlet ?? here?.outlet ?? { id: '', name: '' },
    adapters: line?.adapters ?? here?.adapters ?? [],
  };
});
const state = computed(() => s.state.value);
const question = computed<Question | null>(() =>
  pieces.value.car.id === ''
    ? null
    : {
        vehicle: pieces.value.car.id,
        outlet: pieces.value.outlet.id,
        adapters: pieces.value.adapters.map((a) => a.id),
        exact: true,
        policy: 'any',
        // Under the conditions that it was begun with, where they are known here.
        ...(s.begun.value?.question ?? {}),
        stall: state.value.stall,
      },
);
const { visit } = useVisit(
  question,
  computed(() => s.begun.value?.visit ?? null),
);
const { current: reminder, isLoud, toggle, dismiss } = useReminders(visit, s.elapsedS);

/** The driver's progress through the steps after the start, on this device. */
const done = useSessionStorage<string[]>(`harmozon-steps-${props.id}`, []);
const isParting = useSessionStorage(`harmozon-parting-${props.id}`, false);
const isOnLadder = ref(false);
/** For writing down what is there before the current flows. */
const skips = useSessionStorage(`harmozon-skips-${props.id}`, false);
/** A session that ran already, entered from the log: nobody waits for its power. */
if (useRoute().query.readings !== undefined) {
  skips.value = true;
}
const edits = ref<Reading | null>(null);
const smells = ref(false);
const smell = ref<string | null>(null);
const isSmellNoted = ref(true);

/** Readers look on. */
const mayRecord = computed(() => account.may('record'));
const view = computed(() =>
  faceOf(
    { isParting: isParting.value, skips: skips.value, isOnLadder: isOnLadder.value, mayRecord: mayRecord.value },
    state.value.isFlowing,
  ),
);
const isForgotten = computed(() => forgotten(state.value, s.elapsedS.value));
watch(view, () => document.getElementById('stage')?.scrollTo({ top: 0 }), { flush: 'post' });

const sincePlugged = computed(() => sincePluggedS(state.value, s.elapsedS.value));
const tried = computed(() => triedRungs(state.value));
const newest = computed(() => newestOf(state.value));
const newestAt = computed(() =>
  newest.value && s.startedMs.value !== null
    ? hour(new Date(s.startedMs.value + newest.value.t_s * 1000).toISOString(), account.zone)
    : '',
);
const through = computed(() =>
  listed(
    'and',
    pieces.value.adapters.map((a) => a.name),
  ),
);
/** The server judges; where it has not heard of the last readings, that is said. */
const isJudgedLater = refDebounced(
  computed(() => s.acts.value.some((a) => a.kind === 'reading' || a.kind === 'begin')),
  2500,
);

async function note(code: EventCode, detail: string | null = null): Promise<void> {
  const id = await s.note(code, detail);
  undo.done(say('event.noted', { event: terms.words('event', code) }), () => s.forgetEvent(id));
}

const waitingPhotos = computed(() => s.acts.value.flatMap((a) => (a.kind === 'photo' ? [a.tS] : [])));

async function flows(): Promise<void> {
  await note('current_flows');
  isOnLadder.value = false;
}

/** A remedy was tried: it is noted, and the clock starts again with the next plugging in. */
async function tries(rung: Rung, noted: string | null): Promise<void> {
  await s.note('failed_start', noted === null ? rung.code : `${rung.code}: ${noted}`);
  if (noted !== null && rung.code === 'another_stall') {
    await s.note('stall_changed', noted);
  }
  if (rung.code !== 'read_screens' && rung.code !== 'next_stop') {
    await s.note('plugged');
  }
  isOnLadder.value = false;
}

async function smelt(): Promise<void> {
  smells.value = true;
  smell.value = await s.note('smell_or_heat');
  isSmellNoted.value = s.error.value === null;
}

async function takeBackSmell(): Promise<void> {
  if (smell.value !== null) {
    await s.forgetEvent(smell.value);
  }
  smells.value = false;
}

function part(): void {
  smells.value = false;
  isParting.value = true;
}

async function finish(at?: number): Promise<void> {
  if (!(await s.finish(at))) {
    return;
  }
  isParting.value = false;
  undo.done(say('connect.done'), async () => {
    await s.reopen();
    await router.push(`/connect/${props.id}`);
  });
  leaves.value = true;
  await outbox.send();
}

// Without a network there is no report yet: one stays where the session says so.
const leaves = ref(false);
watch(
  () => leaves.value && s.acts.value.length === 0 && s.report.value?.session.finished_at,
  (isThere) => {
    if (isThere) {
      leaves.value = false;
      void router.push(`/log/${props.id}`);
    }
  },
);

async function discard(): Promise<void> {
  if (await s.discard()) {
    undo.done(say('connect.aside'), async () => {
      await s.restore();
      await router.push(`/connect/${props.id}`);
    });
    await outbox.send();
    await router.push('/connect');
  }
}

const count = (kwh: number) => s.correct({ station_kwh: kwh });
</script>

<template>
  <section class="now" aria-labelledby="now-title">
    <header>
      <div>
        <h1 id="now-title">{{ say('connect.at', { car: pieces.car.name, outlet: pieces.outlet.name }) }}</h1>
        <p v-if="through || state.stall" class="quiet">
          <span v-if="through">{{ say('connect.through', { adapters: through }) }}</span>
          <span v-if="state.stall">{{ say('connect.stall', { stall: state.stall }) }}</span>
        </p>
      </div>
      <p
        v-if="view === 'now' || state.isFinished"
        class="timer figures"
        role="timer"
        :aria-label="say('connect.timer')"
      >
        {{ clock(s.elapsedS.value) }}
      </p>
    </header>

    <ZoneNote :zone="account.zone" />
    <p v-if="reminder && !state.isFinished" class="reminder" role="alert">
      {{ reminder }}
      <TextButton @click="dismiss">{{ say('reminder.seen') }}</TextButton>
    </p>

    <p v-if="state.isFinished && s.acts.value.length > 0" class="done" role="status">
      {{ say('connect.finished_here') }}
    </p>
    <p v-else-if="state.isFinished && s.report.value" class="done">
      <Said code="connect.finished">
        <template #verdict
          ><strong>{{ s.report.value.judgement.verdict_words }}</strong></template
        >
        <template #report
          ><RouterLink :to="`/log/${id}`">{{ say('connect.read_report') }}</RouterLink></template
        >
      </Said>
    </p>
    <template v-else>
      <ForgottenSession v-if="isForgotten && mayRecord" :session="s" is-forgotten @finish="finish" />

      <div v-if="view === 'handshake' || view === 'ladder'" class="start">
        <HandshakeClock :visit="visit" :seconds="sincePlugged" />
        <WhenNothingStarts
          v-if="view === 'ladder' && visit"
          :visit="visit"
          :tried="tried"
          @tried="tries"
          @close="isOnLadder = false"
        />
        <template v-else>
          <p v-if="!mayRecord" class="quiet">{{ say('connect.readers') }}</p>
          <div v-else class="ways">
            <button type="button" class="notched big" @click="flows">{{ say('handshake.flows') }}</button>
            <button type="button" class="way" :disabled="!visit" @click="isOnLadder = true">
              {{ say('handshake.nothing') }}
            </button>
            <TextButton v-if="!s.has('authorised')" @click="note('authorised')">
              {{ terms.title('event', 'authorised') }}
            </TextButton>
          </div>
        </template>
        <p v-if="mayRecord" class="others">
          <TextButton @click="skips = true">{{ say('handshake.pad') }}</TextButton>
          <TextButton @click="discard">{{ say('connect.put_aside') }}</TextButton>
          <TextButton @click="part">{{ say('connect.part') }}</TextButton>
          <TextButton @click="finish()">{{ say('connect.finish') }}</TextButton>
        </p>
        <!-- These come later: what can be pressed stays where it is. -->
        <template v-if="view === 'handshake' || !visit">
          <p v-for="step in visit?.steps.filter((x) => x.phase === 'start') ?? []" :key="step.code" class="start-step">
            <strong>{{ step.title }}</strong> {{ step.do }} <span class="quiet">{{ step.sign }}</span>
          </p>
          <p v-if="tried.size > 0" class="quiet">{{ say('handshake.tried', { n: tried.size }) }}</p>
        </template>
        <ForgottenSession v-if="!isForgotten" :session="s" @finish="finish" />
      </div>

      <AfterSession
        v-else-if="view === 'after'"
        :id="id"
        v-model:done="done"
        :session="s"
        :visit="visit"
        :report="s.report.value"
        :outlet-id="pieces.outlet.id"
        :car="pieces.car.name"
        @finish="finish()"
        @back="isParting = false"
      />

      <div v-else class="columns">
        <div class="capture">
          <ExpectedLine :newest="newest" :visit="visit" :at="newestAt" />
          <BoostBars
            v-if="s.report.value"
            :judgement="s.report.value.judgement"
            :readings="state.readings"
            :elapsed-s="s.elapsedS.value"
          />
          <p v-if="!mayRecord" class="quiet">{{ say('connect.readers') }}</p>
          <ReadingForm
            v-if="mayRecord"
            :session="id"
            :error="s.error.value"
            :elapsed-s="s.elapsedS.value"
            :newest-s="state.readings[0]?.t_s ?? 0"
            :entries="visit?.entries ?? null"
            :edits="edits"
            :take="s.take"
            :count="count"
            @edited="edits = null"
          />
          <EventKeys v-if="mayRecord" @note="note" @photo="s.photograph" />
          <button v-if="mayRecord" type="button" class="smell-key" @click="smelt">
            {{ terms.title('event', 'smell_or_heat') }}
          </button>
          <NewestReadings
            :may-change="mayRecord"
            :readings="state.readings"
            :count="state.count"
            @edit="(r) => (edits = r)"
            @forget="s.forget"
          />
          <SessionPhotos
            v-if="s.report.value || waitingPhotos.length > 0"
            :session="id"
            :turn="s.photoTurn.value"
            :waiting="waitingPhotos"
          />
          <FilePanel
            v-if="(s.report.value || s.isLong.value) && mayRecord"
            v-model:moving="s.isFileMoving.value"
            :session="id"
            :curve="s.report.value?.curve ?? []"
            :count="state.count"
            :told="s.told"
            @in="s.refresh().catch(() => undefined)"
            @taken="s.look"
          />
        </div>
        <div class="plates">
          <SessionCurve
            v-if="isWide && (s.report.value?.curve.length ?? 0) > 1"
            class="curve"
            :curve="s.report.value?.curve ?? []"
          />
          <p v-if="isJudgedLater" class="later" role="status">{{ say('live.later') }}</p>
          <LivePlates v-if="s.report.value" :judgement="s.report.value.judgement" />
          <StuckLatch v-if="visit" :steps="visit.stuck_latch" />
          <div v-if="mayRecord" class="end">
            <p class="quiet small">{{ say('connect.stop_first') }}</p>
            <button type="button" class="notched big" @click="part">{{ say('connect.part') }}</button>
            <button type="button" class="way" @click="finish()">{{ say('connect.finish') }}</button>
            <TextButton @click="discard">{{ say('connect.put_aside') }}</TextButton>
            <TextButton :aria-pressed="isLoud" @click="toggle">
              {{ isLoud ? say('reminder.off') : say('reminder.on') }}
            </TextButton>
            <ForgottenSession v-if="!isForgotten" :session="s" @finish="finish" />
          </div>
        </div>
      </div>

      <button v-if="view !== 'now' && mayRecord" type="button" class="smell-key" @click="smelt">
        {{ terms.title('event', 'smell_or_heat') }}
      </button>
      <SmellOrHeat
        v-model="smells"
        :pieces="pieces.adapters.map((a) => a.name)"
        :is-noted="isSmellNoted"
        @take-back="takeBackSmell"
        @stop="part"
      />
    </template>
  </section>
</template>

<style scoped>
header {
  display: flex;
  gap: var(--space-6);
  align-items: flex-start;
  justify-content: space-between;
  margin-bottom: var(--space-6);
}

header .quiet span {
  margin-inline-end: var(--space-6);
}

.timer {
  font-size: var(--size-figure);
  font-weight: 700;
  line-height: 1.1;
}

.reminder {
  margin-bottom: var(--space-5);
  padding: var(--space-4) var(--space-6);
  border-inline-start: 4px solid var(--copper);
  background: var(--paper-raised);
  font-weight: 600;
}

.start {
  display: grid;
  gap: var(--space-6);
  max-width: 640px;
}

.ways,
.others {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-5) var(--space-7);
}

.big {
  flex: 2 0 180px;
  padding: var(--space-3) var(--space-8);
}

.way {
  flex: 1 0 120px;
  min-height: 56px;
  font-family: var(--face-wide);
  font-size: var(--size-lead);
  font-weight: 660;
}

.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: var(--space-10);
}

.capture {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--space-6);
  align-content: start;
}

.curve {
  height: 250px;
  margin-bottom: var(--space-7);
}

.later {
  margin-bottom: var(--space-4);
  color: var(--ochre-text);
}

.end {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-5) var(--space-7);
  align-items: center;
  margin-top: var(--space-7);
}

.end .small {
  flex-basis: 100%;
  font-size: var(--size-small);
}

.smell-key {
  min-height: 48px;
  justify-self: start;
  padding: var(--space-3) var(--space-7);
  border: 2px solid var(--brick);
  background: none;
  color: var(--brick-text);
  cursor: pointer;
  font-family: var(--face-wide);
  font-weight: 660;
}

@media (width <= 720px) {
  header {
    margin-bottom: var(--space-4);
  }

  h1 {
    font-size: var(--size-lead);
  }

  .timer {
    font-size: var(--size-heading);
  }

  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: var(--space-8);
  }

  .smell-key {
    width: 100%;
  }
}
</style>
