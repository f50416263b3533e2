import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import accessibility from 'eslint-plugin-vuejs-accessibility';
import globals from 'globals';
import { readdirSync } from 'node:fs';
import ts from 'typescript-eslint';

/** The floors of the page, from the ground up: a room uses those below it, never one beside it or above. */
const floors = [
  ['words'],
  ['api'],
  ['offline', 'ui'],
  ['stores'],
  ['plates', 'chart'],
  ['rail'],
  ['account', 'board', 'forecast', 'connect', 'log', 'kit', 'newcar', 'bench'],
  ['frame'],
];

/** A file outside every room would escape the rule. The ground floor holds what starts the page. */
const started = ['main.ts', 'router.ts', 'App.vue'];
const rooms = floors.flat();
const homeless = readdirSync('resources/js', { withFileTypes: true })
  .filter((entry) => (entry.isDirectory() ? !rooms.includes(entry.name) : !started.includes(entry.name)))
  .map((entry) => entry.name)
  .filter((name) => !name.endsWith('.d.ts'));
if (homeless.length > 0) {
  throw new Error(
    `resources/js: in no room: ${homeless.join(', ')}. Enter a new room in the floors of eslint.config.js.`,
  );
}

const keepsToItsFloor = floors.flatMap((rooms, height) =>
  rooms.map((room) => {
    const barred = floors
      .slice(height)
      .flat()
      .filter((other) => other !== room);
    return {
      files: [`resources/js/${room}/**/*.{ts,vue}`],
      rules: {
        'no-restricted-imports': [
          'error',
          {
            patterns: [
              { group: ['../*'], message: 'Other rooms are named from the ground: @/room/file.' },
              ...(barred.length === 0
                ? []
                : [
                    { group: barred.map((other) => `@/${other}/*`), message: `${room} stands below it, or beside it.` },
                  ]),
            ],
          },
        ],
      },
    };
  }),
);

export default ts.config(
  { ignores: ['vendor', 'node_modules', 'public', 'resources/js/api/schema.d.ts', 'resources/js/components.d.ts'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...vue.configs['flat/recommended'],
  ...accessibility.configs['flat/recommended'],
  {
    files: ['**/*.{ts,vue}'],
    languageOptions: { parserOptions: { parser: ts.parser }, globals: { ...globals.browser, ...globals.node } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'vue/block-lang': ['error', { script: { lang: 'ts' } }],
      'vue/multi-word-component-names': 'off',
      'vuejs-accessibility/label-has-for': ['error', { required: { some: ['nesting', 'id'] } }],
      'vuejs-accessibility/no-static-element-interactions': 'error',
      // What the page says stands in words/ alone: no text in a template…
      'vue/no-bare-strings-in-template': [
        'error',
        {
          allowlist: ['?', '+', '×', 'u', 'n', '3'],
          attributes: { '/.+/': ['title', 'aria-label', 'placeholder', 'alt', 'label'] },
        },
      ],
    },
  },
  {
    files: ['resources/js/**/*.{ts,vue}'],
    ignores: ['resources/js/words/*.ts'],
    rules: {
      // …and no two words in a row in a script.
      'no-restricted-syntax': [
        'error',
        {
          selector: 'Literal[value=/[A-Za-z]{2,} [A-Za-z]{2,}/]',
          message: 'What the page says stands in words/en.ts and en.later.ts.',
        },
        {
          selector: 'TemplateElement[value.raw=/[A-Za-z]{2,} [A-Za-z]{2,}/]',
          message: 'What the page says stands in words/en.ts and en.later.ts.',
        },
      ],
    },
  },
  ...keepsToItsFloor,
  prettier,
);
