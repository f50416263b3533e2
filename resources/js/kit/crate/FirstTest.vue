<script setup lang="ts">
import { computed, ref } from 'vue';
import { api, ask, type Adapter, type FirstTest } from '@/api/client';
import { useGarage } from '@/stores/garage';
import { number, percent } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

/** How to test an adapter with the garage's own cars and chargers: gently first, then towards its rating. */
const props = defineProps<{ adapter: Adapter }>();
const garage = useGarage();
const plan = ref<FirstTest | null>(null);
const { error, attempt } = useAttempt();

const load = () =>
  attempt(async () => {
    const params = { path: { adapter: props.adapter.id } };
    plan.value = await ask(api.GET('/adapters/{adapter}/first-test', { params }));
  });
const nameOf = (piece: string): string =>
  (garage.vehicle(piece) ?? garage.outlet(piece) ?? garage.adapter(piece))?.name ?? '';
const left = computed(() => (plan.value?.most == null ? null : 1 - plan.value.most));
</script>

<template>
  <section class="first-test">
    <TextButton v-if="!plan" :words="say('first_test.show')" :of="adapter.name" @click="load" />
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <template v-if="plan">
      <h4>{{ say('first_test.title') }}</h4>
      <p v-if="plan.stages.length === 0">
        {{ plan.unread.length > 0 ? say('first_test.none_yet') : say('first_test.none') }}
      </p>
      <ol v-else>
        <li v-for="(s, i) in plan.stages" :key="s.outlet + s.vehicle">
          <strong>{{ i === 0 ? say('first_test.gentle') : say('first_test.further') }}</strong>
          {{
            say('first_test.stage', {
              car: garage.vehicle(s.vehicle)?.name ?? '',
              outlet: garage.outlet(s.outlet)?.name ?? '',
              amps: number(s.mean_a),
              share: percent(Math.min(1, s.share)),
            })
          }}
        </li>
      </ol>
      <p v-if="plan.stages.length > 0">{{ say('first_test.readings') }}</p>
      <template v-if="plan.unread.length > 0">
        <p>{{ say('first_test.unread') }}</p>
        <ul>
          <li v-for="f in plan.unread" :key="f.piece + f.path">
            {{ say('first_test.fact', { piece: nameOf(f.piece), fact: f.fact, where: f.where }) }}
          </li>
        </ul>
      </template>
      <p v-if="left !== null && left > 0.005">{{ say('first_test.left', { most: percent(plan.most) }) }}</p>
    </template>
  </section>
</template>

<style scoped>
.first-test {
  margin-top: var(--space-4);
}

h4 {
  margin: 0 0 var(--space-2);
  font-size: var(--size-small);
}

ol,
ul {
  margin: 0;
  padding-inline-start: 1.4em;
}

p {
  margin: var(--space-2) 0;
}
</style>
