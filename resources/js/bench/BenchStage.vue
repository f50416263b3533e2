<script setup lang="ts">
import EmptyState from '@/ui/EmptyState.vue';
</script>

<template>
  <EmptyState title="Bench is not built yet">
    <p>
      It will simulate a car, an adapter and a charger walking through a session, with faults to inject, for practice.
    </p>
  </EmptyState>
</template>
