<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { onSignedOut } from './api/client';
import Frame from './frame/Frame.vue';
import { useTheme } from './ui/useTheme';

const route = useRoute();
const isFramed = computed(() => route.matched.length > 0 && !route.meta.isOpen);

useTheme();
// A session that ended on the server: a full load of the sign-in page, so that nothing of it stays on screen.
onSignedOut(() => {
  if (window.location.pathname !== '/sign-in') {
    window.location.assign(`/sign-in?to=${encodeURIComponent(window.location.pathname)}`);
  }
});
</script>

<template>
  <Frame v-if="isFramed"><RouterView /></Frame>
  <RouterView v-else />
</template>
