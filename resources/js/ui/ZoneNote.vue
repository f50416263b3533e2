<script setup lang="ts">
import { computed } from 'vue';
import { say } from '@/words/say';

/** Says whose time is shown, on a device whose own clock shows another. */
const props = defineProps<{ zone: string }>();

const hourIn = (zone: string | undefined): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: zone, dateStyle: 'short', timeStyle: 'short' }).format();
const isAnother = computed(() => hourIn(props.zone) !== hourIn(undefined));
</script>

<template>
  <p v-if="isAnother" class="quiet">{{ say('habits.whose_time', { zone: zone.replaceAll('_', ' ') }) }}</p>
</template>
