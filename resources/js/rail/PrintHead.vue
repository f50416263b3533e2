<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { useAccount } from '@/stores/account';
import { useRail } from '@/stores/rail';
import { day, hour } from '@/ui/figures';
import { listed, say } from '@/words/say';

/** What a sheet of paper is about: the garage, the screen, the chain, the day and the units. Seen on paper only. */
const account = useAccount();
const rail = useRail();
const route = useRoute();
/** The moment of printing: a page may have been open since yesterday. */
const now = ref(new Date().toISOString());
useEventListener(window, 'beforeprint', () => (now.value = new Date().toISOString()));
const words = computed(() => {
  const { outlet, vehicle } = rail;
  return listed('dot', [
    account.me?.garage?.name ?? '',
    ...(route.meta.title ? [say(route.meta.title)] : []),
    ...(outlet && vehicle && route.meta.stage !== 'kit'
      ? [say('rail.at', { car: vehicle.name, outlet: outlet.name })]
      : []),
    say('print.on', { day: day(now.value, account.zone), hour: hour(now.value, account.zone) }),
    account.me?.garage?.units === 'us' ? say('habits.us') : say('habits.metric'),
  ]);
});
</script>

<template>
  <p class="print-only">{{ words }}</p>
</template>
