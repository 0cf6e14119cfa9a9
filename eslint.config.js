import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      '**/dist/',
      '.cache/',
      '.wrenfern/',
      'node_modules/',
      '**/*.{js,mjs,cjs}',
      '**/*.generated.*',
    ],
  },
  ...tseslint.configs.strictTypeChecked,
  {
    languageOptions: {
      // One program for all: the types of the core are worked out once, not for every part that uses it.
      parserOptions: { project: './tsconfig.lint.json', tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      // Slow, and about enums and classes, of which there are next to none.
      '@typescript-eslint/no-unsafe-enum-assignment': 'off',
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      '@typescript-eslint/no-confusing-void-expression': [
        'error',
        { ignoreArrowShorthand: true, ignoreVoidReturningFunctions: true },
      ],
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false } },
      ],
    },
  },
  {
    // What somebody else named is no key of a plain object: "constructor" would be found there.
    files: ['core/src/{live,log}/**/*.ts', 'server/src/{api,live,keeping}/**/*.ts'],
    ignores: [
      '**/*.test.ts',
      'server/src/api/{errors,wastebasket,quota,class-context,describe-api}.ts',
    ],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "TSTypeReference[typeName.name='Record'] > TSTypeParameterInstantiation > TSStringKeyword:first-child",
          message: 'Ids are keys of a Map.',
        },
      ],
    },
  },
  {
    // Shapes: data, whose types the compiler checks.
    files: ['core/src/body/shapes/*.ts'],
    ...tseslint.configs.disableTypeChecked,
  },
  {
    files: ['web/**/*.tsx', 'web/**/*.ts'],
    plugins: { 'react-hooks': reactHooks, 'jsx-a11y': jsxA11y },
    rules: { ...reactHooks.configs.recommended.rules, ...jsxA11y.flatConfigs.recommended.rules },
  },
);
