<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import type { Report } from '@/api/client';
import { number as typedNumber } from '@/plates/entries';
import { useAccount } from '@/stores/account';
import { useGarage } from '@/stores/garage';
import { own } from '@/stores/own';
import { hour } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { decimalSign } from '@/words/habits';
import { say } from '@/words/say';
import StepCard from './StepCard.vue';
import StuckLatch from './StuckLatch.vue';
import type { OpenSession } from './useSession';
import type { Visit } from './useVisit';

/** Stop and disconnect in order; the station's meter and price; the note; then the end. */
const props = defineProps<{
  session: OpenSession;
  visit: Visit | null;
  report: Report | null;
  id: string;
  outletId: string;
  car: string;
}>();
const done = defineModel<string[]>('done', { required: true });
const emit = defineEmits<{ finish: []; back: [] }>();

const account = useAccount();
const garage = useGarage();
const currency = computed(() => garage.outlet(props.outletId)?.spec.tariff?.currency ?? 'USD');
const steps = computed(
  () => props.visit?.steps.filter((s) => s.phase === 'stop' || s.phase === 'part' || s.phase === 'leave') ?? [],
);
/** What is typed and not saved yet outlives a reload. */
const draft = useLocalStorage<Partial<Record<'paid' | 'kwh' | 'note' | 'stall', string>>>(own(`after-${props.id}`), {});
const line = computed(() => props.report?.session);
const written = (figure: string | number | null | undefined): string =>
  figure === null || figure === undefined ? '' : String(figure).replace('.', decimalSign());
const field = (name: 'paid' | 'kwh' | 'note' | 'stall', saved: () => string) =>
  computed<string>({
    get: () => draft.value?.[name] ?? saved(),
    set: (typed) => (draft.value = { ...draft.value, [name]: typed }),
  });
const paid = field('paid', () => written(line.value?.paid?.amount));
const stationKwh = field('kwh', () => written(line.value?.station_kwh));
const note = field('note', () => line.value?.note ?? props.session.begun.value?.note ?? '');
const stall = field('stall', () => line.value?.stall ?? props.session.begun.value?.stall ?? '');
/** When the idle fee begins, once the session has been stopped. */
const stoppedMs = useLocalStorage<number | null>(own(`stopped-${props.id}`), null);
watch(done, (codes) => {
  if (codes.includes('stop_session')) {
    stoppedMs.value ??= Date.now();
  }
});
const idleAt = computed(() => {
  const grace = props.visit?.idle_grace_minutes;
  return grace === null || grace === undefined || stoppedMs.value === null
    ? ''
    : hour(new Date(stoppedMs.value + grace * 60_000).toISOString(), account.zone);
});
const wrong = ref('');
const isSaved = ref(false);

async function save(): Promise<boolean> {
  const money = paid.value.trim() === '' ? null : typedNumber(paid.value);
  const kwh = stationKwh.value.trim() === '' ? null : typedNumber(stationKwh.value);
  wrong.value =
    typeof money === 'string'
      ? say('reading.not_number', { field: say('after.paid') })
      : typeof kwh === 'string'
        ? say('reading.not_number', { field: say('after.kwh') })
        : '';
  if (wrong.value || typeof money === 'string' || typeof kwh === 'string') {
    return false;
  }
  // What nobody typed here stays as somebody else may have written it.
  const typed = (name: 'paid' | 'kwh' | 'note' | 'stall') => draft.value?.[name] !== undefined;
  const fields = {
    ...(typed('note') ? { note: note.value } : {}),
    ...(typed('stall') ? { stall: stall.value.trim() === '' ? null : stall.value.trim() } : {}),
    ...(typed('kwh') ? { station_kwh: kwh } : {}),
    // An amount of money is text, whose every digit counts.
    ...(typed('paid')
      ? { paid: money === null ? null : { amount: paid.value.trim().replace(',', '.'), currency: currency.value } }
      : {}),
  };
  isSaved.value = Object.keys(fields).length === 0 || (await props.session.correct(fields));
  if (isSaved.value) {
    draft.value = null;
  }
  return isSaved.value;
}

async function finish(): Promise<void> {
  if (await save()) {
    emit('finish');
  }
}
</script>

<template>
  <div class="after-session">
    <StepCard
      v-if="visit && steps.length > 0 && !steps.every((s) => done.includes(s.code))"
      v-model:done="done"
      :visit="visit"
      :steps="steps"
      :car="car"
      :kicker="say('after.kicker')"
    />
    <p v-if="idleAt" class="idle">{{ say('after.idle_at', { at: idleAt }) }}</p>
    <StuckLatch v-if="visit" :steps="visit.stuck_latch" />
    <form class="counts" :aria-label="say('after.form')" @submit.prevent="finish">
      <h2>{{ say('after.title') }}</h2>
      <label
        >{{ say('after.paid') }}
        <span><input v-model="paid" class="figures" inputmode="decimal" autocomplete="off" /> {{ currency }}</span>
      </label>
      <label
        >{{ say('after.kwh') }}
        <span
          ><input v-model="stationKwh" class="figures" inputmode="decimal" autocomplete="off" />
          {{ say('unit.kwh') }}</span
        >
      </label>
      <label
        >{{ say('after.stall') }}
        <span><input v-model="stall" maxlength="60" autocomplete="off" /></span>
      </label>
      <label
        >{{ say('connect.note') }}
        <span><input v-model="note" maxlength="1000" autocomplete="off" /></span>
      </label>
      <p v-for="words in report?.counted ?? []" :key="words" class="quiet">{{ words }}</p>
      <p v-if="wrong" class="complaint" role="alert">{{ wrong }}</p>
      <p v-else-if="session.error.value" class="complaint" role="alert">{{ session.error.value.plain() }}</p>
      <p v-if="isSaved" class="quiet" role="status">{{ say('after.saved') }}</p>
      <div class="ways">
        <button type="submit" class="notched finish">{{ say('connect.finish') }}</button>
        <TextButton @click="save">{{ say('after.save') }}</TextButton>
        <TextButton @click="emit('back')">{{ say('after.back') }}</TextButton>
      </div>
    </form>
  </div>
</template>

<style scoped>
.after-session {
  display: grid;
  gap: var(--space-7);
  max-width: 560px;
}

.idle {
  padding: var(--space-4) var(--space-6);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper-raised);
  font-weight: 600;
}

.counts {
  display: grid;
  gap: var(--space-4);
}

label {
  display: grid;
  gap: var(--space-1);
  font-size: var(--size-label);
}

label span {
  display: flex;
  gap: var(--space-4);
  align-items: baseline;
}

input {
  flex: 1;
  min-width: 0;
  min-height: 44px;
  padding: var(--space-2) var(--space-5);
  border: 1.5px solid var(--line-strong);
  background: var(--paper-raised);
  font-size: var(--size-lead);
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-7);
  align-items: center;
}

.finish {
  flex: 1 0 180px;
}
</style>
