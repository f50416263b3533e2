<script setup lang="ts">
import { useAccount } from '@/stores/account';
import { day, hour } from '@/ui/figures';
import Said from '@/words/Said.vue';
import { say } from '@/words/say';

/** Sessions that nobody has finished. */
export interface Open {
  id: string;
  car: string;
  outlet: string;
  startedAt: string;
}

defineProps<{ sessions: Open[] }>();
const account = useAccount();
</script>

<template>
  <section class="open" aria-labelledby="open-title">
    <h2 id="open-title">{{ say('connect.open') }}</h2>
    <ul>
      <li v-for="s in sessions" :key="s.id">
        <span class="quiet"
          ><Said
            code="connect.since"
            :figures="{ day: day(s.startedAt, account.zone), hour: hour(s.startedAt, account.zone) }"
            ><template #session
              ><RouterLink :to="`/connect/${s.id}`">{{
                say('connect.at', { car: s.car, outlet: s.outlet })
              }}</RouterLink></template
            ></Said
          ></span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.open {
  margin-bottom: var(--space-8);
  padding: var(--space-6) var(--space-7);
  border-inline-start: 4px solid var(--ink);
  background: var(--paper-raised);
}

ul {
  margin: var(--space-2) 0 0;
  padding: 0;
  list-style: none;
}

li {
  padding: var(--space-2) 0;
}

a {
  color: var(--ink);
}
</style>
