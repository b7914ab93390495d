import prettier from 'eslint-config-prettier';
import withNuxt from './.nuxt/eslint.config.mjs';

const notInCore = [
  {
    selector: "MemberExpression[object.name='Date'][property.name='now']",
    message: 'The clock is a parameter in core.',
  },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'The clock is a parameter in core.' },
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'Chance is a parameter in core.',
  },
];

export default withNuxt(
  { ignores: ['core/library/embedded.ts', 'bin/**', '.output/**'] },
  {
    rules: {
      'no-console': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/unified-signatures': 'off',
      '@typescript-eslint/no-dynamic-delete': 'off',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.laws.ts'],
    rules: { 'no-restricted-syntax': ['error', ...notInCore] },
  },
  prettier,
);
