<script setup lang="ts">
import EmptyState from '@/ui/EmptyState.vue';
</script>

<template>
  <EmptyState title="There is nothing at this address">
    <p>
      It may have been moved, or it belongs to another garage. <RouterLink to="/board">Go to the board</RouterLink>.
    </p>
  </EmptyState>
</template>
