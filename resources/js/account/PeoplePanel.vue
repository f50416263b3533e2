<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';
import { useAccount } from '@/stores/account';
import { useDraft } from '@/stores/drafts';
import { day } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

type Schemas = components['schemas'];
type Person = Schemas['People']['people'][number];

/** The people in the open garage, and its open invitations. */
const account = useAccount();
const told = ref<Schemas['People'] | null>(null);
const role = ref<Schemas['Role']>('driver');
const note = ref('');
const kept = useDraft('invitation', note);
const link = ref('');
const isCopied = ref(false);
const { isBusy, error, attempt } = useAttempt();

const load = () =>
  attempt(async () => {
    told.value = await ask(api.GET('/people'));
  });

/** What was done is shown as it stands, whether it was done or refused. */
async function act(task: () => Promise<void>): Promise<void> {
  await attempt(async () => {
    await task();
    told.value = await ask(api.GET('/people'));
  });
}

const invite = () =>
  act(async () => {
    const made = await ask(api.POST('/people/invitations', { body: { role: role.value, note: note.value } }));
    link.value = made.link;
    isCopied.value = false;
    note.value = '';
    kept.drop();
  });

const withdraw = (invitation: string) =>
  act(async () => {
    await ask(api.DELETE('/people/invitations/{invitation}', { params: { path: { invitation } } }));
    link.value = '';
  });

const change = (person: Person, event: Event) =>
  act(async () => {
    const select = event.target as HTMLSelectElement;
    const wanted = select.value as Schemas['Role'];
    select.value = person.role;
    await ask(api.PUT('/people/{person}', { params: { path: { person: person.id } }, body: { role: wanted } }));
    if (person.is_you) {
      window.location.reload();
    }
  });

const send = (person: Person) =>
  act(async () => {
    await ask(api.DELETE('/people/{person}', { params: { path: { person: person.id } } }));
    if (person.is_you) {
      window.location.assign('/board');
    }
  });

/** The whole link is what one wants of it. */
const whole = (event: FocusEvent) => (event.target as HTMLInputElement).select();

async function copy(): Promise<void> {
  await navigator.clipboard.writeText(link.value);
  isCopied.value = true;
}

onMounted(load);
</script>

<template>
  <section aria-labelledby="people-title">
    <h2 id="people-title">{{ say('people.title', { garage: account.me?.garage?.name ?? '' }) }}</h2>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <template v-if="told">
      <ul class="lines">
        <li v-for="person in told.people" :key="person.id">
          <div>
            <strong>{{ person.is_you ? say('people.you', { name: person.name }) : person.name }}</strong>
            <span v-if="person.email" class="quiet">{{ person.email }}</span>
          </div>
          <select
            v-if="account.may('keep')"
            :value="person.role"
            :aria-label="say('people.role_of', { name: person.name })"
            :disabled="isBusy"
            @change="change(person, $event)"
          >
            <option v-for="one in told.roles" :key="one.role" :value="one.role">{{ one.words }}</option>
          </select>
          <span v-else class="quiet">{{ person.role_words }}</span>
          <TextButton v-if="person.is_you || account.may('keep')" :disabled="isBusy" @click="send(person)">
            {{ person.is_you ? say('people.leave') : say('people.send', { name: person.name }) }}
          </TextButton>
        </li>
      </ul>
      <template v-if="account.may('keep')">
        <h3>{{ say('people.invite') }}</h3>
        <form @submit.prevent="invite">
          <fieldset>
            <legend class="sr-only">{{ say('people.as') }}</legend>
            <label v-for="one in told.roles" :key="one.role" class="role">
              <input v-model="role" type="radio" name="role" :value="one.role" />
              <strong>{{ one.words }}</strong> <span class="quiet">{{ one.says }}</span>
            </label>
          </fieldset>
          <div class="line">
            <label for="people-note">{{ say('people.note') }}</label>
            <el-input id="people-note" v-model="note" maxlength="120" />
            <el-button type="primary" native-type="submit" :loading="isBusy">{{ say('people.make_link') }}</el-button>
          </div>
        </form>
        <div v-if="link" class="link" role="status">
          <p>{{ say('people.link_how') }}</p>
          <div class="line">
            <el-input :model-value="link" readonly :aria-label="say('people.link')" @focus="whole" />
            <el-button @click="copy">{{ say(isCopied ? 'people.copied' : 'people.copy') }}</el-button>
          </div>
        </div>
        <ul v-if="told.invitations.length > 0" class="lines" :aria-label="say('people.invitations')">
          <li v-for="one in told.invitations" :key="one.id">
            <div>
              <strong>{{ one.note || say('people.somebody') }}</strong>
              <span class="quiet">{{
                say('people.until', { role: one.role_words, day: day(one.expires_at, account.zone) })
              }}</span>
            </div>
            <TextButton :disabled="isBusy" @click="withdraw(one.id)">
              {{ say('people.withdraw') }}
            </TextButton>
          </li>
        </ul>
      </template>
    </template>
  </section>
</template>

<style scoped>
fieldset {
  margin: 0 0 var(--space-4);
  padding: 0;
  border: 0;
}

.role {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  padding: var(--space-2) 0;
}

.line {
  display: flex;
  gap: var(--space-4) var(--space-6);
  align-items: center;
}

.line label,
.line .el-button {
  flex: none;
}

.link {
  margin: var(--space-6) 0;
  padding: var(--space-6) var(--space-6);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper-raised);
}

@media (width <= 720px) {
  .line {
    flex-wrap: wrap;
  }
}
</style>
