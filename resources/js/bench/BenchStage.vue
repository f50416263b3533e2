<script setup lang="ts">
import EmptyState from '@/ui/EmptyState.vue';
import { say } from '@/words/say';
</script>

<template>
  <EmptyState :title="say('bench.not_built')">
    <p>{{ say('bench.will') }}</p>
  </EmptyState>
</template>
