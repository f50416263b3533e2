<script setup lang="ts">
import EmptyState from '@/ui/EmptyState.vue';
</script>

<template>
  <EmptyState title="Forecast is not built yet">
    <p>
      It will draw the power of the chain in the rail over time and charge, say what holds it back when, and what the
      session costs.
    </p>
  </EmptyState>
</template>
