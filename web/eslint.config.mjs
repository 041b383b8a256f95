import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import { defineConfig, globalIgnores } from 'eslint/config'
import typescript from 'typescript-eslint'

export default defineConfig(
  globalIgnores(['dist/', 'target/', 'src/shared/api.d.ts', '*.mjs']),
  typescript.configs.recommendedTypeChecked,
  vue.configs['flat/recommended'],
  {
    languageOptions: {
      parserOptions: { parser: typescript.parser, project: './tsconfig.json', extraFileExtensions: ['.vue'] },
    },
    rules: {
      // The linter cannot see the types of what a .vue file gives away; vue-tsc can, and checks them.
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      // Props are typed, and those that may be missing say so in their type.
      'vue/require-default-prop': 'off',
      // One left out on purpose, to have the rest of an object.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true, varsIgnorePattern: '^_' }],
    },
  },
  {
    // Arrows go one way: features know the kit and what is shared, and visitors' elements know nothing of the workbench.
    files: ['src/workbench/kit/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['**/features/**', '**/frame/**'] }] },
  },
  {
    files: ['src/visitor/**', 'src/shared/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['**/workbench/**'] }] },
  },
  {
    // What no longer fits is more than one thing.
    files: ['**/*.vue'],
    rules: { 'max-lines': ['error', 200] },
  },
  prettier,
)
