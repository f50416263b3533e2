<script setup lang="ts">
import { ref, toRef } from 'vue';
import type { Adapter } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useNearby } from '@/kit/useNearby';
import CatalogueStart from '@/kit/CatalogueStart.vue';
import { useKitActions } from '@/kit/useKitActions';
import { say } from '@/words/say';
import CratePlate from './CratePlate.vue';
import OneMore from './OneMore.vue';

/** The adapters as plates, and beside them what one more would reach. */
const props = defineProps<{ adapters: Adapter[]; isFiltered: boolean }>();
const end = ref<HTMLElement>();
const shown = useNearby(toRef(props, 'adapters'), end);
const account = useAccount();
const kit = useKitActions();
</script>

<template>
  <div class="crate">
    <section aria-labelledby="adapters-title">
      <div class="section-head">
        <h2 id="adapters-title">{{ say('crate.count', { n: adapters.length }) }}</h2>
        <CatalogueStart
          v-if="account.may('edit')"
          what="adapters"
          @begin="({ draft }) => kit.begin('adapters', { ...draft, tag: kit.freeTag() }, [say('kit.read_adapter')])"
        />
      </div>
      <p v-if="adapters.length === 0 && !isFiltered" class="quiet">{{ say('crate.empty') }}</p>
      <div class="plates">
        <CratePlate v-for="a in shown" :key="a.id" :adapter="a" class="far" />
      </div>
      <div :key="shown.length" ref="end" />
    </section>
    <OneMore class="screen-only" />
  </div>
</template>

<style scoped>
.crate {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 0 var(--space-10);
  align-items: start;
}

.plates {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(330px, 100%), 1fr));
  gap: var(--space-6);
  align-items: start;
}

/* Hundreds of plates are laid out as they come near. */
.far {
  content-visibility: auto;
  contain-intrinsic-size: auto 300px;
}

@media (width <= 1000px) {
  .crate {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media print {
  .crate {
    display: block;
  }

  .far {
    content-visibility: visible;
  }
}
</style>
