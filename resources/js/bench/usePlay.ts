import { useMediaQuery, useRafFn } from '@vueuse/core';
import { computed, ref, watch, type Ref } from 'vue';
import { wordsOf, type Simulation } from '@/api/client';
import type { components } from '@/api/schema';

export type SimulationQuestion = components['schemas']['SimulationQuestion'];
export type Frame = Simulation['frames'][number];
export type PhaseSpan = Simulation['phases'][number];

/** How many simulated seconds pass in one. */
export const SPEEDS = [1, 5, 20, 60] as const;

/** A time since plugging in: minutes and seconds, with hours where there are any. */
function clockOf(seconds: number): string {
  const s = Math.floor(seconds);
  const two = (n: number): string => String(n).padStart(2, '0');
  const [hours, minutes] = [Math.floor(s / 3600), Math.floor((s % 3600) / 60)];
  return hours === 0 ? `${minutes}:${two(s % 60)}` : `${hours}:${two(minutes)}:${two(s % 60)}`;
}

/**
 * A simulated session on the bench: what is played, where it stands, and whether it runs.
 *
 * @param question what is played; null plays nothing
 * @param play asks the server for its session
 */
export function usePlay<Q>(question: Readonly<Ref<Q | null>>, play: (question: Q) => Promise<Simulation>) {
  const session = ref<Simulation | null>(null);
  const error = ref('');
  /** Seconds since plugging in. */
  const tS = ref(0);
  const isRunning = ref(false);
  const speed = ref<(typeof SPEEDS)[number]>(5);
  /** Nothing moves by itself for those who asked for that: the session goes on phase by phase. */
  const isStill = useMediaQuery('(prefers-reduced-motion: reduce)');
  let asked = 0;

  watch(
    question,
    async (body) => {
      const mine = ++asked;
      isRunning.value = false;
      error.value = '';
      if (body === null) {
        session.value = null;
        return;
      }
      try {
        const found = await play(body);
        if (mine === asked) {
          session.value = found;
          tS.value = 0;
        }
      } catch (e: unknown) {
        if (mine === asked) {
          session.value = null;
          error.value = wordsOf(e);
        }
      }
    },
    { immediate: true, deep: true },
  );

  const phases = computed(() => session.value?.phases ?? []);
  const endS = computed(() => phases.value.at(-1)?.to_s ?? 0);
  const phase = computed(() => phases.value.find((p) => tS.value < p.to_s) ?? phases.value.at(-1) ?? null);
  const phaseNumber = computed(() => (phase.value ? phases.value.indexOf(phase.value) : 0));

  /** The frames around now, mixed as far as they belong to the same phase. */
  const frame = computed<Frame | null>(() => {
    const frames = session.value?.frames ?? [];
    let low = 0;
    let high = frames.length - 1;
    while (low < high) {
      const middle = Math.ceil((low + high) / 2);
      if ((frames[middle]?.t_s ?? 0) <= tS.value) {
        low = middle;
      } else {
        high = middle - 1;
      }
    }
    const [now, next] = [frames[low], frames[low + 1]];
    if (!now || !next || next.phase !== now.phase) {
      return now ?? null;
    }
    const share = Math.max(0, tS.value - now.t_s) / Math.max(0.001, next.t_s - now.t_s);
    const mix = (a: number, b: number): number => a + (b - a) * Math.min(1, share);
    return {
      ...now,
      soc: mix(now.soc, next.soc),
      station_v: mix(now.station_v, next.station_v),
      plug_v: mix(now.plug_v, next.plug_v),
      amps: mix(now.amps, next.amps),
      kw: mix(now.kw, next.kw),
    };
  });

  /** When the fault happens (s); it shows from then on. Infinity where nothing goes wrong. */
  const faultS = computed(() => {
    const minute = session.value?.fault?.minute;
    return minute == null ? (phases.value.find((p) => p.failing)?.from_s ?? Infinity) : 60 * minute;
  });
  const isFaultHere = computed(() => tS.value >= faultS.value);
  const clock = computed(() => clockOf(tS.value));

  function put(seconds: number): void {
    tS.value = Math.min(endS.value, Math.max(0, seconds));
  }

  /** To the beginning of a phase; beyond the last one, to the end. */
  const toPhase = (number: number): void => put(phases.value[number]?.from_s ?? (number < 0 ? 0 : endS.value));

  useRafFn(({ delta }) => {
    if (isRunning.value) {
      put(tS.value + (delta / 1000) * speed.value);
      isRunning.value = tS.value < endS.value;
    }
  });

  function run(): void {
    if (tS.value >= endS.value) {
      tS.value = 0;
    }
    isRunning.value = !isRunning.value;
  }

  return {
    session,
    error,
    tS,
    clock,
    isRunning,
    speed,
    isStill,
    phases,
    endS,
    phase,
    phaseNumber,
    frame,
    faultS,
    isFaultHere,
    put,
    toPhase,
    run,
  };
}
