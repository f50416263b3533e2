<script setup lang="ts">
import { computed, ref } from 'vue';
import { useAccount } from '@/stores/account';
import { clock, day, hour } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import type { OpenSession } from './useSession';

/** A forgotten session, or one with a wrong clock: end it at its last reading, or correct the clock. */
const props = defineProps<{ session: OpenSession; isForgotten?: boolean }>();
const emit = defineEmits<{ finish: [tS: number] }>();

const account = useAccount();
const lastS = computed(() => props.session.state.value.readings[0]?.t_s ?? null);
const started = computed(() =>
  new Date((props.session.startedMs.value ?? 0) + props.session.skewMs.value).toISOString(),
);
const sets = ref(false);
const minutesAgo = ref('');

async function setClock(): Promise<void> {
  const minutes = Number(minutesAgo.value.replace(',', '.'));
  if (minutesAgo.value.trim() === '' || !Number.isFinite(minutes) || minutes < 0) {
    return;
  }
  const at = new Date(Date.now() + props.session.skewMs.value - minutes * 60_000);
  if (await props.session.setClock(at)) {
    sets.value = false;
    minutesAgo.value = '';
  }
}
</script>

<template>
  <div class="forgotten" :class="{ loud: isForgotten }">
    <p v-if="isForgotten">
      {{ say('forgotten.since', { day: day(started, account.zone), hour: hour(started, account.zone) }) }}
      <button v-if="lastS !== null" type="button" class="way" @click="emit('finish', lastS)">
        {{ say('forgotten.end', { time: clock(lastS) }) }}
      </button>
    </p>
    <TextButton v-if="!sets" @click="sets = true">{{ say('forgotten.clock') }}</TextButton>
    <form v-else :aria-label="say('forgotten.clock')" @submit.prevent="setClock">
      <label
        >{{ say('forgotten.ago') }}
        <input v-model="minutesAgo" class="figures" inputmode="decimal" autocomplete="off" />
      </label>
      <button type="submit" class="way">{{ say('forgotten.set') }}</button>
      <TextButton @click="sets = false">{{ say('forgotten.leave') }}</TextButton>
    </form>
  </div>
</template>

<style scoped>
.forgotten {
  margin-bottom: var(--space-4);
  font-size: var(--size-label);
}

.loud {
  padding: var(--space-5) var(--space-6);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper-raised);
}

form {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-6);
  align-items: center;
}

input {
  width: 80px;
  min-height: 40px;
  padding: var(--space-2) var(--space-4);
  border: 1.5px solid var(--line-strong);
  background: var(--paper-raised);
}
</style>
