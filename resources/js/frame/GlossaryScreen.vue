<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { useRoute } from 'vue-router';
import { holdsWords } from '@/ui/matchesSearch';
import SearchField from '@/ui/SearchField.vue';
import { glossary } from '@/words/en.glossary';
import { say, type Code } from '@/words/say';

/** Every term in two sentences, in alphabetical order. */
const terms = Object.keys(glossary)
  .filter((code) => code.endsWith('_what'))
  .map((code) => code.replace(/^glossary\.|_what$/g, ''))
  .map((id) => ({ id, name: say(`glossary.${id}` as Code), what: say(`glossary.${id}_what` as Code) }))
  .sort((a, b) => a.name.localeCompare(b.name));

const searched = ref('');
const found = computed(() => terms.filter((t) => holdsWords(searched.value, t.name, t.what)));

const route = useRoute();
const wanted = route.hash.slice(1);
onMounted(() => document.getElementById(wanted)?.scrollIntoView({ block: 'center' }));
</script>

<template>
  <section class="glossary" aria-labelledby="glossary-title">
    <h1 id="glossary-title">{{ say('screen.glossary') }}</h1>
    <p class="quiet">{{ say('glossary.lead') }}</p>
    <SearchField v-model="searched" :label="say('glossary.find')" />
    <dl>
      <div v-for="term in found" :id="term.id" :key="term.id" :class="{ wanted: term.id === wanted }">
        <dt>{{ term.name }}</dt>
        <dd>{{ term.what }}</dd>
      </div>
    </dl>
    <p v-if="found.length === 0" class="quiet" role="status">{{ say('glossary.none') }}</p>
  </section>
</template>

<style scoped>
.glossary {
  max-width: 860px;
  margin: 0 auto;
  padding: var(--space-7) var(--space-8) var(--space-11);
}

dl {
  margin: var(--space-6) 0;
  border-top: 1.5px solid var(--ink);
}

dl div {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr);
  gap: var(--space-2) var(--space-7);
  padding: var(--space-5) 0;
  border-bottom: 1px solid var(--line);
  scroll-margin-top: var(--space-7);
}

dl .wanted {
  box-shadow: inset 3px 0 0 var(--copper);
  padding-inline-start: var(--space-5);
}

dt {
  font-family: var(--face-wide);
  font-weight: 650;
}

dd {
  margin: 0;
  line-height: 1.45;
}

@media (width <= 720px) {
  dl div {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
