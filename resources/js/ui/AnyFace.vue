<script setup lang="ts">
import CouplerFace from './CouplerFace.vue';
import SocketFace from './SocketFace.vue';

/** The face of whatever a charger ends in: a connector, or a plain socket. */
defineProps<{ coupler: string }>();
const SOCKET = 'socket:';
</script>

<template>
  <SocketFace v-if="coupler.startsWith(SOCKET)" :socket="coupler.slice(SOCKET.length)" />
  <CouplerFace v-else :coupler="coupler" />
</template>
