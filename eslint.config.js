import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

export default tseslint.config(
  { ignores: ['**/*.gen.ts'] },
  ...tseslint.configs.strict,
  { plugins: { 'react-hooks': hooks }, rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' } },
  // Prettier breaks code; what it cannot break is a sentence told by a template.
  { rules: { 'max-len': ['error', { code: 140, ignoreStrings: true, ignoreTemplateLiterals: true }] } },
)
