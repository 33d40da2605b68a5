import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import rooms from './eslint.rooms.js';

export default tseslint.config(
    { ignores: ['resources/ts/api/schema.gen.ts'] },
    js.configs.recommended,
    ...tseslint.configs.strictTypeChecked,
    {
        languageOptions: { parserOptions: { projectService: true } },
        plugins: { 'react-hooks': hooks },
        rules: {
            ...hooks.configs.recommended.rules,
            '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
            '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
            // Files and functions that can be read; PHP's are looked at in tests/Architecture.
            'max-lines': ['error', 250],
            'max-lines-per-function': ['error', 60],
            // What is drawn from data may be set in place; how things look belongs to styles with names.
            'no-restricted-syntax': [
                'error',
                {
                    selector: 'JSXAttribute[name.name="style"] ObjectExpression > Property > Literal',
                    message: 'Give it a style with a name (ui/layout, or a styled component).',
                },
            ],
        },
    },
    rooms,
    { files: ['tests/**'], rules: { 'max-lines-per-function': 'off', 'no-restricted-syntax': 'off' } },
);
