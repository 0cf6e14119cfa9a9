import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** What oxlint (`.oxlintrc.json`: types, promises, everything else) does not know. */
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
  {
    // What somebody else named is no key of a plain object: "constructor" would be found there.
    files: ['core/src/{live,log}/**/*.ts', 'server/src/{api,live,keeping}/**/*.ts'],
    ignores: [
      '**/*.test.ts',
      'server/src/api/{errors,wastebasket,quota,class-context,describe-api}.ts',
    ],
    languageOptions: { parser: tseslint.parser },
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
    files: ['web/**/*.tsx', 'web/**/*.ts'],
    languageOptions: { parser: tseslint.parser },
    plugins: { 'react-hooks': reactHooks, 'jsx-a11y': jsxA11y },
    rules: { ...reactHooks.configs.recommended.rules, ...jsxA11y.flatConfigs.recommended.rules },
  },
);
