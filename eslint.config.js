import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

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
    // The rooms of the page: each may use those before it, and no place another place.
    ...room('ui', ['api', 'dabs', 'stage', 'app', 'places']),
    ...room('api', ['ui', 'dabs', 'stage', 'app', 'places']),
    ...room('dabs', ['stage', 'app', 'places']),
    ...room('stage', ['app', 'places']),
    ...room('app', ['places']),
    ...room('places/photo', ['drawer', 'plan']),
    ...room('places/drawer', ['photo', 'plan']),
    ...room('places/plan', ['photo', 'drawer']),
    { files: ['tests/**'], rules: { 'max-lines-per-function': 'off', 'no-restricted-syntax': 'off' } },
);

/** What a room of the page may not import. */
function room(name, others) {
    const ups = ['../', '../../', '../../../'];
    return [
        {
            files: [`resources/ts/${name}/**`],
            rules: { 'no-restricted-imports': ['error', { patterns: ups.flatMap((up) => others.map((other) => `${up}${other}/**`)) }] },
        },
    ];
}
