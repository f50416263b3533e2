<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { Simulation } from '@/api/client';
import { number } from '@/ui/figures';
import { say } from '@/words/say';

/** What goes wrong in the session, and when. Faults that can't happen on this chain say why. */
const props = defineProps<{ session: Simulation | null }>();
const fault = defineModel<string | null>({ required: true });
const code = ref(fault.value?.split('@')[0] ?? '');
const minute = ref('');

/** Those of the last chain that could be played: a wrong minute doesn't take the list away. */
const faults = ref<Simulation['faults']>([]);
watch(
  () => props.session,
  (session) => (faults.value = session?.faults ?? faults.value),
  { immediate: true },
);
const chosen = computed(() => faults.value.find((f) => f.code === code.value));
const impossible = computed(() => faults.value.filter((f) => f.why_not !== null));

function tell(): void {
  const at =
    chosen.value?.while_charging && minute.value.trim() !== '' ? `@${minute.value.trim().replace(',', '.')}` : '';
  fault.value = code.value === '' ? null : code.value + at;
}
</script>

<template>
  <section class="faults" aria-labelledby="fault-title">
    <h2 id="fault-title">{{ say('play.fault') }}</h2>
    <label for="fault">{{ say('play.fault_which') }}</label>
    <select
      id="fault"
      v-model="code"
      class="plain-field"
      @change="
        minute = '';
        tell();
      "
    >
      <option value="">{{ say('play.fault_none') }}</option>
      <option v-for="f in faults" :key="f.code" :value="f.code" :disabled="f.why_not !== null">{{ f.name }}</option>
    </select>
    <template v-if="chosen?.while_charging">
      <label for="fault-minute">{{ say('play.fault_minute') }}</label>
      <input
        id="fault-minute"
        v-model="minute"
        class="plain-field"
        inputmode="decimal"
        autocomplete="off"
        maxlength="8"
        :placeholder="session?.fault?.minute != null ? number(session.fault.minute, 1) : ''"
        @change="tell"
      />
    </template>
    <details v-if="impossible.length > 0">
      <summary>{{ say('play.impossible', { n: impossible.length }) }}</summary>
      <ul>
        <li v-for="f in impossible" :key="f.code">
          <strong>{{ f.name }}</strong> {{ f.why_not }}
        </li>
      </ul>
    </details>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 var(--space-4);
  font-size: var(--size-title);
}

label {
  display: block;
  margin-top: var(--space-4);
  font-size: var(--size-small);
}

details {
  margin-top: var(--space-4);
  font-size: var(--size-small);
}

summary {
  min-height: 28px;
  cursor: pointer;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  padding: var(--space-2) 0;
}
</style>
