<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { useAccount } from '@/stores/account';
import { useTerms } from '@/stores/terms';
import { forget, waits } from '@/stores/visitorCar';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';

/** A car that was checked on this device before. It may be somebody else's, so it can be discarded. */
defineProps<{ code: 'begin.with_car' | 'invitation.with_car' }>();

const account = useAccount();
const terms = useTerms();
const waiting = ref(waits());
/** The names of plugs come from the core; without them the sentence does. */
const faces = computed(() =>
  terms.isLoaded ? listed('plus', (waiting.value?.faces ?? []).map(terms.couplerName)) : 'none',
);
onMounted(() => (waiting.value ? terms.load(account.me === null).catch(() => undefined) : undefined));

function drop(): void {
  forget();
  waiting.value = null;
}
</script>

<template>
  <p v-if="waiting">
    {{ say(code, { faces }) }}
    <TextButton @click="drop">{{ say('begin.drop_car') }}</TextButton>
  </p>
</template>
