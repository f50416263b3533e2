<script setup lang="ts">
import { computed, ref } from 'vue';
import { useAccount } from '@/stores/account';
import { useDraft } from '@/stores/drafts';
import { useEdit } from '@/stores/edit';
import { useGarage } from '@/stores/garage';
import { useTerms } from '@/stores/terms';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { vTyped } from '@/ui/typed';
import { say } from '@/words/say';

/** What each network requires before a session, and whether it is done; gate 5 reads it. */
const garage = useGarage();
const account = useAccount();
const edit = useEdit();
const terms = useTerms();
const { isBusy, error, attempt } = useAttempt();
const name = ref('');
const kept = useDraft('network', name);

type Step = 'app' | 'account' | 'card' | 'certificate' | 'membership';
type State = 'done' | 'to_do' | 'not_needed';

const steps = computed(() => terms.all('set_up_step').map((s) => ({ id: s.id as Step, title: s.title })));
const states = computed(() => terms.all('set_up_state'));

/** Networks that outlets and cars name, and nobody has looked at yet. */
const named = computed(() => {
  const known = new Set(garage.networks.map((n) => n.name.trim().toLowerCase()));
  const all = garage.outlets.flatMap((o) => {
    const access = o.spec.access;
    return [...(access?.network ? [access.network] : []), ...(access?.makes ?? [])];
  });
  return [...new Set(all)].filter((n) => !known.has(n.trim().toLowerCase())).sort();
});

const add = (called: string) =>
  attempt(async () => {
    await edit.create('networks', { name: called, blurb: '', spec: {} });
    name.value = '';
    kept.drop();
  });

const setHelpLine = (id: string, typed: string) =>
  attempt(async () => {
    const found = edit.find(id);
    if (found) {
      await edit.change(found, { ...found.draft, spec: { ...found.draft.spec, help_line: typed.trim() || null } });
    }
  });

const set = (id: string, step: Step, state: string) =>
  attempt(async () => {
    const found = edit.find(id);
    if (found) {
      await edit.change(found, { ...found.draft, spec: { ...found.draft.spec, [step]: (state as State) || null } });
    }
  });
</script>

<template>
  <section aria-labelledby="networks-title">
    <div class="section-head">
      <h2 id="networks-title">{{ say('set_up.title') }}</h2>
      <p class="quiet">{{ say('set_up.lead') }}</p>
    </div>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <ul class="networks">
      <li v-for="n in garage.networks" :key="n.id">
        <strong>{{ n.name }}</strong>
        <label v-for="s in steps" :key="s.id" :class="n.spec[s.id] ?? 'open'">
          {{ s.title }}
          <select
            :value="n.spec[s.id] ?? ''"
            :disabled="isBusy || !account.may('edit')"
            :aria-label="say('set_up.of', { step: s.title, network: n.name })"
            @change="set(n.id, s.id, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">{{ say('set_up.open') }}</option>
            <option v-for="state in states" :key="state.id" :value="state.id">{{ state.words }}</option>
          </select>
        </label>
        <label>
          {{ say('set_up.help_line') }}
          <input
            v-typed="n.spec.help_line"
            type="tel"
            class="figures"
            maxlength="60"
            autocomplete="off"
            :disabled="isBusy || !account.may('edit')"
            :aria-label="say('set_up.help_line_of', { network: n.name })"
            @change="setHelpLine(n.id, ($event.target as HTMLInputElement).value)"
          />
        </label>
        <TextButton
          v-if="account.may('keep')"
          :words="say('kit.remove')"
          :of="n.name"
          @click="attempt(() => edit.remove('networks', n.id, n.name))"
        />
      </li>
    </ul>
    <form v-if="account.may('edit')" class="add" @submit.prevent="name.trim() && add(name.trim())">
      <label>
        {{ say('set_up.network') }}
        <input v-model="name" class="figures" maxlength="120" autocomplete="off" />
      </label>
      <TextButton type="submit" :disabled="isBusy || name.trim() === ''">
        {{ say('set_up.add') }}
      </TextButton>
      <template v-if="named.length > 0">
        <span class="quiet">{{ say('set_up.named') }}</span>
        <TextButton v-for="n in named" :key="n" :disabled="isBusy" @click="add(n)">
          {{ n }}
        </TextButton>
      </template>
    </form>
  </section>
</template>

<style scoped>
.networks {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(96px, 1fr) repeat(6, minmax(104px, 1fr)) 60px;
  gap: var(--space-2) var(--space-6);
  align-items: end;
  padding: var(--space-4) 0;
  border-bottom: 1px solid var(--line);
}

li strong {
  align-self: center;
  font-family: var(--face-wide);
}

label {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

select,
li input {
  display: block;
  width: 100%;
  min-width: 0;
}

li input {
  padding: var(--space-2) var(--space-3);
  border: 1px solid var(--line-strong);
  background: var(--paper-raised);
}

.to_do select {
  border-bottom: 2px dashed var(--ochre);
  color: var(--ochre-text);
  font-weight: 640;
}

.done select {
  border-color: var(--ink);
  font-weight: 640;
}

.add {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-7);
  align-items: baseline;
  margin-top: var(--space-5);
}

.add input {
  margin-inline-start: var(--space-3);
  padding: var(--space-2) var(--space-3);
  border: 1px solid var(--line-strong);
  background: var(--paper-raised);
}

.add button:disabled {
  color: var(--ink-faint);
}

li .text-button {
  justify-self: start;
}

@media (width <= 900px) {
  li {
    grid-template-columns: 1fr 1fr;
  }

  li strong {
    grid-column: 1 / -1;
  }
}
</style>
