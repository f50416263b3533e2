<script setup lang="ts">
import { computed } from 'vue';
import type { LogMemory, Vehicle } from '@/api/client';
import { withValue } from '@/api/dotted';
import { useAccount } from '@/stores/account';
import { useEdit } from '@/stores/edit';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

/** A car's charge curve as its sessions show it, next to the entered one: used only when somebody accepts it. */
const props = defineProps<{ vehicle: Vehicle; learned: LogMemory['learned'][number] }>();

const WIDTH = 220;
const HEIGHT = 70;
const account = useAccount();
const edit = useEdit();
const { error, attempt } = useAttempt();

const entered = computed(() => (props.vehicle.spec as { charge_curve_kw?: number[][] | null }).charge_curve_kw ?? []);
const isTaken = computed(() => JSON.stringify(entered.value) === JSON.stringify(props.learned.curve));
const most = computed(() => Math.max(1, ...[...entered.value, ...props.learned.high].map((p) => p[1] ?? 0)) * 1.05);
const at = ([soc = 0, kw = 0]: number[]) =>
  `${((soc / 100) * WIDTH).toFixed(1)} ${(HEIGHT - (kw / most.value) * HEIGHT).toFixed(1)}`;
const line = (curve: number[][]) => (curve.length > 1 ? `M${curve.map(at).join('L')}` : '');
const band = computed(() => {
  const low = props.learned.points.map((p) => [p.soc, p.low]);
  const high = props.learned.points.map((p) => [p.soc, p.high]).reverse();
  return `M${[...low, ...high].map(at).join('L')}Z`;
});

async function take(): Promise<void> {
  const found = edit.find(props.vehicle.id);
  if (!found) {
    return;
  }
  await attempt(async () => {
    const curve = withValue(found.draft.spec ?? {}, 'charge_curve_kw', props.learned.curve);
    const spec = withValue(curve, 'origins.charge_curve_kw', {
      origin: 'learned',
      low: props.learned.low,
      high: props.learned.high,
    });
    await edit.change(found, { ...found.draft, spec });
  });
}
</script>

<template>
  <div class="learned">
    <p>{{ isTaken ? say('learned.taken', { n: learned.sessions }) : say('learned.offer', { n: learned.sessions }) }}</p>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" :width="WIDTH" :height="HEIGHT" aria-hidden="true">
      <path class="band" :d="band" />
      <path class="entered" :d="line(entered)" />
      <path class="median" :d="line(learned.points.map((p) => [p.soc, p.kw]))" />
      <path class="ground" :d="`M0 ${HEIGHT - 0.5}H${WIDTH}`" />
    </svg>
    <TextButton v-if="!isTaken && account.may('edit')" :words="say('learned.take')" :of="vehicle.name" @click="take" />
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  </div>
</template>

<style scoped>
.learned {
  margin-top: var(--space-4);
  padding-top: var(--space-3);
  border-top: 1px solid var(--line);
  font-size: var(--size-small);
}

svg {
  display: block;
  max-width: 100%;
}

.band {
  fill: var(--copper-wash);
}

.entered,
.median {
  fill: none;
  stroke-width: 1.6;
}

.entered {
  stroke: var(--ink-soft);
  stroke-dasharray: 2 3;
}

.median {
  stroke: var(--copper);
}

.ground {
  stroke: var(--line-strong);
}
</style>
