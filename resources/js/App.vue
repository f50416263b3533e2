<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { onSignedOut } from './api/client';
import Frame from './frame/Frame.vue';
import { useAccount } from './stores/account';
import { useFocusHome } from './ui/useFocusHome';
import { useTheme } from './ui/useTheme';

const route = useRoute();
const isFramed = computed(() => route.matched.length > 0 && !route.meta.isOpen);

useTheme();
useFocusHome();
// A session that ended on the server.
const account = useAccount();
onSignedOut(() => {
  if (account.me && !route.meta.isOpen) {
    account.isExpired = true;
  }
});
</script>

<template>
  <Frame v-if="isFramed"><RouterView /></Frame>
  <RouterView v-else />
</template>
