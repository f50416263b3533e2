<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { api, ask, type FitAnswer } from '@/api/client';
import { useDraft } from '@/stores/drafts';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';

/** A session that was run without Harmozon, or against its advice: its chain and when it began; its readings follow. */
const emit = defineEmits<{ cancel: [] }>();

const garage = useGarage();
const rail = useRail();
const router = useRouter();
const { isBusy, error, attempt } = useAttempt();
const chainOf = (answer: FitAnswer | null): string => (answer?.adapters ?? []).join('.');
const chosen = ref({
  car: rail.pick.vehicle ?? '',
  charger: rail.pick.outlet ?? '',
  adapters: chainOf(rail.answer),
  hours: 1,
  minutes: 0,
  note: '',
});
const kept = useDraft('past-session', chosen);
// After a reload the chain of the rail is known a moment later.
if (rail.answer === null) {
  watch(
    () => rail.answer,
    (answer) => (chosen.value.adapters ||= chainOf(answer)),
    { once: true },
  );
}
/** Direct, each adapter, and the chain of the rail where it has several. */
const ways = computed(() => {
  const several = rail.answer && rail.answer.adapters.length > 1 ? [rail.answer.adapters] : [];
  return [
    { id: '', words: say('enter.direct') },
    ...garage.adapters.map((a) => ({ id: a.id, words: say('rail.tagged', { tag: a.tag, name: a.name }) })),
    ...several.map((ids) => ({ id: ids.join('.'), words: listed('and', ids.map(garage.tag)) })),
  ];
});
const ageS = computed(() => 3600 * chosen.value.hours + 60 * chosen.value.minutes);

function enter(): Promise<void> {
  return attempt(async () => {
    const { session } = await ask(
      api.POST('/sessions', {
        body: {
          vehicle: chosen.value.car,
          outlet: chosen.value.charger,
          adapters: chosen.value.adapters.split('.').filter(Boolean),
          policy: 'any',
          note: chosen.value.note,
          age_s: ageS.value,
        },
      }),
    );
    kept.drop();
    // It ran already: nobody waits for its power.
    await router.push({ path: `/connect/${session.id}`, query: { readings: '' } });
  });
}
</script>

<template>
  <form @submit.prevent="enter">
    <p class="quiet">{{ say('enter.how') }}</p>
    <label>
      {{ say('log.car') }}
      <select v-model="chosen.car" required>
        <option v-for="v in garage.vehicles" :key="v.id" :value="v.id">{{ v.name }}</option>
      </select>
    </label>
    <label>
      {{ say('log.outlet') }}
      <select v-model="chosen.charger" required>
        <optgroup v-for="p in garage.places" :key="p.id" :label="p.name">
          <option v-for="o in p.outlets" :key="o.id" :value="o.id">{{ o.name }}</option>
        </optgroup>
      </select>
    </label>
    <label>
      {{ say('log.adapter') }}
      <select v-model="chosen.adapters">
        <option v-for="way in ways" :key="way.id" :value="way.id">{{ way.words }}</option>
      </select>
    </label>
    <fieldset>
      <legend>{{ say('enter.began') }}</legend>
      <label class="ago"
        ><input v-model.number="chosen.hours" type="number" min="0" max="743" step="any" required />
        {{ say('enter.hours') }}</label
      >
      <label class="ago"
        ><input v-model.number="chosen.minutes" type="number" min="0" max="59" step="any" required />
        {{ say('enter.minutes') }}</label
      >
    </fieldset>
    <label>
      {{ say('connect.note') }}
      <input v-model="chosen.note" maxlength="1000" autocomplete="off" />
    </label>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <p class="acts">
      <el-button type="primary" native-type="submit" :loading="isBusy">{{ say('enter.do') }}</el-button>
      <TextButton @click="emit('cancel')">{{ say('enter.leave') }}</TextButton>
    </p>
  </form>
</template>

<style scoped>
form,
label {
  display: flex;
  flex-direction: column;
}

form {
  gap: var(--space-5);
}

fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-6);
  margin: 0;
  padding: 0;
  border: 0;
}

.ago {
  flex-direction: row;
  gap: var(--space-3);
  align-items: center;
}

.ago input {
  width: 5em;
}

.acts {
  display: flex;
  gap: var(--space-7);
  align-items: center;
  margin: 0;
}
</style>
