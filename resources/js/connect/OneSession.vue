<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { wordsOf } from '@/api/client';
import { useRail } from '@/stores/rail';
import { say } from '@/words/say';
import RunningSession from './RunningSession.vue';
import { useSession } from './useSession';

const props = defineProps<{ id: string }>();
const rail = useRail();
const session = useSession(props.id);
const error = ref('');

onMounted(async () => {
  try {
    await session.look();
    if (session.report.value) {
      await rail.follow(session.report.value.session);
    }
  } catch (e) {
    error.value = wordsOf(e);
  }
});
</script>

<template>
  <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  <RunningSession v-else-if="session.state.value.isHere" :id="id" :session="session" />
  <p v-else class="quiet loading" role="status">{{ say('connect.opening') }}</p>
</template>
