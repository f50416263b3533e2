<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Wish } from '@/api/client';
import { offlineSince } from '@/offline/network';
import { useAccount } from '@/stores/account';
import { useEdit } from '@/stores/edit';
import { useGarage } from '@/stores/garage';
import AnyFace from '@/ui/AnyFace.vue';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import PieceCard from '@/kit/PieceCard.vue';
import { useKitActions } from '@/kit/useKitActions';
import SeenPlate from './SeenPlate.vue';
import { useShop, type Answer, type Seen } from './useShop';
import VerdictPanel from './VerdictPanel.vue';

/** An adapter looked at before it is bought: its label, the questions one by one, the verdict, and the wishes. */
const account = useAccount();
const garage = useGarage();
const edit = useEdit();
const kit = useKitActions();
const { seen, questions, verdict, error, isJudging, spec, startOver } = useShop();
const { error: failed, isBusy, attempt } = useAttempt();
const told = ref('');

const answers: Answer[] = ['yes', 'no', 'not_said'];
const answerWords = { yes: 'shop.yes', no: 'shop.no', not_said: 'shop.not_said' } as const;
const question = computed(() => questions.value[seen.value.at - 1]);
const canAsk = computed(() => seen.value.input !== '' && seen.value.output !== '');

function answer(given: Answer): void {
  const asked = question.value;
  if (asked) {
    seen.value = { ...seen.value, answers: { ...seen.value.answers, [asked.code]: given }, at: seen.value.at + 1 };
  }
}
const go = (by: number): void => {
  seen.value = { ...seen.value, at: Math.max(0, seen.value.at + by) };
};
const name = computed(() => seen.value.name.trim() || say('shop.unnamed'));

/** A new wish; or the one that was looked at again, whose other figures stay. */
const keepWish = () =>
  attempt(async () => {
    const found = seen.value.wish === '' ? null : edit.find(seen.value.wish);
    if (found) {
      const next = { ...found.draft.spec, ...spec.value };
      await edit.change(found, { ...found.draft, name: name.value, spec: next });
    } else {
      await edit.create('wishes', { name: name.value, blurb: '', spec: spec.value });
    }
    told.value = say('shop.kept', { name: name.value });
    startOver();
  });

/** A wish becomes an owned adapter, its answers with it. */
const buy = (wish: Wish) =>
  attempt(async () => {
    await edit.buy(wish.id, wish.name, kit.freeTag());
    told.value = say('shop.bought', { name: wish.name });
  });

/** A wish is looked at again, with what was answered about it. */
function again(wish: Wish): void {
  const { spec: plate } = wish;
  const { sold_for: sold, ...given } = (plate.vetting ?? {}) as Record<string, string>;
  const translates = plate.translates as { from?: string[]; to?: string[] } | null | undefined;
  const next: Seen = {
    wish: wish.id,
    name: wish.name,
    input: plate.input,
    output: plate.output,
    current: plate.current ?? '',
    max_v: plate.plate?.max_v ?? null,
    continuous_a: plate.plate?.continuous_a ?? null,
    boost_a: plate.plate?.boost_a ?? null,
    boost_minutes: plate.plate?.boost_minutes ?? null,
    max_kw: plate.plate?.max_kw ?? null,
    price: plate.price == null ? '' : String(plate.price),
    sold_for: sold ?? 'not_said',
    from: translates?.from?.[0] ?? '',
    to: translates?.to?.[0] ?? '',
    answers: given as Seen['answers'],
    at: 0,
  };
  seen.value = next;
}
</script>

<template>
  <div class="shop">
    <section aria-labelledby="seen-title" class="looking">
      <div class="section-head">
        <h2 id="seen-title">{{ say('shop.title') }}</h2>
        <TextButton v-if="seen.at > 0 || seen.input" @click="startOver">{{ say('shop.start_over') }}</TextButton>
      </div>
      <p v-if="seen.at === 0" class="quiet screen-only">{{ say('shop.lead') }}</p>
      <p class="done" role="status">{{ told }}</p>

      <form v-if="seen.at === 0" @submit.prevent="go(1)">
        <SeenPlate v-model="seen" />
        <p v-if="!canAsk" class="quiet">{{ say('shop.both_ends') }}</p>
        <el-button type="primary" native-type="submit" :disabled="!canAsk || questions.length === 0">
          {{ say('shop.to_questions') }}
        </el-button>
      </form>

      <div v-else-if="question" class="question">
        <p class="quiet">{{ say('shop.of', { n: seen.at, all: questions.length }) }}</p>
        <h3>{{ question.asked }}</h3>
        <p>{{ question.why }}</p>
        <p class="quiet">{{ question.where }}</p>
        <div class="answers">
          <button
            v-for="a in answers"
            :key="a"
            type="button"
            class="answer plain-button"
            :aria-pressed="seen.answers[question.code] === a"
            @click="answer(a)"
          >
            {{ say(answerWords[a]) }}
          </button>
        </div>
        <TextButton @click="go(-1)">{{ say('shop.back') }}</TextButton>
      </div>

      <div v-else-if="isJudging">
        <p v-if="offlineSince !== null && !verdict" class="quiet" role="status">{{ say('shop.waits') }}</p>
        <p v-else-if="error" class="complaint" role="alert">{{ error }}</p>
        <VerdictPanel v-if="verdict" :vetting="verdict" />
        <p class="acts">
          <el-button
            v-if="account.may('edit')"
            :type="verdict?.verdict === 'leave_it' ? 'default' : 'primary'"
            :loading="isBusy"
            @click="keepWish"
          >
            {{ say('shop.keep') }}
          </el-button>
          <TextButton @click="go(-1)">{{ say('shop.back') }}</TextButton>
        </p>
      </div>
      <p v-if="failed" class="complaint" role="alert">{{ failed }}</p>

      <!-- A sheet to take along: every question, with its answer or room for one. -->
      <table class="print-only sheet">
        <caption>
          {{
            say('shop.sheet', { name })
          }}
        </caption>
        <tbody>
          <tr v-for="q in questions" :key="q.code">
            <td>
              <strong>{{ q.asked }}</strong> {{ q.where }}
            </td>
            <td>{{ seen.answers[q.code] ? say(answerWords[seen.answers[q.code]!]) : say('shop.blank') }}</td>
          </tr>
        </tbody>
      </table>
    </section>

    <section aria-labelledby="wishes-title">
      <div class="section-head">
        <h2 id="wishes-title">{{ say('shop.wishes', { n: garage.wishes.length }) }}</h2>
      </div>
      <p v-if="garage.wishes.length === 0" class="quiet">{{ say('shop.no_wishes') }}</p>
      <div class="cards">
        <PieceCard
          v-for="w in garage.wishes"
          :id="w.id"
          :key="w.id"
          kind="wishes"
          :name="w.name"
          :blurb="w.blurb"
          :lines="w.lines"
        >
          <template #faces> <AnyFace :coupler="w.spec.input" /><AnyFace :coupler="w.spec.output" /> </template>
          <p v-if="account.may('edit')" class="acts">
            <TextButton :words="say('shop.again')" :of="w.name" @click="again(w)" />
            <TextButton :words="say('shop.buy')" :of="w.name" @click="buy(w)" />
          </p>
        </PieceCard>
      </div>
    </section>
  </div>
</template>

<style scoped>
.shop {
  display: grid;
  grid-template-columns: minmax(0, 480px) minmax(0, 1fr);
  gap: var(--space-8) var(--space-11);
  align-items: start;
}

.looking :deep(.el-button) {
  min-height: 44px;
  margin-top: var(--space-6);
}

.done:empty {
  display: none;
}

.question h3 {
  margin: 0 0 var(--space-4);
  font-size: var(--size-title);
}

.answers {
  display: grid;
  gap: var(--space-4);
  margin: var(--space-7) 0;
}

.answer {
  min-height: 56px;
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
  font-size: var(--size-lead);
  font-weight: 600;
  text-align: center;
}

.answer[aria-pressed='true'] {
  forced-color-adjust: none;
  background: var(--ink);
  color: var(--on-ink);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-6);
  align-items: center;
  margin-top: var(--space-4);
}

.sheet {
  width: 100%;
  border-collapse: collapse;
}

.sheet td {
  padding: var(--space-3) 0;
  border-bottom: 1px solid var(--line);
  vertical-align: top;
}

@media (width <= 860px) {
  .shop {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
