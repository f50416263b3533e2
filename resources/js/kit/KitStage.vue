<script setup lang="ts">
import EmptyState from '@/ui/EmptyState.vue';
</script>

<template>
  <EmptyState title="Kit is not built yet">
    <p>
      It will show each adapter as its plate with how much of it is proven, and find the smallest kit for these cars and
      places.
    </p>
  </EmptyState>
</template>
