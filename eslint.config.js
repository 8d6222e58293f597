import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import ts from 'typescript-eslint';

export default ts.config(
    { ignores: ['resources/js/types/generated/**'] },
    ...ts.configs.recommended,
    ...vue.configs['flat/recommended'],
    { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
    prettier,
    {
        rules: {
            // One choice inside another is read twice: a table by key, or what returns early.
            'no-nested-ternary': 'error',
            'vue/no-restricted-syntax': [
                'error',
                { selector: 'ConditionalExpression > ConditionalExpression', message: 'One choice inside another.' },
            ],
            'vue/multi-word-component-names': 'off',
            'vue/attributes-order': 'off',
        },
    },
);
