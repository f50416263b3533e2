<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { useRouter } from 'vue-router';
import { isOpen } from '@/ui/pageSettings';
import { useGarage } from '@/stores/garage';
import { useTerms } from '@/stores/terms';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';
import FieldEntry from '@/plates/FieldEntry.vue';
import { figures } from './figures';
import ClassOrNominal from '@/plates/ClassOrNominal.vue';
import ChoiceQuestion from './ChoiceQuestion.vue';
import InletQuestion from './InletQuestion.vue';
import QuestionRail from './QuestionRail.vue';
import AnswerSoFar from './AnswerSoFar.vue';
import { useNewCar, type CarQuestion } from './useNewCar';
import { forget, waits } from '@/stores/visitorCar';
import { number } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { listed, say, type Code } from '@/words/say';

/** A new car in six questions, one at a time; next to the answers so far. */
const router = useRouter();
const garage = useGarage();
const terms = useTerms();
const { isVisitor, answers, draft, asks, step, isLast, error, isBusy, tell, next, keep } = useNewCar();
const heading = ref<HTMLElement>();
const classes = ref<components['schemas']['CarKinds']['classes']>([]);

void ask(isVisitor ? api.GET('/visitors/car-kinds') : api.GET('/car-kinds')).then(
  (found) => (classes.value = found.classes),
);

const QUESTIONS: Record<CarQuestion, { title: Code; where: Code }> = {
  inlet: { title: 'new_car.ask_inlet', where: 'new_car.where_inlet' },
  language: { title: 'new_car.ask_language', where: 'new_car.where_language' },
  pack: { title: 'new_car.ask_pack', where: 'new_car.where_pack' },
  energy: { title: 'new_car.ask_energy', where: 'new_car.where_energy' },
  peak: { title: 'new_car.ask_peak', where: 'new_car.where_peak' },
  onboard: { title: 'new_car.ask_onboard', where: 'new_car.where_onboard' },
};

const languages = [
  { id: 'plc', title: say('new_car.speaks_plc'), hint: say('new_car.speaks_plc_how') },
  { id: 'can_legacy', title: say('new_car.speaks_legacy'), hint: say('new_car.speaks_legacy_how') },
  { id: 'plc,can_legacy', title: say('new_car.speaks_both'), hint: say('new_car.speaks_both_how') },
] as const;

/** Onboard chargers that a car with such an inlet may have. */
const onboards = computed(() =>
  (draft.value?.onboard ?? []).map(({ kw, phases }) => ({
    id: `${kw} ${phases}`,
    title: say('figure.kw', { n: number(kw, 1) }),
    hint: say('new_car.phases', { n: phases }),
  })),
);

const told = computed<Partial<Record<CarQuestion, string>>>(() => {
  const a = answers.value;
  const open = (q: CarQuestion) => (a.passed.includes(q) && q !== step.value ? say('new_car.dont_know') : undefined);
  const kwh = a.usable_kwh === null ? open('energy') : say('figure.kwh', { n: number(a.usable_kwh, 1) });
  const named: Partial<Record<CarQuestion, string | undefined>> = {
    inlet: a.faces.length > 0 ? listed('plus', a.faces.map(terms.couplerName)) : undefined,
    language: languages.find((l) => l.id === a.languages?.join(','))?.title ?? open('language'),
    pack:
      a.pack_nominal_v === null
        ? (classes.value.find((c) => c.id === a.pack_class)?.name ?? open('pack'))
        : say('figure.volts', { n: number(a.pack_nominal_v) }),
    energy: kwh,
    peak: a.peak_kw === null ? open('peak') : say('figure.kw', { n: number(a.peak_kw, 0) }),
    onboard: a.onboard.kw === null ? open('onboard') : say('figure.kw', { n: number(a.onboard.kw, 1) }),
  };
  return Object.fromEntries(Object.entries(named).filter(([, words]) => words !== undefined));
});

async function on(): Promise<void> {
  if (isBusy.value) {
    return;
  }
  if (isLast.value) {
    await finish();
    return;
  }
  await next();
  await nextTick();
  heading.value?.focus();
}

async function choose(changes: Parameters<typeof tell>[0]): Promise<void> {
  if (!isBusy.value) {
    tell(changes);
    await on();
  }
}

function chooseOnboard(id: string): Promise<void> {
  const [kw = null, phases = null] = id.split(' ').map(Number);
  return choose({ onboard: { ...answers.value.onboard, kw, phases } });
}

const FORGOTTEN: Record<CarQuestion, Parameters<typeof tell>[0]> = {
  inlet: { faces: [] },
  language: { languages: null },
  pack: { pack_class: null, pack_nominal_v: null },
  energy: { usable_kwh: null },
  peak: { peak_kw: null },
  onboard: {},
};

const dontKnow = () =>
  choose(
    step.value === 'onboard'
      ? { onboard: { ...answers.value.onboard, kw: null, phases: null } }
      : FORGOTTEN[step.value],
  );

async function finish(): Promise<void> {
  if (isBusy.value) {
    return;
  }
  if (isVisitor) {
    await router.push(isOpen() ? '/begin' : '/sign-in');
    return;
  }
  isBusy.value = true;
  try {
    const car = await keep();
    if (car !== null) {
      await garage.load();
      // With nothing in the crate, what could be bought says more.
      const kit = garage.adapters.length === 0 ? { kit: 'buy' } : {};
      await router.push({ path: '/board', query: { car, ...kit } });
    }
  } finally {
    isBusy.value = false;
  }
}

function to(question: CarQuestion): void {
  step.value = question;
  void nextTick(() => heading.value?.focus());
}

const set = (path: string, value: unknown): void => {
  const known = typeof value === 'number' || value === null ? value : (value as number);
  if (path === 'min_v' || path === 'max_v' || path === 'kw') {
    tell({ onboard: { ...answers.value.onboard, [path]: known } });
  } else {
    tell({ [path]: known });
  }
};
const valueOf = (path: string): unknown => ({ ...answers.value, ...answers.value.onboard })[path as 'usable_kwh'];
const fields = computed(() => figures(step.value));

/** What an answer to the question would settle; nothing where it has one, or would settle nothing. */
const settles = computed(() => {
  const found = draft.value?.settles.find((s) => s.question === step.value);
  return found === undefined
    ? ''
    : [
        ...(found.opens > 0 ? [say('new_car.settles_opens', { n: found.opens })] : []),
        ...(found.narrows > 0 ? [say('new_car.settles_narrows', { n: found.narrows })] : []),
      ].join(' ');
});
/** How far the answers have got, where the board itself is further down. */
const charging = computed(() => draft.value?.rows.filter((r) => r.here && r.cell.flows === 'yes').length ?? 0);
/** What waits on the device from before the account: taken or not, as its owner says. */
const waiting = ref(isVisitor ? null : waits());
function take(): void {
  if (waiting.value) {
    tell({ ...waiting.value, region: null });
    step.value = asks.value.find((q) => !answers.value.passed.includes(q)) ?? 'inlet';
  }
  drop();
}
function drop(): void {
  forget();
  waiting.value = null;
}
</script>

<template>
  <div class="new-car">
    <section class="asking" aria-labelledby="question">
      <p v-if="waiting" class="waiting">
        {{ say('new_car.waiting', { faces: listed('plus', waiting.faces.map(terms.couplerName)) }) }}
        <TextButton @click="take">{{ say('new_car.take') }}</TextButton>
        <TextButton @click="drop">{{ say('new_car.drop') }}</TextButton>
      </p>
      <QuestionRail :asks="asks" :step="step" :told="told" @to="to" />
      <p v-if="draft && draft.rows.length > 0" class="first-answer">
        <a href="#so-far-title">{{
          say('new_car.charges_at', {
            n: charging,
            all: draft.rows.filter((r) => r.here).length,
            region: terms.words('region', draft.region),
          })
        }}</a>
      </p>
      <h1 id="question" ref="heading" tabindex="-1">{{ say(QUESTIONS[step].title) }}</h1>
      <p class="quiet">{{ say(QUESTIONS[step].where) }}</p>
      <p v-if="settles" class="settles">{{ settles }}</p>
      <form @submit.prevent="on">
        <div class="question" :inert="isBusy" :aria-busy="isBusy">
          <InletQuestion
            v-if="step === 'inlet'"
            :model-value="answers.faces"
            @update:model-value="tell({ faces: $event })"
            @told="on"
          />
          <ChoiceQuestion
            v-else-if="step === 'language'"
            :options="languages"
            :chosen="languages.find((l) => l.id === answers.languages?.join(','))?.id ?? null"
            @choose="choose({ languages: $event.split(',') })"
          />
          <ChoiceQuestion
            v-else-if="step === 'pack'"
            :options="
              classes.map((c) => ({
                id: c.id,
                title: c.name,
                hint: say('new_car.class_hint', { seen: c.seen, least: number(c.least_v), most: number(c.most_v) }),
              }))
            "
            :chosen="answers.pack_class"
            @choose="choose({ pack_class: $event, pack_nominal_v: null })"
          />
          <ChoiceQuestion
            v-else-if="step === 'onboard'"
            :options="onboards"
            :chosen="`${answers.onboard.kw} ${answers.onboard.phases}`"
            @choose="chooseOnboard"
          />
          <div v-if="fields.length > 0" class="fields">
            <FieldEntry
              v-for="field in fields"
              :key="field.path"
              :field="field"
              :model-value="valueOf(field.path)"
              @update:model-value="set(field.path, $event)"
            />
          </div>
          <ClassOrNominal
            v-if="step === 'pack'"
            :volts="answers.pack_nominal_v"
            @is-class="choose({ pack_class: $event, pack_nominal_v: null })"
          />
          <div v-if="step === 'language'" class="truth">
            <strong>{{ say('new_car.same_plug') }}</strong>
            <p>{{ say('new_car.same_plug_how') }}</p>
          </div>
          <p v-if="error" class="complaint" role="alert">{{ error }}</p>
          <div class="acts">
            <el-button
              v-if="
                !isLast &&
                (step === 'energy' ||
                  step === 'peak' ||
                  answers.pack_nominal_v !== null ||
                  (step === 'inlet' && answers.faces.length > 0))
              "
              type="primary"
              size="large"
              native-type="submit"
              >{{ say('new_car.next') }}</el-button
            >
            <el-button
              v-if="isLast"
              type="primary"
              size="large"
              native-type="submit"
              :loading="isBusy"
              :disabled="!draft?.plate"
              >{{ say(isVisitor ? 'check.keep' : 'new_car.to_board') }}</el-button
            >
            <el-button v-if="!isLast || told.onboard === undefined" size="large" @click="dontKnow">{{
              say('new_car.i_dont_know')
            }}</el-button>
            <TextButton v-if="draft?.plate && !isLast" @click="finish">
              {{ say(isVisitor ? 'check.keep' : 'new_car.enough') }}
            </TextButton>
          </div>
          <p v-if="isLast && !draft?.plate" class="quiet" role="status">{{ say('new_car.look_first') }}</p>
          <p v-if="isVisitor && draft?.plate" class="quiet device">
            {{ say(isOpen() ? 'check.on_device' : 'check.by_invitation') }}
          </p>
        </div>
        <div class="name">
          <label for="car-name">{{ say('new_car.name') }}</label>
          <el-input
            id="car-name"
            :model-value="answers.name"
            maxlength="120"
            :placeholder="say('kit.new_car_name')"
            @update:model-value="tell({ name: $event })"
          />
        </div>
      </form>
    </section>
    <!-- What is longer than the screen is scrolled by keys, too. -->
    <aside class="beside" tabindex="0" :aria-label="say('new_car.so_far')">
      <AnswerSoFar :draft="draft" @region="tell({ region: $event })" />
    </aside>
  </div>
</template>

<style scoped>
.new-car {
  display: flex;
  height: 100%;
}

.asking {
  flex: 1;
  overflow: auto;
  min-width: 0;
  padding: var(--space-7) var(--space-8) var(--space-9);
}

h1 {
  margin: var(--space-8) 0 var(--space-2);
  outline-offset: 4px;
}

form {
  max-width: 880px;
  margin-top: var(--space-6);
}

/* Only who waits long sees that it waits. */
.question[inert] {
  opacity: 0.55;
  transition: opacity 0.2s 0.4s;
}

.waiting {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-6);
  align-items: baseline;
  margin-bottom: var(--space-6);
  padding: var(--space-4) var(--space-6);
  border: 1.5px dashed var(--line-strong);
}

/* The board stands beside the questions on a wide screen; on a narrow one it is further down. */
.first-answer {
  display: none;
  margin: var(--space-5) 0 0;
  font-weight: 620;
}

.settles {
  margin-top: var(--space-2);
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 240px));
  gap: var(--space-6) var(--space-9);
  margin-top: var(--space-7);
}

.truth {
  margin-top: var(--space-7);
  padding: var(--space-6) var(--space-7);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper-raised);
}

.truth p {
  margin: var(--space-1) 0 0;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-5) var(--space-6);
  align-items: center;
  margin-top: var(--space-8);
}

.acts :deep(.el-button + .el-button) {
  margin-inline-start: 0;
}

.device {
  margin-top: var(--space-5);
}

.name {
  max-width: 300px;
  margin-top: var(--space-9);
}

.name label {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

.beside {
  flex: 0 0 392px;
  overflow: auto;
  padding: var(--space-7) var(--space-8) var(--space-9);
  border-inline-start: 1px solid var(--line);
  background: var(--paper-raised);
}

.first-answer a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}

@media (width <= 1000px) {
  .new-car {
    display: block;
    overflow: auto;
  }

  .asking {
    overflow: visible;
  }

  .beside {
    border-top: 1px solid var(--line);
    border-inline-start: 0;
  }

  .first-answer {
    display: block;
  }
}

@media (width <= 520px) {
  .asking {
    padding: var(--space-6) var(--space-6) var(--space-8);
  }
}
</style>
